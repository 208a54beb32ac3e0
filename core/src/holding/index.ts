export * from './carryingOf';
export * from './femaleHistory';
