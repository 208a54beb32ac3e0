export * from './births';
export * from './clashes';
export * from './next';
export * from './plan';
export * from './plannedBlocks';
export * from './steps';
export * from './work';
