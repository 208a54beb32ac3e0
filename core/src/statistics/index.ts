export * from './agreement';
export * from './intervals';
export * from './leastSquares';
export * from './quantile';
