import { workTitle, type DueWork } from '@yaylak/contract';
import { mergeDue } from './merge';

const work = (does: string, stations: string[], ids: string[], change: object = {}): DueWork =>
  ({
    key: does,
    does: [does],
    who: { count: ids.length, words: ['ewe', 'ewes'] },
    why: [does.toLowerCase()],
    group: { id: 'g', name: 'Flock' },
    species: 'sheep',
    animalIds: ids,
    window: { opens: '2026-11-20', bestFrom: '2026-11-22', bestTo: '2026-11-25', closes: '2026-11-30' },
    isOpen: true,
    job: { name: does, stations, settings: {}, gates: [] },
    steps: [],
    ...change,
  }) as DueWork;
const ids = (count: number, from = 0) => Array.from({ length: count }, (_, i) => `e${from + i}`);
const titles = (list: readonly DueWork[]) => mergeDue(list).map((w) => workTitle(w));

it('puts measuring on nearly the same animals into one job, in the order of the stations', () => {
  const [one] = mergeDue([
    work('Score', ['score'], ids(10)),
    work('Weigh', ['weigh'], ids(9, 2), {
      window: { opens: '2026-11-10', bestFrom: '2026-11-12', bestTo: '2026-11-14', closes: '2026-11-26' },
    }),
  ]);
  expect(one).toMatchObject({
    does: ['Score', 'Weigh'],
    who: { count: 11, words: ['ewe', 'ewes'] },
    why: ['score', 'weigh'],
    job: { stations: ['weigh', 'score'] },
    window: { opens: '2026-11-10', closes: '2026-11-26' },
  });
  expect(one?.animalIds).toHaveLength(11);
});

it.each([
  ['other animals', work('Weigh', ['weigh'], ids(10, 5))],
  ['another group', work('Weigh', ['weigh'], ids(10), { group: { id: 'h', name: 'Rams' } })],
  ['work that is not open yet', work('Weigh', ['weigh'], ids(10), { isOpen: false })],
  ['no job at the race', work('Rams in', [], ids(10), { job: null })],
  ['a remedy for one less', work('Give drench to', ['treat'], ids(9))],
])('leaves %s apart', (_, other) => {
  expect(titles([work('Score', ['score'], ids(10)), other])).toHaveLength(2);
});

it('gives a remedy in the same job only to the very same animals', () => {
  const drench = work('Give drench to', ['treat'], ids(10), {
    job: { name: 'd', stations: ['treat'], settings: { treat: { productIds: ['p'] } }, gates: [] },
  });
  expect(titles([work('Weigh', ['weigh'], ids(10)), drench])).toEqual(['Weigh and give drench to 10 ewes']);
});
