export * from './blanks';
export * from './electronicNumber';
export * from './identifier';
export * from './numberTemplate';
export * from './search';
