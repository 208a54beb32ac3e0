import type { Entry } from '@yaylak/contract';
import type { Outgoing, OutboxItem } from '../../outbox/store';
import { aJob } from '../../tests/builders';
import { jobHere, jobsHere } from './jobHere';

const { finishedAt: _f, seen: _s, expected: _e, ...started } = aJob({ id: 'j', name: 'Ewes' });
const START: Outgoing = { kind: 'job', job: started };
const FINISH: Outgoing = { kind: 'finish', jobId: 'j', finishedAt: '2026-11-23T09:00:00.000Z' };
const RESUME: Outgoing = { kind: 'resume', jobId: 'j' };
const DISCARD: Outgoing = {
  kind: 'discard',
  jobId: 'j',
  discard: { discardedAt: '2026-11-23T10:00:00.000Z', discardedBy: 'A' },
};
const { id: _id, startedAt: _at, startedBy: _by, ...facts } = started;
const item = (out: Outgoing, more: Partial<OutboxItem> = {}): OutboxItem => ({
  key: '',
  out,
  state: 'waiting',
  ...more,
});
const through = (id: string, animalId: string): Outgoing => ({
  kind: 'entry',
  entry: { id, type: 'passage', animalId, jobId: 'j' } as Entry,
});
const strikeOf = (entryId: string): Outgoing => ({
  kind: 'entry',
  entry: { id: `s ${entryId}`, type: 'strike', entryId, jobId: 'j' } as Entry,
});

it('is what was begun here while the server does not know of it', () => {
  expect(jobHere('j', undefined, 0, [item(START)])).toMatchObject({ name: 'Ewes', finishedAt: null });
  expect(jobHere('other', undefined, 0, [item(START)])).toBeUndefined();
});

it('goes by what was done here last, in order', () => {
  const changed: Outgoing = { kind: 'change', jobId: 'j', facts: { ...facts, name: 'Rams' } };
  expect(jobHere('j', undefined, 0, [item(START), item(changed), item(FINISH)])).toMatchObject({
    name: 'Rams',
    finishedAt: '2026-11-23T09:00:00.000Z',
  });
  expect(jobHere('j', undefined, 0, [item(START), item(FINISH), item(RESUME)])?.finishedAt).toBeNull();
  expect(jobHere('j', undefined, 0, [item(START), item(DISCARD)])?.discardedAt).toBeDefined();
});

it('believes the server again once it was read after it had kept what was done here', () => {
  const log = [item(START, { state: 'kept', keptAt: 10 }), item(FINISH, { state: 'kept', keptAt: 20 })];
  expect(jobHere('j', aJob({ id: 'j' }), 15, log)?.finishedAt).not.toBeNull();
  // Another device opened it again.
  expect(jobHere('j', aJob({ id: 'j' }), 25, log)?.finishedAt).toBeNull();
  expect(jobHere('j', aJob({ id: 'j' }), 25, [item(FINISH, { state: 'refused' })])?.finishedAt).toBeNull();
});

it('lists what was begun here beside the server’s, counts those through, and leaves out what was put away', () => {
  const log = [item(START), item(through('1', 'a')), item(through('2', 'b')), item(strikeOf('2'))];
  const listed = [aJob({ id: 'older', startedAt: '2026-11-01T08:00:00.000Z', seen: 3 })];
  expect(jobsHere(listed, 0, log).map((j) => [j.id, j.seen])).toEqual([
    ['j', 1],
    ['older', 3],
  ]);
  expect(jobsHere(listed, 0, [...log, item(DISCARD)]).map((j) => j.id)).toEqual(['older']);
  expect(jobsHere(listed, 30, [item(START, { state: 'kept', keptAt: 20 })]).map((j) => j.id)).toEqual(['older']);
  // Put away, and something of it came in from elsewhere: it is to be looked at.
  const late = aJob({ id: 'j', discardedAt: '2026-11-23T10:00:00.000Z', seen: 1 });
  expect(jobsHere([late], 30, [item(DISCARD, { state: 'kept', keptAt: 20 })])).toHaveLength(1);
});
