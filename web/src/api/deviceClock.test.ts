import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { aHolding } from '../tests/builders';
import { carriedOn, clockAt, dayApart, deviceMoment, minutesAhead } from './deviceClock';
import { holdingQuery } from './queries';

const read = (now: string, readAt: string) => ({ today: now.slice(0, 10), now, readAt });

it.each([
  ['the same day', '2026-11-23T08:00', '2026-11-23T08:00', '2026-11-23T20:00', '2026-11-23'],
  ['three days away', '2026-11-23T08:00', '2026-11-23T08:00', '2026-11-26T07:00', '2026-11-26'],
  ['over a year end', '2026-12-31T20:00', '2026-12-31T20:00', '2027-01-02T06:00', '2027-01-02'],
  ['over a leap day', '2028-02-28T20:00', '2028-02-28T20:00', '2028-03-01T06:00', '2028-03-01'],
  ['a server ahead of the device', '2026-12-23T08:00', '2026-11-23T08:00', '2026-11-25T08:00', '2026-12-25'],
  ['a device set back', '2026-11-23T08:00', '2026-11-23T08:00', '2026-11-01T08:00', '2026-11-23'],
  // Read a minute after the server's midnight on a clock two minutes slow: the device's own midnight is no new day.
  ['a device a little slow', '2026-11-24T00:01', '2026-11-23T23:59', '2026-11-24T20:00', '2026-11-24'],
  [
    'a device two hours behind, late at night',
    '2026-11-23T23:00',
    '2026-11-23T21:00',
    '2026-11-23T22:30',
    '2026-11-24',
  ],
])('%s: the server at %s, the device at %s; at %s it is the %s', (_, now, readAt, device, carried) => {
  expect(carriedOn(read(now, readAt), device)).toBe(carried);
});

it('carries the server’s hour on by the device’s own clock, over midnight too', () => {
  expect(clockAt(read('2026-11-23T23:50', '2026-11-23T08:00'), '2026-11-23T08:25')).toBe('2026-11-24T00:15');
  // One set back meanwhile does not carry back.
  expect(clockAt(read('2026-11-23T23:50', '2026-11-23T08:00'), '2026-11-23T07:00')).toBe('2026-11-23T23:50');
});

it.each([
  ['agree', '2026-11-25T08:00', '2026-11-25T08:00', undefined],
  ['differ by minutes over midnight', '2026-11-24T23:50', '2026-11-25T00:10', undefined],
  ['differ by hours within a day', '2026-11-25T15:00', '2026-11-25T09:00', undefined],
  [
    'have come apart: the device was set back a day',
    '2026-11-26T08:00',
    '2026-11-25T08:00',
    { since: '2026-11-23', carried: '2026-11-25', today: '2026-11-26' },
  ],
  [
    'have come apart: the device ran ahead',
    '2026-11-25T08:00',
    '2026-12-02T08:00',
    { since: '2026-11-23', carried: '2026-12-02', today: '2026-11-25' },
  ],
])('clocks that meet again %s', (_, now, readAt, apart) => {
  expect(dayApart(read('2026-11-23T08:00', '2026-11-23T08:00'), read(now, readAt))).toEqual(apart);
});

it.each([
  ['2026-11-23T08:00', '2026-11-23T08:05', undefined],
  ['2026-11-23T08:00', '2026-11-23T08:06', 6],
  ['2026-11-23T08:00', '2026-11-23T07:00', -60],
  ['2026-11-23T23:58', '2026-11-24T00:09', 11],
  // A demo that is days ahead.
  ['2026-12-25T08:00', '2026-11-23T08:00', undefined],
  ['2026-12-25T08:00', '2026-11-23T08:20', 20],
])('the server at %s and the device at %s are %s minutes apart', (now, readAt, apart) => {
  expect(minutesAhead(read(now, readAt))).toBe(apart);
});

describe('the settings of a device that was away', () => {
  let client: QueryClient;
  const serverAt = (now: string) => {
    globalThis.fetch = jest.fn().mockResolvedValue({
      ok: true,
      status: 200,
      headers: { get: () => 'application/json' },
      json: () => Promise.resolve(aHolding({ today: now.slice(0, 10), now })),
    });
    return client.fetchQuery({ ...holdingQuery, staleTime: 0 });
  };
  const shown = () => new QueryObserver(client, { ...holdingQuery, enabled: false }).getCurrentResult().data;
  beforeEach(() => {
    jest.useFakeTimers({ now: new Date('2026-11-23T20:00:00'), doNotFake: ['queueMicrotask', 'nextTick'] });
    client = new QueryClient();
  });
  afterEach(() => jest.useRealTimers());

  it('have the day it is now', async () => {
    await serverAt('2026-11-23T20:00');
    jest.setSystemTime(new Date('2026-11-26T06:00:00'));
    expect(deviceMoment()).toBe('2026-11-26T06:00');
    expect(shown()?.today).toBe('2026-11-26');
    expect(shown()?.dayApart).toBeUndefined();
  });

  it('say that its day was another one, until somebody has read it', async () => {
    await serverAt('2026-11-23T20:00');
    jest.setSystemTime(new Date('2026-11-24T06:00:00'));
    await serverAt('2026-11-26T06:00');
    const apart = { since: '2026-11-23', carried: '2026-11-24', today: '2026-11-26' };
    expect(shown()).toMatchObject({ today: '2026-11-26', dayApart: apart });
    await serverAt('2026-11-26T06:00');
    expect(shown()?.dayApart).toEqual(apart);
  });
});
