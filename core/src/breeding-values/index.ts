export { solveMixedModel, type MixedModelAnswer, type ModelRecords, type VarianceShares } from './mixedModel';
