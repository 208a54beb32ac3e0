import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  weightText,
  type AnimalView,
  type BiasView,
  type BodyView,
  type DueView,
  type Entry,
  type GainView,
  type TagView,
  type TimelineItem,
  type WithheldOfAnimal,
  perCent,
  say,
  SPECIES_WORDS,
  lower,
} from '@yaylak/contract';
import {
  addDays,
  biasKey,
  isGuess,
  adultAlarm,
  againstAim,
  growthCurve,
  shareGrown,
  gainOverPeriod,
  gainSinceFirst,
  groupBand,
  groupOn,
  isoOf,
  isPresent,
  marksOn,
  reservedOn,
  weightForHeight,
  windowAfter,
  windowStage,
  type AnimalFacts,
  type Gain,
  type Day,
  withheldOn,
  type Reading,
  type ReservationFact,
  Z_80,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { Clock } from '../common/clock';
import { biasView, gainView, tagView, windowView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { AnimalsService } from './animals.service';
import { WeighingsService } from './weighings.service';

/** The period a gain is read over on the page. */
const PERIOD_DAYS = 60;
const TWELVE_YEARS = 12 * 365;

/** Past this share of its grown weight there is nothing to look ahead to. */
const GROWN_SHARE = 0.99;

/** Everything the page of one animal shows. */
@Injectable()
export class AnimalPageService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(WeighingsService) private readonly weighings: WeighingsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(id: string): Promise<AnimalView> {
    const facts = this.animals.find(id);
    const today = this.clock.today();
    const { record } = facts;
    const settings = this.book.state.settings(record.species);
    const daily = this.book.state.daily(facts);
    const departure = facts.departures[0];
    const reared = this.book.state.litters.rearedPerYear(facts, today);
    const timeline = await this.timeline(id);
    const period = gainOverPeriod(daily, { from: (today - PERIOD_DAYS) as Day, to: today }, settings);
    return {
      row: this.animals.row(facts),
      strain: record.strain ?? null,
      boughtMinor: record.boughtMinor ?? null,
      departed: departure
        ? { on: isoOf(departure.on), how: departure.how, toldUntil: departure.toldUntil ?? null }
        : null,
      marks: marksOn(facts, today).map((m) => ({
        colour: m.colour,
        place: m.place,
        purpose: m.purpose,
        until: m.until === undefined ? null : isoOf(m.until),
      })),
      reservation: reservationView(reservedOn(facts, today)),
      withheld: this.withheld(id, departure?.on ?? today),
      due: isPresent(facts, today) ? this.due(facts, today) : [],
      gains: {
        last: this.growth.gainOf(id),
        period: this.growth.judged(id, period),
        sinceBirth: plainGain(gainSinceFirst(daily, settings)),
      },
      verdict: this.growth.verdict(facts),
      alarm: this.alarm(facts),
      corrections: this.corrections(facts),
      curve: this.curve(facts, today),
      body: this.body(facts),
      identifiers: this.identifiers(timeline),
      ancestors: this.ancestors(facts),
      young: this.young(id),
      record: reared
        ? { ...reared, born: this.book.state.litters.birthsOf(id).reduce((s, b) => s + b.alive, 0) }
        : null,
      timeline: timeline.toReversed(),
    };
  }

  /** What of an animal may not be used on a day. */
  withheld(id: string, on: Day): WithheldOfAnimal[] {
    return withheldOn(this.animals.find(id), on).map(({ of, from, until, productId }) => ({
      of,
      from: isoOf(from),
      until: isoOf(until),
      clearFrom: isoOf(addDays(until, 1)),
      product: this.book.state.products.get(productId)?.facts.name ?? say('a product'),
    }));
  }

  private async timeline(id: string): Promise<TimelineItem[]> {
    const em = this.orm.em.fork();
    const kept = await readEntries(em, { animalId: id });
    const strikes = await readEntries(em, { ids: kept.flatMap((k) => k.struckBy ?? []) });
    const strikeOf = new Map(strikes.map((s) => [s.entry.id, s.entry]));
    return kept
      .sort((a, b) => (a.entry.on < b.entry.on ? -1 : a.entry.on > b.entry.on ? 1 : a.seq - b.seq))
      .map(({ entry, struckBy }) => {
        const strike = struckBy === undefined ? undefined : strikeOf.get(struckBy);
        const productName =
          entry.type === 'treatment' ? this.book.state.products.get(entry.productId)?.facts.name : undefined;
        const groupName =
          entry.type === 'move' || entry.type === 'stay' ? this.book.state.groups.get(entry.groupId)?.name : undefined;
        return {
          entry,
          struck:
            strike?.type === 'strike'
              ? { by: strike.writtenBy, at: strike.writtenAt, reason: strike.reason ?? null }
              : null,
          ...(groupName === undefined ? {} : { groupName }),
          ...(productName === undefined ? {} : { productName }),
          ...this.namesIn(entry),
        };
      });
  }

  /** How the others are called that an entry speaks of. */
  private namesIn(entry: Entry): Pick<TimelineItem, 'names'> {
    const ids = entry.type === 'service' ? entry.maleIds : entry.type === 'fostering' ? [entry.damId ?? ''] : [];
    const known = ids.filter((id) => id !== '');
    return known.length === 0 ? {} : { names: Object.fromEntries(known.map((id) => [id, this.book.nameOf(id)])) };
  }

  private identifiers(timeline: readonly TimelineItem[]): AnimalView['identifiers'] {
    return timeline.flatMap(({ entry, struck }) => {
      if (entry.type !== 'identifier' || struck) return [];
      const end = timeline.find(
        (t) => t.entry.type === 'identifier-end' && !t.struck && t.entry.identifierId === entry.id,
      )?.entry;
      const ended = end?.type === 'identifier-end' ? { on: end.on, how: end.how, reason: end.reason ?? null } : null;
      return [
        {
          entryId: entry.id,
          kind: entry.kind,
          text: entry.text,
          colour: entry.colour ?? null,
          ear: entry.ear ?? null,
          fittedOn: entry.on,
          ended,
        },
      ];
    });
  }

  private due(facts: AnimalFacts, today: Day): DueView[] {
    const { bornOn, species, sex } = facts.record;
    const settings = this.book.state.settings(species);
    const due = this.weighings.of(facts).map(({ step, window }): DueView => ({
      what: say('Weigh: {word}', { word: lower(say(step)) }),
      window: windowView(window),
    }));
    if (bornOn === undefined) return due;
    const weaning = windowAfter(bornOn, settings.weaningDays);
    if (windowStage(weaning, today) !== 'over') due.push({ what: say('Wean'), window: windowView(weaning) });
    const first = settings.femaleFirstMatingDays;
    const mating = windowAfter(bornOn, { opens: first - 30, bestFrom: first, bestTo: first + 60, closes: first + 120 });
    if (
      sex === 'female' &&
      windowStage(mating, today) !== 'over' &&
      this.book.state.litters.of(facts.record.id).length === 0
    )
      due.push({ what: say('Old enough for a first mating'), window: windowView(mating) });
    return due;
  }

  /** What is wrong with a grown animal's last weight, in words. @param since no alarm on an older weight */
  alarm(facts: AnimalFacts, since?: Day): string | null {
    const { id, bornOn, species } = facts.record;
    if (bornOn === undefined) return null;
    const grown = this.book.state.daily(facts).filter((r) => r.on - bornOn >= SPECIES_WORDS[species].grownFromDays);
    const last = grown.at(-1);
    if (!last || (since !== undefined && last.on < since)) return null;
    const alarm = adultAlarm(
      grown,
      this.book.state.litters.of(id).map((l) => l.bornOn),
    );
    return alarm ? alarmText(alarm, (kg) => weightText(kg, this.book.state.unit, species)) : null;
  }

  /** The biases by which guesses among its weights were set right. */
  private corrections({ weights, record: { species } }: AnimalFacts): BiasView[] {
    const used = new Set(
      weights.flatMap(({ by, method }) =>
        isGuess(method) ? (this.book.state.tapeBiases.get(biasKey({ by, method, species })) ?? []) : [],
      ),
    );
    return [...used].filter((b) => b.isUsed).map(biasView);
  }

  private curve(facts: AnimalFacts, today: Day): AnimalView['curve'] {
    const { record } = facts;
    const groupId = groupOn(facts, today);
    const daily = this.book.state.daily(facts);
    const first = record.bornOn ?? daily[0]?.on ?? today;
    const span = Math.min(TWELVE_YEARS, Math.max(7, (daily.at(-1)?.on ?? today) - first));
    const step = Math.max(1, Math.round(span / 40));
    const grid = Array.from({ length: Math.floor(span / step) + 1 }, (_, i) => i * step);
    const members: { bornOn: Day; daily: readonly Reading[] }[] = [];
    for (const other of this.book.state.animals.values()) {
      const { species, sex, bornOn } = other.record;
      if (species === record.species && sex === record.sex && bornOn !== undefined && other.weights.length > 1)
        members.push({ bornOn, daily: this.book.state.daily(other) });
    }
    return {
      grown: this.grown(facts, today),
      readings: daily.map((r) => ({ on: isoOf(r.on), ageDays: r.on - first, kg: r.kg, method: r.method })),
      band: groupBand(members, grid),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? SPECIES_WORDS[record.species].plural,
    };
  }

  /** What one that still grows should weigh in the end. */
  private grown({ record: { bornOn, species, id } }: AnimalFacts, today: Day): AnimalView['curve']['grown'] {
    const facts = this.book.state.animals.get(id);
    const settings = this.book.state.settings(species);
    if (!facts || bornOn === undefined || shareGrown(today - bornOn, settings) >= GROWN_SHARE) return null;
    const daily = this.book.state.daily(facts);
    const curve = growthCurve(bornOn, daily, settings);
    if (curve.kind === 'no-curve') return null;
    const { matureKg, halfWidthKg, kind } = curve;
    return { kg: matureKg, halfWidthKg, from: kind, readings: daily.length };
  }

  /** The last body measures, and what it weighed for its height. */
  private body(facts: AnimalFacts): BodyView | null {
    const measured = facts.measures.at(-1);
    if (!measured) return null;
    const { on, heightCm, lengthCm, girthCm } = measured;
    const { species, sex, bornOn } = facts.record;
    const settings = this.book.state.settings(species);
    const found =
      heightCm === undefined ? undefined : weightForHeight({ on, heightCm }, this.book.state.daily(facts), settings);
    const aim = settings.perCmHeightKg[sex === 'female' ? 'female' : 'male'];
    const isGrown = bornOn === undefined || shareGrown(on - bornOn, settings) >= GROWN_SHARE;
    return {
      on: isoOf(on),
      heightCm: heightCm ?? null,
      lengthCm: lengthCm ?? null,
      girthCm: girthCm ?? null,
      forHeight: found
        ? {
            kgPerCm: found.kgPerCm,
            halfWidth: Z_80 * found.sd,
            kg: found.weighed.kg,
            weighedOn: isoOf(found.weighed.on),
            aim,
            verdict: isGrown ? againstAim(found, aim) : null,
          }
        : null,
    };
  }

  private tag(id: string | undefined): TagView | null {
    const facts = id === undefined ? undefined : this.book.state.animals.get(id);
    return facts ? tagView(facts, this.clock.today()) : null;
  }

  private ancestors(facts: AnimalFacts): AnimalView['ancestors'] {
    const dam = this.book.state.animals.get(facts.record.damId ?? '')?.record;
    const sire = this.book.state.animals.get(facts.record.sireId ?? '')?.record;
    return {
      damDam: this.tag(dam?.damId),
      damSire: this.tag(dam?.sireId),
      sireDam: this.tag(sire?.damId),
      sireSire: this.tag(sire?.sireId),
    };
  }

  private young(id: string): AnimalView['young'] {
    const today = this.clock.today();
    return [...(this.book.state.youngByParent.get(id) ?? [])]
      .flatMap((youngId) => this.book.state.animals.get(youngId) ?? [])
      .sort((a, b) => (b.record.bornOn ?? 0) - (a.record.bornOn ?? 0))
      .slice(0, 200)
      .map((facts) => ({
        tag: tagView(facts, this.clock.today()),
        bornOn: facts.record.bornOn === undefined ? null : isoOf(facts.record.bornOn),
        isPresent: isPresent(facts, today),
      }));
  }
}

/** A gain that is judged by no line: since birth there is no telling what half the median would mean. */
const plainGain = (gain: Gain): GainView | null => (gain.kind === 'gain' ? gainView(gain, null, 'no-group') : null);

/** An adult alarm in words with its figures. */
function alarmText(alarm: NonNullable<ReturnType<typeof adultAlarm>>, weight: (kg: number) => string): string {
  const percent = perCent(Math.round(alarm.share * 100));
  return alarm.kind === 'fall'
    ? say('Lost {percent} in {days} days, from {weight} to {weight2}. Look at teeth, gut and feet.', {
        percent,
        days: alarm.days,
        weight: weight(alarm.fromKg),
        weight2: weight(alarm.kg),
      })
    : say('{weight} is {percent} of the usual {weight2} for the time of year. Look at teeth, gut and feet.', {
        weight: weight(alarm.kg),
        percent,
        weight2: weight(alarm.usualKg),
      });
}

const reservationView = (open: ReservationFact | undefined): AnimalView['reservation'] =>
  open
    ? {
        entryId: open.entryId,
        buyer: open.buyer,
        until: open.until === undefined ? null : isoOf(open.until),
        priceMinor: open.priceMinor ?? null,
        depositMinor: open.depositMinor ?? null,
      }
    : null;
