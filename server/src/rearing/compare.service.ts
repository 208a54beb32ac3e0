import { Inject, Injectable } from '@nestjs/common';
import {
  quarterText,
  weightText,
  type FeedNoGainView,
  type FeedNotWeighedView,
  type FeedTrialView,
  type LitterGroupBy,
  type LitterGroupView,
  type LittersQuery,
  type LittersView,
  type LitterValue,
  type TrendView,
  fixedText,
  say,
} from '@yaylak/contract';
import {
  addDays,
  compareLitters,
  fedYoung,
  feedTrial,
  gainOnFeed,
  isoOf,
  isOneLitter,
  litterTrend,
  mean,
  quarterOf,
  weanedKg,
  type AnimalFacts,
  type Birth,
  type Day,
  type FeedRecord,
  type GainOnFeed,
  type LitterRecord,
  type LitterTrend,
  type Species,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { HoldingService } from '../holding/holding.service';
import { LittersService } from './litters.service';
import { RearingService } from './rearing.service';

/** Litters of so many years are compared. */
const YEARS = 3;
const TRENDS = 40;

interface Told {
  readonly facts: AnimalFacts;
  readonly birth: Birth;
  readonly parity: number;
  readonly value: number | undefined;
}

/** Litters compared fairly, females whose litters fall, and feeds that were tried. */
@Injectable()
export class CompareService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(RearingService) private readonly rearing: RearingService,
    @Inject(LittersService) private readonly litters: LittersService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(AnimalPageService) private readonly pages: AnimalPageService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view({ species, by = 'doe', value = 'reared', dearer, cheaper }: LittersQuery): Promise<LittersView> {
    const told = this.told(species, value);
    const compared = compareLitters(
      told.flatMap((t) => this.record(t, by)),
      value !== 'born',
    );
    const feeds = this.feeds(species);
    const { currency } = await this.holding.settings();
    return {
      on: isoOf(this.clock.today()),
      species,
      currency,
      by,
      value,
      litters: compared?.litters ?? 0,
      mean: compared?.mean ?? null,
      groups: compared?.groups.map(({ group, ...g }): LitterGroupView => ({ ...g, ...this.named(group, by) })) ?? [],
      trends: this.trends(species),
      feeds,
      trial: this.trial(species, feeds, dearer, cheaper),
    };
  }

  /** Every birth of the last years with what it is compared by; those still with their dam are not reared yet. */
  private told(species: Species, value: LitterValue): Told[] {
    const since = addDays(this.clock.today(), -YEARS * 365);
    return this.rearing.births(species, since).flatMap(({ facts, birth }): Told[] => {
      const parity = 1 + this.book.state.litters.birthsOf(facts.record.id).findIndex((b) => b.on === birth.on);
      return [{ facts, birth, parity, value: this.valueOf(facts, birth, value) }];
    });
  }

  private valueOf(facts: AnimalFacts, birth: Birth, value: LitterValue): number | undefined {
    if (value === 'born') return birth.alive;
    const tally = this.rearing.tally(facts, birth);
    if (tally.withHer > 0) return undefined;
    return value === 'reared' ? tally.reared : this.weanedKg(facts, birth);
  }

  /** Kilograms of those she weaned, of hers and of others, at the age of weaning. */
  weanedKg({ record }: AnimalFacts, birth: Birth): number | undefined {
    const settings = this.book.state.settings(record.species);
    const ageDays = settings.weaningDays.bestFrom;
    const young = this.book.state.litters.youngAbout(record.id).flatMap((y) => {
      const facts = this.book.state.animals.get(y.id);
      const by = y.fosterings.at(-1);
      const isHers = by ? by.damId === record.id : y.birthDamId === record.id;
      const weaned = y.weanedOn ?? addDays(y.bornOn, ageDays);
      const isOf = isOneLitter(y.bornOn, birth.on);
      const growing = facts && isHers && isOf && (y.goneOn ?? Infinity) >= weaned && this.growth.growing(facts);
      return growing ? [growing] : [];
    });
    return weanedKg(young, ageDays, settings);
  }

  private record({ facts, birth, parity, value }: Told, by: LitterGroupBy): LitterRecord[] {
    if (value === undefined) return [];
    const damId = facts.record.id;
    const sireId = birth.youngIds.map((id) => this.book.state.animals.get(id)?.record.sireId).find((id) => id);
    const season = quarterText(quarterOf(birth.on));
    const group = { doe: damId, buck: sireId, pair: sireId && `${damId} ${sireId}`, season }[by];
    return group === undefined ? [] : [{ group, parity, size: birth.alive, value }];
  }

  private named(group: string, by: LitterGroupBy): Pick<LitterGroupView, 'name' | 'tags'> {
    if (by === 'season') return { name: group, tags: [] };
    const tags = group.split(' ').flatMap((id) => {
      const facts = this.book.state.animals.get(id);
      return facts ? [tagView(facts, this.clock.today())] : [];
    });
    return { name: tags.map((t) => t.name ?? t.text).join(` ${say('and')} `), tags };
  }

  /** Females that are here, those whose litters fall first. */
  private trends(species: Species): TrendView[] {
    const order = ['falling', 'steady', 'rising', 'too-few'];
    const perLitter = (trend: LitterTrend): number => (trend.kind === 'too-few' ? 0 : trend.perLitter);
    return (
      this.book.state
        .present(this.clock.today())
        .filter(({ record }) => record.species === species && record.sex === 'female')
        .flatMap((facts) => {
          const births = this.book.state.litters.birthsOf(facts.record.id);
          return births.length === 0 ? [] : [{ facts, births, found: this.sizeTrend(facts, births) }];
        })
        .sort(
          ({ found: a }, { found: b }) => order.indexOf(a.kind) - order.indexOf(b.kind) || perLitter(a) - perLitter(b),
        )
        // What else there is to say is worked out for those that are shown.
        .slice(0, TRENDS)
        .map(({ facts, births }) => this.trend(facts, births))
    );
  }

  private sizeTrend(facts: AnimalFacts, births: readonly Birth[]): LitterTrend {
    const { rearing } = this.book.state.settings(facts.record.species);
    return litterTrend(sizesOf(births), { usual: rearing.youngByBirth, spreadSd: rearing.youngSd });
  }

  trend(facts: AnimalFacts, births: readonly Birth[]): TrendView {
    const today = this.clock.today();
    const { rearing } = this.book.state.settings(facts.record.species);
    const found = this.sizeTrend(facts, births);
    const isKnown = found.kind !== 'too-few';
    const also = this.alsoOf(facts, births, rearing.youngSd);
    return {
      tag: tagView(facts, today),
      sizes: sizesOf(births),
      kind: found.kind,
      litters: found.litters,
      perLitter: isKnown ? found.perLitter : null,
      low: isKnown ? found.low : null,
      high: isKnown ? found.high : null,
      also,
      suggestion: retireText(found, also, (kg) => weightText(kg, this.book.state.unit, facts.record.species)),
      lastScore: this.book.state.scores(facts).at(-1)?.score ?? null,
      alarm: this.pages.alarm(facts),
    };
  }

  /** Trends of what reached weaning and of the kilograms weaned, where four litters tell of them. */
  private alsoOf(facts: AnimalFacts, births: readonly Birth[], youngSd: number): TrendView['also'] {
    const survival = births.map((b) => this.rearing.tally(facts, b).survival);
    const kgs = births.map((b) => this.weanedKg(facts, b));
    const kgAYoung = mean(births.flatMap((b, i) => (kgs[i] === undefined || b.alive === 0 ? [] : [kgs[i] / b.alive])));
    const trends = [
      ['survival', litterTrend(survival, { usual: [0], spreadSd: SURVIVAL_SD, unit: SURVIVAL_SD })],
      ['weaned-kg', litterTrend(kgs, { usual: [0], spreadSd: youngSd * (kgAYoung ?? 1), unit: kgAYoung ?? 1 })],
    ] as const;
    return trends.flatMap(([of, { kind, ...found }]) =>
      kind === 'too-few' || !('perLitter' in found)
        ? []
        : [{ of, kind, perLitter: found.perLitter, low: found.low, high: found.high }],
    );
  }

  /** Feeds by name with what they cost, the dearest first. */
  private feeds(species: Species): { feed: string; priceMinor: number; litters: number }[] {
    const byName = new Map<string, { feed: string; prices: number[] }>();
    for (const { record, feeds } of this.book.state.ofSpecies(species))
      // What a pen of young ate says nothing of a litter.
      if (feeds.length > 0 && this.book.state.litters.youngAbout(record.id).length > 0)
        for (const f of feeds) {
          const own = byName.get(f.feed) ?? { feed: f.feed, prices: [] };
          byName.set(f.feed, own);
          own.prices.push(f.priceMinor);
        }
    return [...byName.values()]
      .map(({ feed, prices }) => ({ feed, priceMinor: Math.round(mean(prices) ?? 0), litters: prices.length }))
      .sort((a, b) => b.priceMinor - a.priceMinor || (a.feed < b.feed ? -1 : 1));
  }

  /** Two feeds against each other: those asked for, else the dearest and the one after it. */
  private trial(
    species: Species,
    feeds: readonly { feed: string; priceMinor: number; litters: number }[],
    dearer: string | undefined,
    cheaper: string | undefined,
  ): FeedTrialView | FeedNoGainView | FeedNotWeighedView | null {
    const a = feeds.find((f) => f.feed === dearer) ?? feeds[0];
    const b = feeds.find((f) => f.feed === cheaper && f !== a) ?? feeds.find((f) => f !== a);
    if (!a || !b) return null;
    const [high, low] = a.priceMinor >= b.priceMinor ? [a, b] : [b, a];
    const tried = (feed: string): { readonly records: FeedRecord[]; readonly perYoung: number[] } => {
      const all = this.tried(species, feed);
      return { records: all, perYoung: all.map((r) => r.gainKg / r.young) };
    };
    const [first, second] = [tried(high.feed), tried(low.feed)];
    const youngKg = mean([...first.perYoung, ...second.perYoung]) ?? 0;
    const found = feedTrial(
      { pricePerKg: high.priceMinor, records: first.records },
      { pricePerKg: low.priceMinor, records: second.records },
      youngKg,
    );
    if (found.kind === 'not-tried') {
      const { feed, litters } = first.records.length === 0 ? high : low;
      return { kind: 'not-weighed', feed, litters };
    }
    if (found.kind === 'no-gain') return { kind: 'no-gain', feed: (found.on === 'dearer' ? high : low).feed };
    const arm = ({ feed, priceMinor, litters }: typeof high, of: typeof found.dearer) => ({
      feed,
      priceMinor,
      records: of.records,
      leftOut: litters - of.records,
      feedPerKgGained: of.feedPerKgGained,
      costMinorPerKg: of.costPerKgGained,
    });
    return {
      kind: 'found',
      dearer: arm(high, found.dearer),
      cheaper: arm(low, found.cheaper),
      differenceMinor: found.costDifference,
      halfWidthMinor: found.halfWidth ?? null,
      verdict: found.verdict,
      perYoungMinor: found.perYoung,
      youngKg,
      moreNeeded: found.moreNeeded ?? null,
    };
  }

  /** What litters gained while they ate of a feed. */
  private tried(species: Species, feed: string): (FeedRecord & { readonly young: number })[] {
    return this.book.state.ofSpecies(species).flatMap((dam) =>
      dam.feeds
        .filter((f) => f.feed === feed)
        .flatMap((f) => {
          const gained = this.gained(dam, f.since, f.on);
          return gained ? [{ ...gained, feedKg: f.kg }] : [];
        }),
    );
  }

  private gained(dam: AnimalFacts, since: Day, until: Day): GainOnFeed | undefined {
    const { id, species } = dam.record;
    const young = fedYoung(id, this.book.state.litters.youngAbout(id), since, until);
    const bornOn = young[0]?.bornOn;
    if (bornOn === undefined) return undefined;
    const { days } = this.litters.now({ species, dam, bornOn, young, birth: undefined });
    const fed = young.map((y) => ({ id: y.id, daily: this.litters.dailyOf(y.id) }));
    return gainOnFeed(fed, days, since, until);
  }
}

const sizesOf = (births: readonly Birth[]): number[] => births.map((b) => b.alive + b.dead);

/** Share of a litter that reaches weaning: spread from litter to litter. Rule of thumb. */
const SURVIVAL_SD = 0.2;

/** What a fall says; null where nothing falls. */
function retireText(size: LitterTrend, also: TrendView['also'], weight: (kg: number) => string): string | null {
  const falls = [
    ...(size.kind === 'falling'
      ? [
          say('{n} fewer each litter over {litters}', {
            n: fixedText(Math.abs(size.perLitter), 1),
            litters: size.litters,
          }),
        ]
      : []),
    ...also.flatMap((a) =>
      a.kind !== 'falling'
        ? []
        : [
            a.of === 'survival'
              ? say('{n}\u00a0% less of each litter reaches weaning', { n: Math.round(-100 * a.perLitter) })
              : say('{weight} less weaned each litter', { weight: weight(-a.perLitter) }),
          ],
    ),
  ];
  return falls.length === 0 ? null : say('Retire her: {list}, and that is hardly chance.', { list: falls.join('; ') });
}
