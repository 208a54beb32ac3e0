export * from './agreement';
export * from './intervals';
export * from './leastSquares';
export * from './quantile';
export * from './fitCurve';
export * from './normal';
export * from './proportion';
export * from './random';
