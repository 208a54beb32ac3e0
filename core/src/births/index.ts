export * from './litters';
export * from './yearBand';
