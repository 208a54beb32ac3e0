import { CODE_MINUTES } from '@yaylak/contract';
import { JoinCode } from './joinCode';

let now: number;
let code: JoinCode;
beforeEach(() => {
  now = 1_000_000;
  code = new JoinCode('one', () => now);
});

it('is met as it stands, and as a thumb types it', () => {
  const typed = code.code;
  expect(typed).toMatch(/^[A-HJKMNP-Z2-9]{8}$/);
  for (const as of [
    typed,
    typed.toLowerCase(),
    `${typed.slice(0, 4)}-${typed.slice(4)}`,
    ` ${typed.slice(0, 4)} ${typed.slice(4)} `,
  ])
    expect(code.isMet(as)).toBe(true);
  expect(code.isMet(typed.slice(1))).toBe(false);
});

it('is good for ten minutes', () => {
  expect(code.seconds).toBe(CODE_MINUTES * 60);
  now += CODE_MINUTES * 60_000 - 1;
  expect(code.isMet(code.code)).toBe(true);
  now += 1;
  expect(code.seconds).toBe(0);
  expect(code.isMet(code.code)).toBe(false);
});

it('is void after five wrong ones', () => {
  for (let i = 0; i < 4; i++) code.isMet('AAAAAAAA');
  expect(code.isMet(code.code)).toBe(true);
  code.isMet('AAAAAAAA');
  expect(code.isMet(code.code)).toBe(false);
  expect(code.seconds).toBe(0);
});
