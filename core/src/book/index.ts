export * from './checkBirth';
export * from './checkChange';
export * from './checkEntry';
export * from './checkMating';
export * from './checkPregnancy';
export * from './derived';
export * from './facts';
export * from './tagging';
