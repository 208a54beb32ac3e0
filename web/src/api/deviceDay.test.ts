import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { aHolding } from '../tests/builders';
import { carriedOn, deviceDay } from './deviceDay';
import { holdingQuery } from './queries';

it.each([
  ['the same day', '2026-11-23', '2026-11-23', '2026-11-23', '2026-11-23'],
  ['three days away', '2026-11-23', '2026-11-23', '2026-11-26', '2026-11-26'],
  ['over a year end', '2026-12-31', '2026-12-31', '2027-01-02', '2027-01-02'],
  ['over a leap day', '2028-02-28', '2028-02-28', '2028-03-01', '2028-03-01'],
  ['a server ahead of the device', '2026-12-23', '2026-11-23', '2026-11-25', '2026-12-25'],
  ['a device set back', '2026-11-23', '2026-11-23', '2026-11-01', '2026-11-23'],
])('%s: read as %s on %s, it is on %s the %s', (_, today, readOn, now, carried) => {
  expect(carriedOn(today, readOn, now)).toBe(carried);
});

it('gives the settings of a device that was away the day it is now', async () => {
  jest.useFakeTimers({ now: new Date('2026-11-23T20:00:00'), doNotFake: ['queueMicrotask', 'nextTick'] });
  globalThis.fetch = jest.fn().mockResolvedValue({
    ok: true,
    status: 200,
    headers: { get: () => 'application/json' },
    json: () => Promise.resolve(aHolding({ today: '2026-11-23' })),
  });
  const client = new QueryClient();
  await client.fetchQuery({ ...holdingQuery });
  jest.setSystemTime(new Date('2026-11-26T06:00:00'));
  expect(deviceDay()).toBe('2026-11-26');
  const observer = new QueryObserver(client, { ...holdingQuery, enabled: false });
  expect(observer.getCurrentResult().data?.today).toBe('2026-11-26');
  jest.useRealTimers();
});
