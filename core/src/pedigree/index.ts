export * from './parentage';
