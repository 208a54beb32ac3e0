export * from './care';
export * from './sortRule';
export * from './standards';
export * from './tubes';
