export * from './carryingOf';
export * from './femaleHistory';
export * from './nearMale';
export * from './openServices';
export * from './readyToMate';
export * from './siresOfBirthOf';
