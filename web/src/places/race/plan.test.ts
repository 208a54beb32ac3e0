import { SHIPPED_TEMPLATES } from '@yaylak/contract';
import { movedStation, planFault, planToStart, withNextTube, withStation, type JobPlan } from './plan';

const WEIGH: JobPlan = { stations: ['weigh'], settings: {}, gates: [] };
const template = (id: string): JobPlan => SHIPPED_TEMPLATES.find((t) => t.id === id) as JobPlan;

it.each(SHIPPED_TEMPLATES.map((t) => [t.name, t] as const))('%s can be started as it is shipped', (_, shipped) => {
  expect(planFault(shipped)).toBeUndefined();
});

it('a station comes in at its usual place, and goes to another by hand', () => {
  const plan = withStation(withStation(WEIGH, 'sort', true), 'look', true);
  expect(plan.stations).toEqual(['weigh', 'look', 'sort']);
  expect(movedStation(plan, 'look', -1).stations).toEqual(['look', 'weigh', 'sort']);
  expect(movedStation(plan, 'weigh', -1)).toBe(plan);
  expect(withStation(plan, 'weigh', false).stations).toEqual(['look', 'sort']);
});

it.each<[string, JobPlan, string]>([
  ['no station', { ...WEIGH, stations: [] }, 'at least one station'],
  ['a treatment of nothing', withStation(WEIGH, 'treat', true), 'choose a product'],
  ['a mark without a meaning', withStation(WEIGH, 'mark', true), 'what the mark means'],
  ['a move to nowhere', withStation(WEIGH, 'move', true), 'choose the group'],
  [
    'a pan no hand lifts',
    { ...WEIGH, settings: { weigh: { method: 'scale', tareKg: 350 } } },
    'No pan weighs 350 kg. Did you mean 0.35 kg?',
  ],
  ['one gate', { ...withStation(WEIGH, 'sort', true), gates: [{ key: 'left', name: 'Keep' }] }, 'two gates'],
  [
    'a line that lies nowhere',
    { ...withStation(WEIGH, 'sort', true), settings: { sort: { by: 'weight', above: 'left', below: 'right' } } },
    'where the line lies',
  ],
])('%s is said before the job starts', (_, plan, words) => {
  expect(planFault(plan)).toContain(words);
});

it('a job keeps the settings of its own stations only', () => {
  const plan = withStation(withStation(WEIGH, 'mark', true), 'mark', false);
  expect(planToStart({ ...plan, settings: { ...plan.settings, subject: 'each' } })).toEqual({
    stations: ['weigh'],
    settings: {},
    gates: [],
  });
  expect(planToStart(template('newborn')).settings).toMatchObject({ subject: 'young', young: { ageDays: 2 } });
});

it('tubes go on after the last of their purpose', () => {
  const tube = (last: Record<string, string>) => withNextTube(template('newborn'), last).settings.sample?.firstTube;
  expect(tube({ gene: 'G-041', blood: 'B-007' })).toBe('G-042');
  expect(tube({ blood: 'B-007' })).toBe('G-001');
});
