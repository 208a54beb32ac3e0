import type { BookAnimal, BookFile, Entry, EntryType } from '@yaylak/contract';
import {
  addDays,
  dailyScores,
  dayOf,
  heatsSeen,
  isoOf,
  momentOf,
  serviceTiming,
  serviceWindow,
  noResponse,
  planClashes,
  readElectronicNumber,
  sameDayPairs,
  scaleBiases,
  scorerBiases,
  scorerPairs,
  SPECIES,
  SPECIES_TABLE,
  type Day,
  type Species,
} from '@yaylak/core';
import { planInBook } from '@yaylak/contract';
import { makeDemoBook } from '.';

const TODAY = '2026-11-23';

it('is the same book for the same day and seed, and another for another seed', () => {
  const make = (seed?: number): string =>
    JSON.stringify(makeDemoBook(dayOf(TODAY), { years: 1, ...(seed === undefined ? {} : { seed }) }));
  const first = make();
  expect(make()).toBe(first);
  expect(make(2)).not.toBe(first);
});

it.each(['2027-01-03', '2028-02-29', '2028-07-15'])('ends on %s with nothing later, whatever the season', (iso) => {
  const book = makeDemoBook(dayOf(iso), { years: 1 });
  expect(book.entries.every((e) => e.on <= iso)).toBe(true);
  expect(dayOf(iso) - dayOf(book.entries[0]?.on ?? iso)).toBeGreaterThan(365);
  expect(new Set(book.animals.map((a) => a.species)).size).toBe(4);
});

describe('hangs together', () => {
  const book: BookFile = makeDemoBook(dayOf(TODAY));
  const animals = new Map(book.animals.map((a) => [a.id, a]));
  const ofType = <T extends EntryType>(type: T) =>
    book.entries.filter((e): e is Extract<Entry, { type: T }> => e.type === type);
  const arrivedOn = new Map(ofType('arrival').map((e) => [e.animalId, e.on]));
  const leftOn = new Map(ofType('departure').map((e) => [e.animalId, e.on]));
  const presentOf = (species: Species): BookAnimal[] =>
    book.animals.filter((a) => a.species === species && !leftOn.has(a.id));
  /** Born dead beside the young on record. */
  const deadOf = (damId: string, on: string): number =>
    ofType('birth').find((b) => b.animalId === damId && b.on === on)?.dead ?? 0;
  /** Those for whom something does not hold, so that a failure names them. */
  const wrong = <T extends { id: string }>(list: readonly T[], holds: (one: T) => boolean): string[] =>
    list.filter((one) => !holds(one)).map((one) => one.id);

  it('ends today with nothing later, and begins five years before', () => {
    expect(book.entries.every((e) => e.on <= TODAY)).toBe(true);
    expect(dayOf(TODAY) - dayOf(book.entries[0]?.on ?? TODAY)).toBeGreaterThan(5 * 365);
    expect(new Set(book.animals.map((a) => a.species)).size).toBe(4);
  });

  it('every entry has an id of its own', () => {
    expect(new Set(book.entries.map((e) => e.id)).size).toBe(book.entries.length);
  });

  it('nothing is written of an animal before it came or after it left', () => {
    expect(
      wrong(book.entries, (e) => {
        if (e.type === 'strike') return true;
        const left = leftOn.get(e.animalId);
        return e.on >= (arrivedOn.get(e.animalId) ?? '9999') && (left === undefined || e.on <= left);
      }),
    ).toEqual([]);
  });

  it('dams are females and sires males of the species, and old enough at the birth', () => {
    expect(
      wrong(book.animals, ({ damId, sireId, species, bornOn }) => {
        const dam = damId === null ? undefined : animals.get(damId);
        const sire = sireId === null ? undefined : animals.get(sireId);
        const isOld = (parent: BookAnimal | undefined): boolean =>
          !parent?.bornOn ||
          !bornOn ||
          dayOf(bornOn) - dayOf(parent.bornOn) >= SPECIES_TABLE[species].femaleFirstMatingDays;
        return (
          (damId === null || (dam?.sex === 'female' && dam.species === species)) &&
          (sireId === null || (sire?.sex === 'male' && sire.species === species)) &&
          isOld(dam) &&
          isOld(sire)
        );
      }),
    ).toEqual([]);
  });

  it('those of one litter say how many they are', () => {
    const litters = new Map<string, BookAnimal[]>();
    for (const a of book.animals)
      if (a.damId !== null && a.birthType !== null) {
        const key = `${a.damId} ${a.bornOn}`;
        litters.set(key, [...(litters.get(key) ?? []), a]);
      }
    // A doe rabbit that takes her mother's place is told without her litter mates.
    const whole = [...litters.values()].filter((l) => l[0]?.species !== 'rabbit' || l.length > 1);
    const bornOf = (l: readonly BookAnimal[]): number => l.length + deadOf(l[0]?.damId ?? '', l[0]?.bornOn ?? '');
    expect(whole.filter((l) => l.some((a) => a.birthType !== bornOf(l))).map((l) => l[0]?.id)).toEqual([]);
    expect(whole.flat().filter((a) => (a.rearingType ?? 0) > (a.birthType ?? 0))).toEqual([]);
  });

  it('every weight is one that the book would take', () => {
    expect(
      wrong(ofType('weight'), (e) => {
        const species = animals.get(e.animalId)?.species ?? 'sheep';
        return e.kg > 0 && e.kg <= SPECIES_TABLE[species].heaviestKg;
      }),
    ).toEqual([]);
  });

  it('every remedy is on the list, and given by a batch that was not over', () => {
    const products = new Map((book.products ?? []).map((p) => [p.id, p.facts]));
    expect(
      wrong(ofType('treatment'), (e) => {
        const batch = products.get(e.productId)?.batches.find((b) => b.batch === e.batch);
        return batch !== undefined && (batch.expiresOn ?? '9999') >= e.on && e.amount > 0;
      }),
    ).toEqual([]);
  });

  it('no two that are here wear one number in one colour, and electronic numbers are sound and worn once', () => {
    const ended = new Set(ofType('identifier-end').map((e) => e.identifierId));
    const worn = ofType('identifier').filter((e) => !leftOn.has(e.animalId) && !ended.has(e.id));
    const visual = worn.filter((e) => e.kind === 'visual').map((e) => `${e.text} ${e.colour}`);
    expect(new Set(visual).size).toBe(visual.length);
    const electronic = ofType('identifier').filter((e) => e.kind === 'electronic');
    expect(wrong(electronic, (e) => readElectronicNumber(e.text).kind === 'number')).toEqual([]);
    expect(new Set(electronic.map((e) => e.text)).size).toBe(electronic.length);
  });

  it('has the heads of the holding in the scenario', () => {
    const grown = (species: Species, days: number) =>
      presentOf(species).filter((a) => a.sex === 'female' && a.bornOn && dayOf(TODAY) - dayOf(a.bornOn) > days).length;
    expect(grown('sheep', 500)).toBeGreaterThanOrEqual(30);
    expect(grown('goat', 500)).toBeGreaterThanOrEqual(10);
    // Six, and four young ones that are tried.
    expect(grown('rabbit', 160)).toBe(10);
    expect(presentOf('rabbit').filter((a) => a.sex === 'male' && (a.bornOn ?? '') < '2025')).toHaveLength(2);
    expect(grown('cattle', 900)).toBeGreaterThanOrEqual(4);
    expect(SPECIES.every((s) => presentOf(s).length > 0)).toBe(true);
  });

  describe('and tells its stories', () => {
    const weightsOf = (id: string) => ofType('weight').filter((e) => e.animalId === id && e.method !== 'tape');
    const ewes = presentOf('sheep').filter((a) => a.sex === 'female');

    it('a ewe lamb that grew well stands still since two months', () => {
      const still = ewes
        .filter((a) => a.bornOn?.startsWith('2026'))
        .filter((a) => {
          const late = weightsOf(a.id).filter((w) => w.on >= '2026-09-25');
          return late.length >= 4 && (late.at(-1)?.kg ?? 0) <= (late[0]?.kg ?? 0) + 0.5;
        });
      expect(still).toHaveLength(1);
    });

    it('a ewe weighs a tenth less than a year ago at the same time', () => {
      const thin = ewes.filter((a) => {
        const autumn = weightsOf(a.id).filter((w) => w.on.slice(5) === '11-07');
        const [before, now] = autumn.slice(-2);
        return before && now && now.kg < before.kg * 0.92;
      });
      expect(thin.length).toBeGreaterThanOrEqual(1);
    });

    it('a tape in one hand reads high, by enough pairs to be set right', () => {
      const pairs = [...animals.values()].flatMap((a) =>
        sameDayPairs(
          ofType('weight')
            .filter((e) => e.animalId === a.id)
            .map((e) => ({ on: dayOf(e.on), kg: e.kg, method: e.method, by: e.writtenBy })),
          a.species,
        ),
      );
      const [bias] = scaleBiases(pairs);
      expect(bias).toMatchObject({ by: 'Kerem', method: 'tape', isUsed: true });
      expect(bias?.low).toBeGreaterThan(1.04);
    });

    it('a lamb that stands marked for a buyer is under withdrawal', () => {
      const marked = new Set(
        ofType('mark')
          .filter((e) => (e.until ?? '9999') >= TODAY)
          .map((e) => e.animalId),
      );
      const held = ofType('treatment').filter(
        (e) => (e.meatDays ?? 0) > dayOf(TODAY) - dayOf(e.on) && marked.has(e.animalId),
      );
      expect(held).toHaveLength(1);
    });

    it('one of the last round was not seen', () => {
      const round = book.jobs.find((j) => j.stations.includes('treat'));
      const seen = ofType('passage').filter((e) => e.jobId === round?.id);
      expect((round?.animalIds.length ?? 0) - seen.length).toBe(1);
    });

    it('a doe rabbit’s litters shrink', () => {
      const bornOf = new Map<string, Map<string, number>>();
      for (const a of book.animals)
        if (a.species === 'rabbit' && a.damId && a.bornOn && a.birthType)
          bornOf.set(a.damId, (bornOf.get(a.damId) ?? new Map<string, number>()).set(a.bornOn, a.birthType));
      const falling = [...bornOf.values()].filter((litters) => {
        const sizes = [...litters].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, size]) => size);
        return sizes.length >= 6 && (sizes.at(-1) ?? 0) <= (sizes[0] ?? 0) - 4;
      });
      expect(falling.length).toBeGreaterThanOrEqual(1);
    });

    it('ram lambs were weighed twice within four days', () => {
      const rams = presentOf('sheep').filter((a) => a.sex === 'male' && a.bornOn?.startsWith('2026'));
      const close = rams.filter((a) => {
        const [before, last] = weightsOf(a.id).slice(-2);
        return before && last && dayOf(last.on) - dayOf(before.on) === 4;
      });
      expect(close.length).toBeGreaterThan(5);
    });

    it('tags were lost, one of them replaced, one not', () => {
      const lost = ofType('identifier-end');
      expect(lost.length).toBeGreaterThanOrEqual(2);
      const isReplaced = (e: (typeof lost)[number]): boolean =>
        ofType('identifier').some((i) => i.animalId === e.animalId && i.kind === 'visual' && i.on > e.on);
      expect(new Set(lost.map(isReplaced))).toEqual(new Set([true, false]));
    });

    it('a few ram lambs are kept for a buyer and marked, and one is free again', () => {
      const kept = ofType('reservation').filter((r) => (r.until ?? '') > TODAY);
      expect(kept.length).toBeGreaterThanOrEqual(3);
      const marks = ofType('mark').filter((m) => m.purpose === 'reserved for Kerem of the mill');
      expect(new Set(marks.map((m) => m.animalId))).toEqual(new Set(kept.map((r) => r.animalId)));
      expect(kept.every((r) => animals.get(r.animalId)?.sex === 'male')).toBe(true);
      expect(ofType('reservation').filter((r) => (r.until ?? '9') < TODAY)).toHaveLength(1);
    });

    it('a load is planned, and one on it was treated since and may not go', () => {
      const [load, ...more] = book.loads ?? [];
      expect(more).toEqual([]);
      const { on, animalIds } = load!.facts;
      expect(dayOf(on) - dayOf(TODAY)).toBeLessThan(7);
      expect(animalIds).toHaveLength(2);
      const withheld = ofType('treatment').filter(
        (t) => animalIds.includes(t.animalId) && dayOf(t.on) + (t.meatDays ?? 0) >= dayOf(on),
      );
      expect(new Set(withheld.map((t) => t.animalId)).size).toBe(1);
      // Nobody else has a word in it.
      expect(ofType('reservation').some((r) => animalIds.includes(r.animalId))).toBe(false);
    });

    it('two hands differ by about a third of a score on the same ewes', () => {
      const byAnimal = new Map<string, { on: Day; score: number; by: string }[]>();
      for (const s of ofType('score'))
        byAnimal.set(s.animalId, [
          ...(byAnimal.get(s.animalId) ?? []),
          { on: dayOf(s.on), score: s.score, by: s.scoredBy },
        ]);
      const [bias] = scorerBiases(scorerPairs(byAnimal.values()), 'Aylin');
      expect(bias).toMatchObject({ by: 'Kerem', isUsable: true });
      expect(bias?.bias).toBeGreaterThan(0.15);
      expect(bias?.bias).toBeLessThan(0.55);
    });

    it('one ewe was fed up for two months and stayed thin, and some checks of her are still to be made', () => {
      const thin = book.animals.filter(({ id, species }) => {
        const found = noResponse(
          dailyScores(
            ofType('score')
              .filter((e) => e.animalId === id)
              .map((s) => ({ on: dayOf(s.on), score: s.score, by: s.scoredBy })),
          ),
          ofType('mob')
            .filter((e) => e.animalId === id)
            .map((m) => ({ on: dayOf(m.on), mob: m.mob })),
          [],
        );
        return species === 'sheep' && found !== undefined;
      });
      expect(thin.length).toBeGreaterThanOrEqual(1);
      expect(thin.some((a) => ofType('check').some((c) => c.animalId === a.id))).toBe(true);
    });

    it('next year’s lambing and kidding fall into one week, and that is the clash', () => {
      const plans = (book.plans ?? []).map((p) =>
        planInBook({ ...p, femalesInBook: [], males: { grown: 3, young: 0 } }),
      );
      expect(plans).toHaveLength(5);
      const codes = planClashes(
        plans,
        { birthPens: {}, away: [], lean: [] },
        (s) => SPECIES_TABLE[s],
        dayOf(TODAY),
      ).map((c) => c.code);
      expect(codes).toEqual(['two-births']);
    });

    it('one was found among the lambs and nobody knows who it is', () => {
      const found = ofType('arrival').filter((e) => e.how === 'found');
      expect(found).toMatchObject([{ sex: 'unknown' }]);
      expect(found[0]).not.toHaveProperty('bornOn');
    });

    it('a job was broken off, with some through and some not', () => {
      const [open] = book.jobs.filter((j) => j.finishedAt === null);
      const through = new Set(
        ofType('passage')
          .filter((e) => e.jobId === open?.id)
          .map((e) => e.animalId),
      );
      expect(through.size).toBeGreaterThan(0);
      expect(through.size).toBeLessThan(open?.animalIds.length ?? 0);
    });

    it('nobody went through a job twice: all that was recorded of one in it is of one moment and one hand', () => {
      const moments = new Map<string, Set<string>>();
      for (const e of book.entries) {
        if (e.jobId === undefined || e.type === 'strike') continue;
        const key = `${e.jobId} ${e.animalId}`;
        moments.set(key, (moments.get(key) ?? new Set()).add(`${e.writtenAt} ${e.writtenBy}`));
      }
      expect(moments.size).toBeGreaterThan(30);
      for (const [key, found] of moments) expect([key, found.size]).toEqual([key, 1]);
    });

    it('each autumn one choice went against the ranking, with its reason', () => {
      const against = ofType('choice').filter((e) => e.suggested !== e.decision);
      expect(against.length).toBeGreaterThanOrEqual(4);
      expect(against.every((e) => e.reason !== undefined)).toBe(true);
    });

    it('enough ewe lambs of dams that failed by eye were looked over to be held against the others', () => {
      const looked = new Map(ofType('look').map((e) => [e.animalId, Object.values(e.grades).includes('fail')]));
      const dams = [...looked.keys()].map((id) => looked.get(animals.get(id)?.damId ?? ''));
      expect(dams.filter((failed) => failed === true).length).toBeGreaterThanOrEqual(10);
      expect(dams.filter((failed) => failed === false).length).toBeGreaterThanOrEqual(10);
    });
  });

  describe('the matings', () => {
    const services = ofType('service');
    const parents = book.animals.flatMap(({ damId, sireId, bornOn, species }) =>
      damId !== null && sireId !== null && bornOn !== null ? [{ damId, sireId, bornOn, species }] : [],
    );
    /** Whether a dam was served by the sire in a time that gives the birth. */
    const isServed = ({ damId, sireId, bornOn, species }: (typeof parents)[number]): boolean => {
      const { from, to } = SPECIES_TABLE[species].gestationDays;
      return services.some((s) => {
        const days = dayOf(bornOn) - dayOf(s.on);
        return s.animalId === damId && s.maleIds.includes(sireId) && days >= from - 4 && days <= to + 4;
      });
    };

    it('every litter whose dam was here in time has its service', () => {
      const here = parents.filter(
        (p) =>
          (arrivedOn.get(p.damId) ?? '9') <=
          isoOf(addDays(dayOf(p.bornOn), -SPECIES_TABLE[p.species].gestationDays.to)),
      );
      expect(here.length).toBeGreaterThan(500);
      expect(here.filter((p) => !isServed(p))).toEqual([]);
    });

    it('males serve that are males, of the species, and there', () => {
      expect(
        wrong(services, (s) =>
          s.maleIds.every((id) => {
            const male = animals.get(id);
            const left = leftOn.get(id);
            return male?.sex === 'male' && male.species === animals.get(s.animalId)?.species && (!left || left >= s.on);
          }),
        ),
      ).toEqual([]);
    });

    it('a doe stands on heat, one came back, one was served too late', () => {
      const { mating, serviceHours } = SPECIES_TABLE.goat;
      const last = book.animals
        .filter((a) => a.species === 'goat' && a.sex === 'female')
        .flatMap((a) => {
          const looks = ofType('heat').flatMap((h) =>
            h.animalId === a.id ? [{ at: momentOf(h.at), signs: h.signs }] : [],
          );
          const heat = heatsSeen(looks, { mating }).at(-1);
          const window = heat && serviceWindow(heat.seenAt, { mating, serviceHours });
          return window ? [{ id: a.id, heat, window }] : [];
        });
      const now = momentOf(`${TODAY}T12:00`);
      expect(last.filter((l) => l.window.opens <= now && now <= l.window.closes)).toHaveLength(1);
      const timings = last.flatMap(({ id, window }) =>
        services.flatMap((s) =>
          s.animalId === id && s.at !== undefined && dayOf(TODAY) - dayOf(s.on) < 6
            ? [serviceTiming(window, momentOf(s.at))]
            : [],
        ),
      );
      expect(timings).toContain('too-late');
    });

    it('a young buck has more does than he should, his own dam for a reason', () => {
      const buck = book.animals.find(
        (a) =>
          a.species === 'rabbit' &&
          a.sex === 'male' &&
          a.damId !== null &&
          !leftOn.has(a.id) &&
          services.some((s) => s.maleIds.includes(a.id)),
      );
      const his = new Set(services.flatMap((s) => (buck && s.maleIds.includes(buck.id) ? [s.animalId] : [])));
      expect(his.size).toBeGreaterThan(SPECIES_TABLE.rabbit.femalesPerMale.young);
      const withDam = services.filter((s) => s.animalId === buck?.damId && s.maleIds.includes(buck?.id ?? ''));
      expect(withDam.some((s) => s.reason !== undefined)).toBe(true);
    });

    it('two goats that carry one disorder stand in the herd, of either sex', () => {
      const carriers = ofType('gene-test').filter((t) => t.result === 'carrier');
      expect(new Set(carriers.map((t) => animals.get(t.animalId)?.sex))).toEqual(new Set(['female', 'male']));
      expect(new Set(carriers.map((t) => t.gene)).size).toBe(1);
    });

    it('males put in are taken out of where they were put, and a heat wave lies in each of two summers', () => {
      const stays = new Map(ofType('stay').map((s) => [s.id, s]));
      expect(wrong(ofType('stay-end'), (e) => stays.get(e.stayId)?.animalId === e.animalId)).toEqual([]);
      expect(wrong(ofType('harness'), (e) => stays.get(e.stayId)?.animalId === e.animalId)).toEqual([]);
      expect(book.holding.resources?.hot).toHaveLength(2);
    });
  });

  describe('the tests for young', () => {
    const tests = ofType('pregnancy-test');
    const services = ofType('service');
    const litterOf = (damId: string, from: string, days: number) =>
      book.animals.filter(
        (a) => a.damId === damId && a.bornOn !== null && a.bornOn > from && dayOf(a.bornOn) - dayOf(from) <= days,
      );

    it('are made when they can tell, each of a female that was served before', () => {
      const early = tests.filter((t) => {
        const species = animals.get(t.animalId)?.species ?? 'sheep';
        const rules = t.way === 'sight' ? undefined : SPECIES_TABLE[species].tests[t.way];
        const served = services.filter((s) => s.animalId === t.animalId && s.on <= t.on && !s.isCheck);
        const first = served
          .filter((s) => dayOf(t.on) - dayOf(s.on) < 160)
          .map((s) => s.on)
          .sort()[0];
        return rules === undefined || first === undefined || dayOf(t.on) - dayOf(first) < rules.days.opens;
      });
      expect(early).toEqual([]);
    });

    it('counted singles, twins and triplets in the flock, and told one in young that never lambed', () => {
      const scans = tests.filter((t) => t.way === 'scan' && animals.get(t.animalId)?.species === 'sheep');
      expect(new Set(scans.flatMap((t) => t.young ?? []))).toEqual(new Set([1, 2, 3]));
      const inYoung = scans.filter((t) => t.result === 'carrying');
      const inVain = inYoung.filter((t) => litterOf(t.animalId, t.on, 120).length === 0 && !leftOn.has(t.animalId));
      expect(inVain.length).toBeGreaterThan(0);
      expect(inVain.length).toBeLessThan(5);
      // A scan may miss one behind the others, and sees none that is not there.
      for (const t of inYoung) {
        const litter = litterOf(t.animalId, t.on, 120);
        const born = litter.length + deadOf(t.animalId, litter[0]?.bornOn ?? '');
        if (litter.length > 0) expect(t.young).toBeLessThanOrEqual(born);
      }
    });

    it('a learner reads ages a few days too old', () => {
      const off = tests.flatMap((t) =>
        t.learnerAgeDays !== undefined && t.ageDays !== undefined ? [t.learnerAgeDays - t.ageDays] : [],
      );
      expect(off.length).toBeGreaterThan(20);
      const mean = off.reduce((s, d) => s + d, 0) / off.length;
      expect(mean).toBeGreaterThan(2);
      expect(mean).toBeLessThan(6);
    });

    it('two tubes are out for young, and one for a gene', () => {
      const answered = new Set(tests.flatMap((t) => t.sampleId ?? []));
      const out = ofType('sample').filter((s) => !answered.has(s.id) && dayOf(TODAY) - dayOf(s.on) < 30);
      expect(out.filter((s) => s.purpose === 'pregnancy')).toHaveLength(2);
      expect(out.filter((s) => s.purpose === 'gene').length).toBeGreaterThan(0);
    });
  });
});
