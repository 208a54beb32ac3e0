export * from './afterbirthOf';
export * from './carryingOf';
export * from './femaleHistory';
export * from './nearMale';
export * from './openServices';
export * from './orphansOf';
export * from './readyToMate';
export * from './siresOfBirthOf';
