export * from './line';
export * from './rank';
export * from './reasons';
export * from './traits';
