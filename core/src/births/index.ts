export * from './expected';
export * from './litters';
export * from './toCome';
export * from './yearBand';
