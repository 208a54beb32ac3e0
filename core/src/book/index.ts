export * from './checkEntry';
export * from './derived';
export * from './facts';
export * from './tagging';
