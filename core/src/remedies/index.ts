export * from './dose';
export * from './due';
export * from './product';
export * from './stock';
export * from './treatmentCost';
export * from './withdrawal';
