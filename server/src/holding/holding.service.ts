import { randomBytes } from 'node:crypto';
import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { UNNAMED, writeDatesAs } from '@yaylak/contract';
import type {
  BlankTags,
  CalendarSetting,
  ChoosingSetting,
  ChangeHolding,
  DecisionMarksSetting,
  FieldFault,
  HoldingView,
  NextNumbers,
  ResourcesSetting,
  ScorersSetting,
  StandardSetting,
} from '@yaylak/contract';
import {
  DEFAULT_POINTS_WEIGHTS,
  isoMoment,
  isoOf,
  numbersToFit,
  readTemplate,
  SEX_LETTERS,
  SPECIES,
  USUAL_STANDARDS,
  yearOf,
  type DateOrder,
  type PointsWeights,
  type Sex,
  type Species,
  type WeekStart,
  type SpeciesOverrides,
  type WeightUnit,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { handAtWork } from '../common/hand';
import { plain } from '../common/plain';
import { badFields, staleVersion } from '../common/problems';
import { CONFIG } from '../common/tokens';
import type { ServerConfig } from '../config';
import { backupFiles } from '../database/bookFolder';
import { HistoryService } from '../history/history.service';
import { HoldingEntity } from '../records/holding.entity';
import { blankFaults, resourceFaults, standardFaults } from '../records/listFaults';
import { overrideFaults } from '../records/overrideFaults';
import { soundSettings } from '../records/soundSettings';
import { currencyFault, moneyIn } from './money';

export interface Settings {
  readonly name: string;
  readonly keeper: string;
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder | null;
  readonly weekStart: WeekStart | null;
  readonly currency: string;
  readonly pointsWeights: PointsWeights;
  readonly species: SpeciesOverrides;
  /** Null while nobody has said: all of them. */
  readonly keeps: Species[] | null;
  /** Null while the shipped ones stand. */
  readonly standards: StandardSetting[] | null;
  readonly blankTags: BlankTags[] | null;
  readonly scorers: ScorersSetting | null;
  readonly resources: ResourcesSetting | null;
  readonly calendar: CalendarSetting | null;
  readonly decisionMarks: DecisionMarksSetting | null;
  readonly choosing: ChoosingSetting | null;
  readonly calendarKey: string | null;
  readonly version: number;
}

const NEW_HOLDING: Settings = {
  ...UNNAMED,
  unit: 'kg',
  dateOrder: null,
  weekStart: null,
  currency: 'EUR',
  pointsWeights: DEFAULT_POINTS_WEIGHTS,
  species: {},
  keeps: null,
  standards: null,
  blankTags: null,
  scorers: null,
  resources: null,
  calendar: null,
  decisionMarks: null,
  choosing: null,
  calendarKey: null,
  version: 1,
};

const standardsOf = ({ standards }: Pick<Settings, 'standards'>): StandardSetting[] =>
  standards ?? USUAL_STANDARDS.map((one) => ({ ...one, sexes: [...one.sexes] }));

interface NumbersAsked {
  readonly species: Species;
  readonly sex: Sex;
  readonly count: number;
  /** Of birth; this year where it is not known. */
  readonly year?: number;
}

@Injectable()
export class HoldingService implements OnModuleInit {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /** By species, sex and how many were asked for. */
  private readonly numbersNext = new Map<string, Whole<NextNumbers>>();
  /** What of the stored settings can be used, read once a state of them: they are asked for with nearly everything. */
  private stored: { readonly of: string; readonly settings: Settings } | undefined;
  /** Grows with each change that is written here. */
  private written = 0;

  /** The first refusal already writes its days as the holding does. */
  async onModuleInit(): Promise<void> {
    await this.settings();
  }

  async settings(): Promise<Settings> {
    // Of a book that was read in the first is another, of a change of a name alone the second.
    const of = `${this.book.state.settingsVersion} ${this.written}`;
    const settings = this.stored?.of === of ? this.stored.settings : await this.read();
    // One read before a change was written is kept under what it was read as.
    this.stored = { of, settings };
    writeDatesAs(settings.dateOrder ?? 'day-month');
    return settings;
  }

  private async read(): Promise<Settings> {
    const row = await this.orm.em.fork().findOne(HoldingEntity, 1);
    if (!row) return NEW_HOLDING;
    const stored = row as unknown as Settings;
    const { leftOut, species } = soundSettings(stored);
    return { ...stored, species, ...Object.fromEntries(leftOut.map((field) => [field, NEW_HOLDING[field]])) };
  }

  async view(): Promise<HoldingView> {
    const s = await this.settings();
    const hand = handAtWork();
    const count = await this.orm.em.getConnection().execute<{ n: number }[]>('select count(*) as n from entry');
    return {
      writer: hand ? { name: hand.name, role: hand.role } : null,
      name: s.name,
      keeper: s.keeper,
      unit: s.unit,
      dateOrder: s.dateOrder ?? 'day-month',
      weekStart: s.weekStart ?? 'monday',
      currency: s.currency,
      pointsWeights: s.pointsWeights,
      overrides: s.species,
      keeps: this.kept(s.keeps),
      standards: standardsOf(s),
      blankTags: s.blankTags ?? [],
      scorers: s.scorers ?? { setRight: [] },
      resources: s.resources ?? { birthPens: [], away: [], lean: [] },
      calendar: s.calendar ?? {},
      decisionMarks: s.decisionMarks ?? {},
      choosing: s.choosing ?? { presets: [] },
      species: this.book.state.allSettings,
      version: s.version,
      today: isoOf(this.clock.today()),
      now: isoMoment(this.clock.moment()),
      about: {
        version: '0.1.0',
        animals: this.book.state.animals.size,
        entries: count[0]?.n ?? 0,
        backups: backupFiles(this.config.backupDir).length,
        devicesUrl: this.config.devicesUrl ?? null,
        isDemo: this.config.isDemo,
        findings: this.book.findings,
      },
    };
  }

  /** The species named, and those that are here all the same: nobody that is here is out of sight. */
  private kept(named: readonly Species[] | null): Species[] {
    if (named === null) return [...SPECIES];
    const here = new Set(this.book.state.present(this.clock.today()).map((facts) => facts.record.species));
    return SPECIES.filter((species) => named.includes(species) || here.has(species));
  }

  /** What animals are looked over for. */
  async standards(): Promise<readonly StandardSetting[]> {
    return standardsOf(await this.settings());
  }

  change(change: ChangeHolding): Promise<HoldingView> {
    return this.book.exclusively(async () => {
      const before = await this.settings();
      if (before.version !== change.version) throw staleVersion('setting', await this.view());
      const faults = overrideFaults(change.species ?? {});
      faults.push(...standardFaults(change.standards ?? []), ...blankFaults(change.blankTags ?? []));
      faults.push(...resourceFaults(change.resources), ...(await this.currencyFaults(change, before.currency)));
      if (faults.length > 0) throw badFields(faults);
      await this.save({
        name: change.name ?? before.name,
        keeper: change.keeper ?? before.keeper,
        unit: change.unit ?? before.unit,
        dateOrder: change.dateOrder ?? before.dateOrder ?? null,
        weekStart: change.weekStart ?? before.weekStart ?? null,
        currency: change.currency ?? before.currency,
        pointsWeights: change.pointsWeights ? { ...change.pointsWeights } : before.pointsWeights,
        species: change.species ?? before.species,
        keeps: change.keeps ?? before.keeps ?? null,
        standards: change.standards?.map((one) => ({ ...one })) ?? before.standards ?? null,
        blankTags: change.blankTags?.map((one) => ({ ...one })) ?? before.blankTags ?? null,
        scorers: (change.scorers && plain(change.scorers)) ?? before.scorers ?? null,
        resources: (change.resources && plain(change.resources)) ?? before.resources ?? null,
        calendar: (change.calendar && plain(change.calendar)) ?? before.calendar ?? null,
        decisionMarks: (change.decisionMarks && plain(change.decisionMarks)) ?? before.decisionMarks ?? null,
        choosing: (change.choosing && plain(change.choosing)) ?? before.choosing ?? null,
        calendarKey: before.calendarKey ?? null,
        version: before.version + 1,
      });
      return this.view();
    });
  }

  private async currencyFaults({ currency, keepsFigures }: ChangeHolding, before: string): Promise<FieldFault[]> {
    if (currency === undefined || currency === before || keepsFigures) return [];
    const money = await moneyIn(this.orm.em.fork(), this.book.state.animals.values());
    const message = currencyFault(money, before, currency);
    return message === undefined ? [] : [{ field: 'currency', message }];
  }

  /** The numbers to fit next: out of the bags in the drawer, or counted past every number ever worn. */
  async nextNumbers({ species, sex, count, year = yearOf(this.clock.today()) }: NumbersAsked): Promise<NextNumbers> {
    const template = readTemplate(this.book.state.settings(species).numberTemplate);
    if (template.kind === 'refused') return { numbers: [], colour: null };
    const { blankTags } = await this.settings();
    const used: string[] = [];
    for (const facts of this.book.state.animals.values())
      for (const i of facts.identifiers) if (i.kind === 'visual') used.push(i.text);
    const { numbers, colour = null } = numbersToFit({
      parts: template.parts,
      context: { year, speciesLetter: species.charAt(0).toUpperCase(), sexLetter: SEX_LETTERS[sex] },
      used,
      count,
      bags: (blankTags ?? []).filter((b) => b.species === species),
    });
    return { numbers, colour };
  }

  /** What the calendar's address is known by; made the first time it is asked for. */
  calendarKey(): Promise<string> {
    return this.book.exclusively(async () => {
      const settings = await this.settings();
      if (settings.calendarKey) return settings.calendarKey;
      const calendarKey = randomBytes(18).toString('base64url');
      await this.save({ ...settings, calendarKey });
      return calendarKey;
    });
  }

  private async save(settings: Settings): Promise<void> {
    const before = await this.settings();
    await this.book.transact(async (em) => {
      await em.upsert(HoldingEntity, { id: 1, ...settings });
      await this.changes.keep(em, ['holding', '1'], told(before), told(settings));
    });
    this.written++;
    const { species, unit, scorers } = settings;
    this.book.state.setSettings({ species, unit, scorers: scorers ?? { setRight: [] } });
  }
}

/** What of the settings somebody changes. */
const told = ({ version: _version, calendarKey: _key, ...rest }: Settings): object => rest;
