export * from './age';
export * from './birthKnown';
export * from './calendarDate';
export * from './day';
export * from './moment';
export * from './quarter';
export * from './typedDate';
export * from './window';
