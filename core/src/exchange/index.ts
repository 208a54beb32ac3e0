export * from './animalRow';
export type { ReadingChoices, RowAnswer, RowFault } from './cells';
export { readCarcassRow, type CarcassRow } from './carcassRow';
export type { Resolve } from './animalOfRow';
export * from './columns';
export * from './formulaCell';
export { notesText, type NoteLine } from './noteLines';
export * from './readNumber';
export * from './weightRow';
