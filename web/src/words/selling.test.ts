import type { OutletView, SaleRow } from '@yaylak/contract';
import { anOutlet } from '../tests/builders';
import { carcassText, saleStateText } from './selling';

const told = { unit: 'kg', species: 'sheep', currency: 'EUR' } as const;
const plain = (text: string): string => text.replace(/\s/g, ' ');

it('tells what came back of one that was killed, and leaves out what was not said', () => {
  expect(plain(carcassText({ carcassKg: 20.4, shape: 9, fat: 8, priceMinor: 11_260, deductedMinor: 240 }, told))).toBe(
    'Killed: carcass 20.4 kg, R+ 3, 112.60 EUR paid, 2.40 EUR taken off',
  );
  expect(plain(carcassText({ carcassKg: 20.4 }, told))).toBe('Killed: carcass 20.4 kg');
});

describe('what is said of one for sale', () => {
  const works: OutletView = anOutlet('River works');
  const text = (row: Partial<SaleRow>): string =>
    saleStateText({ held: null, inDays: null, closesAtId: null, cells: [], ...row } as SaleRow, {
      on: '2026-11-30',
      outlets: [works],
    });
  const closing = (by: object): string =>
    text({
      state: 'closing',
      inDays: 5,
      closesAtId: works.id,
      cells: [
        { outletId: works.id, readiness: { kind: 'ready', closes: { days: 5, by } } },
      ] as unknown as SaleRow['cells'],
    });

  it('is to which day it is ready, and what ends it', () => {
    expect(closing({ of: 'fat', side: 'over' })).toBe('ready to 5 Dec, then too fat for River works');
    expect(closing({ of: 'age' })).toBe('ready to 5 Dec, then too old for River works');
    expect(closing({ of: 'feed-limit' })).toBe('ready to 5 Dec, then its days on feed are over');
  });

  it('is what holds it', () => {
    const held = (of: 'reserved' | 'too-young' | 'unfit', more: object = {}) =>
      text({ state: 'held', held: { of, clearOn: null, buyer: null, ...more } });
    expect(held('reserved', { buyer: 'Ms Hill' })).toBe('kept for Ms Hill');
    expect(held('too-young')).toBe('too young to leave');
    expect(held('unfit', { unfit: { code: 'lame', isStop: false, on: '2026-11-20' } })).toBe(
      'look first: feet or legs failed 20 Nov',
    );
    expect(held('unfit', { unfit: { code: 'near-birth', isStop: false, from: '2026-11-20' } })).toBe(
      'near birth: not fit to travel; vet and local rules decide',
    );
  });
});
