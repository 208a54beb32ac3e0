export * from './assign';
export * from './eligible';
export * from './heats';
export * from './males';
export * from './pairs';
export * from './record';
export * from './services';
export * from './signs';
