export * from './checkEntry';
export * from './derived';
export * from './facts';
