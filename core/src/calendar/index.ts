export * from './age';
export * from './day';
export * from './typedDate';
export * from './window';
