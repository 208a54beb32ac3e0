export * from './breedingValues';
export * from './geneticTrend';
export { solveMixedModel, type MixedModelAnswer, type ModelRecords, type VarianceShares } from './mixedModel';
export * from './traits';
export * from './valueIndex';
export * from './records';
