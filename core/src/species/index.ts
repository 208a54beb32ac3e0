export * from './gestation';
export * from './overrides';
export * from './species';
export * from './table';
export * from './words';
