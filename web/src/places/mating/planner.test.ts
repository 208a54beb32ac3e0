import { costsOf, createPlanner, type PlanAsked } from './planner';
import { askedOf, figuresOf } from './usePairing';
import { aPairing } from './testViews';

const asked = (change: Partial<PlanAsked> = {}): PlanAsked => ({
  females: 2,
  males: 2,
  inbreeding: [0.1, 0, 0, 0.1],
  forbidden: [false, false, false, false],
  merit: [0.2, 0],
  capacities: [5, 5],
  kinshipWeight: 1,
  locked: [-1, -1],
  isFewest: false,
  ...change,
});
const plan = async (of: PlanAsked) => {
  const found = await createPlanner().plan(of, () => undefined);
  return found === 'stopped' ? found : found.maleOf;
};

it('by kinship alone the least inbreeding wins, by merit the better male', async () => {
  expect(await plan(asked())).toEqual([1, 0]);
  expect(await plan(asked({ kinshipWeight: 0.1 }))).toEqual([0, 0]);
});

it('never takes a forbidden pair, but keeps a locked one', async () => {
  const forbidden = [false, true, false, false];
  expect(await plan(asked({ forbidden }))).toEqual([0, 0]);
  expect(await plan(asked({ forbidden, locked: [1, -1] }))).toEqual([1, 0]);
  expect(Array.from(costsOf(asked({ forbidden, locked: [1, -1] })).slice(0, 2))).toEqual([Infinity, 0]);
});

it('with the fewest males one does where one has room', async () => {
  expect(await plan(asked({ isFewest: true, inbreeding: [0, 0.1, 0.1, 0.05] }))).toEqual([0, 0]);
});

it('tells how far it is, and stops when it is told', async () => {
  const planner = createPlanner();
  const shares: number[] = [];
  const found = planner.plan(asked(), (share) => {
    shares.push(share);
    planner.stop();
  });
  expect(await found).toBe('stopped');
  expect(shares).toEqual([0]);
});

it('puts what was changed by hand into the question', () => {
  const view = aPairing();
  const wish = { kinshipWeight: 0.5, isFewest: false, capacities: { m1: 1 }, locked: { f2: 'm2' } };
  expect(askedOf(view, wish)).toMatchObject({
    females: 2,
    males: 2,
    capacities: [1, 25],
    locked: [-1, 1],
    forbidden: [true, false, false, false],
  });
});

it('counts a way of pairing: the worst male of a female is what she may get', () => {
  expect(figuresOf(aPairing(), [[0, 1], []])).toEqual({ served: 1, meanInbreeding: 0.125, forbidden: 1 });
  expect(figuresOf(aPairing(), [[], []]).meanInbreeding).toBeUndefined();
});
