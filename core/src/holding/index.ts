export * from './carryingOf';
