import { Inject, Injectable } from '@nestjs/common';
import { otherSireText, say, spokenLanguage } from '@yaylak/contract';
import type { GoneNumber, RosterAnimal, RosterView } from '@yaylak/contract';
import {
  bySpecies,
  FAT_GROUPS,
  feedFrom,
  groupOn,
  isoOf,
  mainIdentifier,
  rearedBy,
  SAMPLE_LOOKBACK_DAYS,
  withheldOn,
  wornIdentifiers,
  type AnimalFacts,
  type ByEye,
  type Day,
  type Habits,
  type Reading,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Derived, type Whole } from '../book/derived';
import { ChoosingService, type Points } from '../choosing/choosing.service';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { JudgeService } from '../choosing/judge.service';
import { ConditionService } from '../condition/condition.service';
import { biasView, photoView, tagView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { MatingHistoryService } from '../mating/history.service';
import { LearnedService } from '../selling/learned.service';
import { OutletsService } from '../selling/outlets.service';
import { ProductsService } from '../remedies/products.service';
import { TemplatesService } from './templates.service';

/** Weights a device keeps of an animal beside its first: enough for a gain and a look back. */
const ROSTER_WEIGHTS = 6;
/** Numbers of those gone are kept so long: a tag found in the grass is asked about, one of ten years ago is not. */
const GONE_DAYS = 6 * 365;
/** Animals read in one go, before other requests are let on. */
const AT_ONCE = 400;
/** Kinds that change what is said of other animals than the one they are of. */
const NAMED_BY = [
  'identifier',
  'identifier-end',
  'stay',
  'stay-end',
  'harness',
  'service',
  'birth',
  'fostering',
] as const;
/** Scores a device keeps of an animal: enough for its trend. */
const ROSTER_SCORES = 3;

/** All that a device takes to the race. */
@Injectable()
export class RosterService {
  private readonly goneOfAll: Whole<GoneNumber[]>;
  private readonly lastTubesOfAll: Whole<Record<string, string>>;
  /** What a device keeps of each beside its points; asked with what it hangs on beside its kin. */
  private readonly rows: Derived<Omit<RosterAnimal, 'points'>, string>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(ChoosingService) private readonly choosing: ChoosingService,
    @Inject(ConditionService) private readonly condition: ConditionService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(JudgeService) private readonly judge: JudgeService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(LearnedService) private readonly learned: LearnedService,
    @Inject(ProductsService) private readonly products: ProductsService,
    @Inject(TemplatesService) private readonly templates: TemplatesService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.goneOfAll = book.ofKinds(['arrival', 'departure', 'identifier', 'identifier-end'], () =>
      this.gone(this.clock.today()),
    );
    this.rows = new Derived(
      () => book.state,
      (facts) => this.animal(facts, clock.today()),
      (_, also) => also,
    );
    this.lastTubesOfAll = book.ofKinds(['sample'], () => this.lastTubes(this.clock.today()));
  }

  async view(): Promise<RosterView> {
    const today = this.clock.today();
    const points = await this.choosing.points();
    const standards = await this.holding.standards();
    const animals: RosterAnimal[] = [];
    const also = this.rowsHangOn(today);
    for (const [i, facts] of this.book.state.present(today).entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
      animals.push({ ...this.rows.of(facts, also), ...judgedSoFar(facts, points, this.judge.eye(facts, standards)) });
    }
    return {
      on: isoOf(today),
      animals,
      gone: this.goneOfAll.get(),
      products: this.products.list().filter((p) => !p.isClosed),
      templates: await this.templates.list(),
      ...(await this.sellingHere()),
      biases: [...this.book.state.tapeBiases.values()].map(biasView),
      lastTubes: this.lastTubesOfAll.get(),
    };
  }

  /** Names of groups, products and other animals, who runs with whom, the day, and the language names are said in. */
  private rowsHangOn(today: Day): string {
    const { state } = this.book;
    return [spokenLanguage(), today, state.recordsVersion, ...state.versionsOf(NAMED_BY)].join(' ');
  }

  /** What the finish station judges by. */
  private async sellingHere(): Promise<Pick<RosterView, 'outlets' | 'habits' | 'killingOut'>> {
    const outlets = (await this.outlets.list()).filter((o) => !o.isClosed);
    return {
      outlets,
      habits: outlets.flatMap(({ id, facts }) =>
        FAT_GROUPS.map((group) => {
          const { shape, fat } = this.learned.habitsAt(facts.species, id, group);
          const asUsed = ({ used, sd }: Habits['shape']): Habits['shape'] => ({ used, sd });
          return { outletId: id, group, shape: asUsed(shape), fat: asUsed(fat) };
        }),
      ),
      killingOut: bySpecies((species) => this.learned.killingOut(species)),
    };
  }

  private animal(facts: AnimalFacts, today: Day): Omit<RosterAnimal, 'points'> {
    const { record } = facts;
    const groupId = groupOn(facts, today);
    const worn = wornIdentifiers(facts);
    const wornIds = new Set(worn.map((i) => i.entryId));
    return {
      tag: tagView(facts, today),
      species: record.species,
      sex: record.sex,
      bornOn: record.bornOn === undefined ? null : isoOf(record.bornOn),
      ...(record.birthKnownTo === undefined ? {} : { birthKnownTo: record.birthKnownTo }),
      ...(record.strain === undefined ? {} : { strain: record.strain }),
      birthType: record.birthType ?? null,
      rearingType: this.book.state.litters.rearingType(facts, today) ?? null,
      dam: this.shortName(record.damId),
      damId: record.damId ?? null,
      sire: this.shortName(record.sireId),
      groupId: groupId ?? null,
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      weights: rosterWeights(this.book.state.daily(facts)),
      worn: worn.map((i) => [i.text, i.entryId, i.kind]),
      formerly: facts.identifiers.filter((i) => !wornIds.has(i.entryId)).map((i) => i.text),
      withheld: withheldOn(facts, today).map(({ of, until, productId }) => ({
        of,
        until: isoOf(until),
        product: this.book.state.products.get(productId)?.facts.name ?? say('a product'),
      })),
      given: [...new Map(facts.treatments.map((t) => [t.productId, isoOf(t.on)]))],
      scores: this.book.state
        .scores(facts)
        .slice(-ROSTER_SCORES)
        .map((s) => [isoOf(s.on), s.score] as const),
      mob: facts.mobs.at(-1)?.mob ?? null,
      ...this.runsWith(facts, today),
      ...this.served(facts),
      femaleKind: this.condition.femaleKind(facts),
      ...fedFrom(facts),
      ...pictured(facts),
    };
  }

  /** Of a female, the males that run with her group and the colour each wears now, teasers too. */
  private runsWith(facts: AnimalFacts, today: Day): Pick<RosterAnimal, 'runsWith'> {
    const groupId = groupOn(facts, today);
    if (facts.record.sex !== 'female' || groupId === undefined) return {};
    const stays = this.history.exposures.filter(
      (e) => e.groupId === groupId && e.from <= today && (e.to === undefined || e.to >= today),
    );
    if (stays.length === 0) return {};
    return {
      runsWith: stays.map(({ maleId, isTeaser }) => ({
        maleId,
        name: this.shortName(maleId) ?? say('a male'),
        colour: this.history.raddleOf(maleId, groupId, today),
        isTeaser,
      })),
    };
  }

  /** Of a female, the services she may be carrying from, and the birth before them. */
  private served(facts: AnimalFacts): Pick<RosterAnimal, 'served' | 'lastBirthOn' | 'rears'> {
    const { spells, lastBirthOn } = this.history.of(facts);
    const open = spells.filter((s) => !s.isRipe && (lastBirthOn === undefined || s.on > lastBirthOn));
    return {
      ...(lastBirthOn === undefined ? {} : { lastBirthOn: isoOf(lastBirthOn), ...this.rears(facts, lastBirthOn) }),
      ...(open.length === 0
        ? {}
        : {
            served: open.map((s) => ({
              from: isoOf(s.on),
              to: isoOf(s.lastOn),
              males: [
                ...s.maleIds.flatMap((id) => this.shortName(id) ?? []),
                ...s.services.flatMap((one) => otherSireText(one) ?? []),
              ],
            })),
          }),
    };
  }

  /** Of one that has given birth not longer ago than young suckle: how many are under her now. */
  private rears({ record: { id, species } }: AnimalFacts, lastBirthOn: Day): Pick<RosterAnimal, 'rears'> {
    const { state } = this.book;
    const today = this.clock.today();
    if (today - lastBirthOn > state.settings(species).weaningDays.closes) return {};
    return { rears: state.litters.youngAbout(id).filter((y) => rearedBy(y, today) === id).length };
  }

  private shortName(id: string | undefined): string | null {
    const facts = id === undefined ? undefined : this.book.state.animals.get(id);
    return (facts && mainIdentifier(facts)?.identifier.text) ?? null;
  }

  private gone(today: Day): GoneNumber[] {
    const gone: GoneNumber[] = [];
    for (const facts of this.book.state.animals.values()) {
      const left = facts.departures.find((d) => d.on <= today && d.on > today - GONE_DAYS);
      if (!left) continue;
      const name = mainIdentifier(facts)?.identifier.text ?? say('no number');
      for (const text of new Set(facts.identifiers.map((i) => i.text)))
        gone.push({ text, animalId: facts.record.id, name, how: left.how, on: isoOf(left.on) });
    }
    return gone;
  }

  /** The last tube of each purpose of late: the next number follows from it. */
  private lastTubes(today: Day): Record<string, string> {
    const last = new Map<string, { readonly on: Day; readonly tube: string }>();
    for (const facts of this.book.state.animals.values())
      for (const { purpose, on, tube } of facts.samples) {
        if (today - on > SAMPLE_LOOKBACK_DAYS) continue;
        const known = last.get(purpose);
        if (!known || on > known.on || (on === known.on && tube > known.tube)) last.set(purpose, { on, tube });
      }
    return Object.fromEntries([...last].map(([purpose, { tube }]) => [purpose, tube]));
  }
}

/** First weight and the last few. */
function rosterWeights(daily: readonly Reading[]): (readonly [string, number, string])[] {
  const kept = daily.length > ROSTER_WEIGHTS ? [daily[0], ...daily.slice(-ROSTER_WEIGHTS)] : daily;
  return kept.flatMap((r) => (r ? [[isoOf(r.on), r.kg, r.method] as const] : []));
}

/** What the gate by points goes by: the ranking, the choice that was written down, and what was found looking it over. */
function judgedSoFar(
  { record, choices }: AnimalFacts,
  points: ReadonlyMap<string, Points>,
  { graded, failed }: ByEye,
): Pick<RosterAnimal, 'points' | 'pointsError' | 'chosen' | 'chosenOver' | 'grades'> {
  const own = points.get(record.id);
  const chosen = choices.at(-1);
  const over = chosen ? failed.filter((f) => f.on <= chosen.on).map((f) => f.standard.id) : [];
  return {
    points: own?.index ?? null,
    ...(own ? { pointsError: own.standardError } : {}),
    ...(chosen === undefined ? {} : { chosen: chosen.decision }),
    ...(over.length === 0 ? {} : { chosenOver: over }),
    ...(graded.length > 0 ? { grades: Object.fromEntries(graded.map((g) => [g.standard.id, g.grade])) } : {}),
  };
}

function fedFrom(facts: AnimalFacts): Pick<RosterAnimal, 'feedFrom'> {
  const from = feedFrom(facts);
  return from === undefined ? {} : { feedFrom: isoOf(from) };
}

function pictured(facts: AnimalFacts): Pick<RosterAnimal, 'photo'> {
  const photo = photoView(facts);
  return photo ? { photo } : {};
}
