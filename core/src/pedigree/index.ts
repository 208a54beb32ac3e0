export * from './arrays';
export * from './commonAncestors';
export * from './completeness';
export * from './inbreeding';
export * from './kinship';
export * from './parentage';
export * from './genotypes';
