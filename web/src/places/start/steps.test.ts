import { nextStep, stepsDone } from './steps';

const book = (change: object = {}) => ({ name: 'My holding', keeper: 'Keeper', animals: 0, weighed: 0, ...change });

it.each([
  [book(), 'about'],
  [book({ keeper: 'Aylin' }), 'numbers'],
  [book({ keeper: 'Aylin', animals: 12 }), 'weigh'],
  [book({ name: 'Yukarı', animals: 12, weighed: 3 }), 'found'],
  // Animals out of a file, before anybody gave a name.
  [book({ animals: 12, weighed: 12 }), 'about'],
])('goes on where a book was left: %#', (begun, step) => expect(nextStep(stepsDone(begun))).toBe(step));
