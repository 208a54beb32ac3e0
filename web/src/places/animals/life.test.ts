import { dayOf } from '@yaylak/core';
import { anEntry, aTag, aView, TODAY } from '../../tests/builders';
import { axisTicks, lifeLanes, placed } from './life';

/** The time line as the server sends it: newest first. */
const timeline = (...entries: object[]) =>
  entries.map((e) => ({ struck: null, ...(e as { entry: ReturnType<typeof anEntry> }) })).toReversed();
const lane = (name: string, change: Parameters<typeof aView>[1]) =>
  lifeLanes(aView('26-0001', change), TODAY).lanes.find((l) => l.name === name)?.marks;

it('goes from birth to today, or to the day it left', () => {
  const life = lifeLanes(aView('26-0001'), TODAY);
  expect([life.from, life.to]).toEqual([dayOf('2026-04-01'), dayOf(TODAY)]);
  expect(lifeLanes(aView('26-0001', { departed: { on: '2026-10-01', how: 'sold', toldUntil: null } }), TODAY).to).toBe(
    dayOf('2026-10-01'),
  );
});

it('has no lane without a mark', () => {
  expect(lifeLanes(aView('26-0001'), TODAY).lanes).toEqual([]);
});

it('stands in a group until the next move', () => {
  const marks = lane('Group', {
    timeline: timeline(
      { entry: anEntry('move', { on: '2026-04-02', groupId: 'a' }), groupName: 'Ewe lambs' },
      { entry: anEntry('move', { on: '2026-09-01', groupId: 'b' }), groupName: 'Top paddock' },
    ),
  });
  expect(marks?.map((m) => [m.label, m.from, m.to])).toEqual([
    ['Ewe lambs', dayOf('2026-04-02'), dayOf('2026-09-01')],
    ['Top paddock', dayOf('2026-09-01'), dayOf(TODAY)],
  ]);
  expect(marks?.[0]?.words).toBe('Ewe lambs, from 2 Apr 2026 to 1 Sept 2026');
});

it('has each score as a mark, with whose hand felt it', () => {
  const entry = anEntry('score', { on: '2026-09-23', score: 2.5, scoredBy: 'Kerem' });
  expect(lane('Scores', { timeline: timeline({ entry }) })).toMatchObject([
    { label: '2.5', from: dayOf('2026-09-23'), words: 'Scored 2.5 by Kerem, 23 Sept 2026' },
  ]);
});

it('leaves out what was struck out', () => {
  const struck = { by: 'Aylin', at: TODAY, reason: null };
  expect(lane('Notes', { timeline: timeline({ entry: anEntry('note', { text: 'lame' }), struck }) })).toBeUndefined();
});

it('puts the young of a season into one mark and another season into another', () => {
  const young = ['2024-04-01', '2024-04-20', '2024-05-30', '2025-04-03', null].map((bornOn, i) => ({
    tag: aTag(`y${i}`),
    bornOn,
    isPresent: true,
  }));
  // 19 and 40 days apart are one season, ten months are not.
  expect(lane('Young', { young })?.map((m) => [m.label, m.words])).toEqual([
    ['3 · 2024', '3 born, 1 Apr 2024 to 30 May 2024'],
    ['1 · 2025', '1 born, 3 Apr 2025'],
  ]);
});

it('says of tags fitted and lost, those of a day together', () => {
  const identifier = (text: string, ended: object | null = null) => ({
    entryId: text,
    kind: 'visual' as const,
    text,
    colour: null,
    ear: null,
    fittedOn: '2026-04-02',
    ended: ended as { on: string; how: string; reason: null } | null,
  });
  const identifiers = [identifier('1'), identifier('2', { on: '2026-08-01', how: 'lost', reason: null })];
  expect(lane('Tags', { identifiers })?.map((m) => m.words)).toEqual([
    '1 and 2 fitted on 2 Apr 2026',
    '2 lost on 1 Aug 2026',
  ]);
});

it('ends a spray mark on its day, or goes on to today', () => {
  const spray = { colour: 'blue', place: 'rump', purpose: 'second string' };
  const marks = lane('Marked', {
    timeline: timeline(
      { entry: anEntry('mark', { ...spray, on: '2026-06-01', until: '2026-07-01' }) },
      { entry: anEntry('mark', { ...spray, on: '2026-10-01' }) },
    ),
  });
  expect(marks?.map((m) => m.to)).toEqual([dayOf('2026-07-01'), dayOf(TODAY)]);
});

it('tells a choice by its sign as well as its colour', () => {
  const choice = (decision: string) => ({ entry: anEntry('choice', { decision, among: 'ewe lambs of 2026' }) });
  expect(
    lane('Chosen', { timeline: timeline(choice('keep'), choice('second'), choice('sell')) })?.map((m) => [
      m.label,
      m.tone,
    ]),
  ).toEqual([
    ['keep', 'good'],
    ['second string', 'look'],
    ['sell', 'over'],
  ]);
});

describe('on the axis', () => {
  const axis = { from: dayOf('2026-01-01'), to: dayOf('2026-04-11') }; // 100 days
  it('a mark stands at its share, with room until the next', () => {
    const at = (iso: string) => ({
      key: iso,
      from: dayOf(iso),
      to: dayOf(iso),
      label: '',
      words: '',
      tone: 'plain' as const,
    });
    expect(placed([at('2026-01-11'), at('2026-03-02')], axis).map((m) => [m.left, m.room])).toEqual([
      [0.1, 0.5],
      [0.6, 0.4],
    ]);
  });
  it('months are named over a young life, years over a long one', () => {
    expect(axisTicks(axis).map((t) => t.name)).toEqual(['Feb 2026', 'Mar 2026', 'Apr 2026']);
    expect(axisTicks({ from: dayOf('2021-05-01'), to: dayOf('2024-02-01') }).map((t) => t.name)).toEqual([
      '2022',
      '2023',
      '2024',
    ]);
  });
  it.each([200, 700, 1500, 4000, 9000])('%i days have at most 9 names, each on a first of a month', (days) => {
    const from = dayOf('2020-02-29');
    const ticks = axisTicks({ from, to: (from + days) as typeof from });
    expect(ticks.length).toBeGreaterThan(0);
    expect(ticks.length).toBeLessThanOrEqual(9);
    expect(ticks.every((t) => t.day > from && t.day <= from + days)).toBe(true);
  });
});

describe('the lane of mating', () => {
  it('has heats and services as marks, and leaves out looks that saw nothing', () => {
    const marks = lane('Mating', {
      timeline: timeline(
        { entry: anEntry('heat', { on: '2026-11-01', at: '2026-11-01T07:30', signs: [] }) },
        { entry: anEntry('heat', { on: '2026-11-02', at: '2026-11-02T07:30', signs: ['stands'] }) },
        { entry: anEntry('service', { on: '2026-11-03', way: 'hand', maleIds: ['m'] }) },
      ),
    });
    expect(marks?.map((m) => [m.label, m.words])).toEqual([
      ['heat', 'Heat, 07:30: stands when mounted, 2 Nov 2026'],
      ['served', 'Served: a male, 3 Nov 2026'],
    ]);
  });
  it('has where a male ran, until he was taken out or to today', () => {
    const marks = lane('Mating', {
      timeline: timeline(
        { entry: anEntry('stay', { id: 's1', on: '2026-06-01', groupId: 'a' }), groupName: 'Ewes' },
        { entry: anEntry('stay-end', { on: '2026-07-15', stayId: 's1' }) },
        { entry: anEntry('stay', { id: 's2', on: '2026-11-01', groupId: 'b' }), groupName: 'Hoggets' },
      ),
    });
    expect(marks?.map((m) => [m.label, m.from, m.to])).toEqual([
      ['Ewes', dayOf('2026-06-01'), dayOf('2026-07-15')],
      ['Hoggets', dayOf('2026-11-01'), dayOf(TODAY)],
    ]);
  });
});
