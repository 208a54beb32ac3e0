export * from './care';
export * from './sortRule';
export * from './tubes';
