export * from './lines';
export * from './steady';
