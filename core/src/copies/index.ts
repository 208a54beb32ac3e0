export * from './keptCopies';
