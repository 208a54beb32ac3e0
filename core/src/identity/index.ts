export * from './blanks';
export * from './electronicNumber';
export * from './identifier';
export * from './numberDoubt';
export * from './numberTemplate';
export * from './numbersToFit';
export * from './search';
