import { Patience } from './patience';

let now = 0;
const patience = (): Patience => new Patience(() => now);
beforeEach(() => (now = 1_000_000));

it('forgives three wrong ones, then waits twice as long each time, up to a quarter of an hour', () => {
  const one = patience();
  const waits: number[] = [];
  for (let i = 0; i < 14; i++) {
    one.wrong('Aylin');
    waits.push(one.seconds('Aylin'));
    now += one.seconds('Aylin') * 1_000;
  }
  expect(waits).toEqual([0, 0, 2, 4, 8, 16, 32, 64, 128, 256, 512, 900, 900, 900]);
});

it('begins anew after the right one, and counts each by itself', () => {
  const one = patience();
  for (let i = 0; i < 5; i++) one.wrong('Aylin');
  expect(one.seconds('Kerem')).toBe(0);
  one.right('Aylin');
  expect(one.seconds('Aylin')).toBe(0);
  expect(one.wrong('Aylin')).toBe(1);
});
