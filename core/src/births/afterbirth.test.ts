import { momentOf } from '../calendar';
import { day } from '../tests/builders';
import { afterbirthNow, type Afterbirth } from '.';

const birth = (afterbirth: Afterbirth | undefined, at: string | undefined = '2026-02-28T22:00') => ({
  at: at === undefined ? undefined : momentOf(at),
  written: {
    entryId: 'b',
    on: day('2026-02-28'),
    alive: 1,
    dead: 0,
    ease: 'alone' as const,
    presentation: undefined,
    mothering: undefined,
    afterbirth,
  },
});
const at = (now: string) => ({ hours: 12, now: momentOf(now) });

it.each([
  ['2026-03-01T10:00', { state: 'waiting', heldSince: undefined }], // 12 hours, over the end of February
  ['2026-03-01T10:30', { state: 'retained', heldSince: day('2026-02-28') }],
])('is waited for twelve hours: at %s', (now, found) => {
  expect(afterbirthNow(birth('waiting'), [], at(now))).toEqual(found);
});
it('counts from the end of the day where the hour is not known', () => {
  const noHour = { ...birth('waiting'), at: undefined };
  expect(afterbirthNow(noHour, [], at('2026-03-01T12:00'))?.state).toBe('waiting');
  expect(afterbirthNow(noHour, [], at('2026-03-01T12:01'))?.state).toBe('retained');
});
it('holds her once it was held back, also after it has passed', () => {
  const passed = [{ on: day('2026-03-02'), state: 'passed' as const }];
  expect(afterbirthNow(birth('retained'), passed, at('2026-03-20T08:00'))).toEqual({
    state: 'passed',
    heldSince: day('2026-02-28'),
  });
  expect(afterbirthNow(birth('waiting'), passed, at('2026-03-20T08:00'))?.heldSince).toBeUndefined();
});
it('says nothing where nothing was written down', () => {
  expect(afterbirthNow(birth(undefined), [], at('2026-03-20T08:00'))).toBeUndefined();
});
