export * from './carryingOf';
export * from './femaleHistory';
export * from './openServices';
export * from './siresOfBirthOf';
