export * from './columns';
export * from './formulaCell';
export * from './readNumber';
export * from './rows';
