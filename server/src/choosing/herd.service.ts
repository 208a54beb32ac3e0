import { Inject, Injectable } from '@nestjs/common';
import type { HerdView } from '@yaylak/contract';
import {
  completedMonths,
  herdSeen,
  leavesByChoice,
  mean,
  sharesOf,
  spreadOf,
  type AnimalFacts,
  type Day,
  type FemaleSeen,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { BreedingService, type TraitAnswers } from './breeding.service';
import { ChoosingService } from './choosing.service';
import { DraftsService } from './drafts.service';
import { SetsService } from './sets.service';

/** A class of its own for each year of age up to so many; the last holds all older ones. */
const CLASSES = 9;
const YEAR_DAYS = 365.25;

/** The females of a species by age: what becomes of them, and what keeping young ones of a crop would bring. */
@Injectable()
export class HerdService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(BreedingService) private readonly breeding: BreedingService,
    @Inject(ChoosingService) private readonly choosing: ChoosingService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(DraftsService) private readonly drafts: DraftsService,
    @Inject(SetsService) private readonly sets: SetsService,
  ) {}

  async view(species: Species): Promise<HerdView> {
    const today = this.clock.today();
    const { answers, isBehind } = await this.breeding.recent(species);
    const { choosing } = this.book.state.settings(species);
    const firstAge = choosing.matedAtYears;
    const at = (list: readonly number[], years: number): number => list[Math.min(years, list.length - 1)] ?? 0;
    const usual = mean(choosing.rearedByAge.slice(firstAge)) ?? 1;
    const females = this.book.state.ofSpecies(species).filter((f) => f.record.sex === 'female');
    const seen = herdSeen(
      females.flatMap((f) => this.seen(f, firstAge) ?? []),
      today,
      {
        classes: CLASSES,
        firstAge,
        table: (age) => ({
          died: choosing.diesShare,
          culled: at(choosing.culledByAge, age),
          // A younger or older one brings fewer.
          young: (choosing.daughtersAYear * at(choosing.rearedByAge, age)) / usual,
        }),
      },
    );
    const classes = seen.map((one, i) => ({
      ...sharesOf(one),
      ageYears: firstAge + i,
      years: one.years,
      table: one.table,
    }));
    return {
      species,
      classes,
      head: classes.reduce((sum, c) => sum + c.head, 0),
      matedAtYears: firstAge,
      coming: this.young(species, firstAge).length,
      isBehind,
      gain: await this.gain(species, answers),
    };
  }

  /** In the herd from her first year of mating on, or from the day she came where she was older. */
  private seen({ record, arrivedOn, departures }: AnimalFacts, firstAge: number): FemaleSeen | undefined {
    const { id, bornOn } = record;
    if (bornOn === undefined) return undefined;
    const gone = departures[0];
    const inHerd = Math.max(bornOn + Math.floor(firstAge * YEAR_DAYS), arrivedOn ?? bornOn) as Day;
    return {
      bornOn,
      bredFrom: inHerd,
      leftOn: gone?.on,
      hasDied: gone?.how === 'died',
      daughters: [...(this.book.state.youngByParent.get(id) ?? [])].flatMap((youngId) => {
        const young = this.book.state.animals.get(youngId);
        if (young?.record.bornOn === undefined || young.record.damId !== id || young.record.sex !== 'female') return [];
        const left = young.departures[0];
        return [{ bornOn: young.record.bornOn, diedOn: left?.how === 'died' ? left.on : undefined }];
      }),
    };
  }

  /** Young females here that are not in the herd yet, less those chosen to go. */
  private young(species: Species, firstAge: number): AnimalFacts[] {
    const today = this.clock.today();
    return this.book.state.present(today).filter((facts) => {
      const { record } = facts;
      if (record.species !== species || record.sex !== 'female' || record.bornOn === undefined) return false;
      return completedMonths(record.bornOn, today) < 12 * firstAge && !leavesByChoice(facts);
    });
  }

  /** What keeping some of the largest crop of females brings, with the males that are here. */
  private async gain(species: Species, values: TraitAnswers): Promise<HerdView['gain']> {
    const crops = this.sets.all().filter((s) => s.species === species && s.sex === 'female' && s.crop);
    const [crop] = [...crops].sort((a, b) => b.members.length - a.members.length);
    if (!crop) return null;
    const draft = await this.drafts.of(crop);
    const { ranked, how, basis } = await this.choosing.rank(crop, draft, values);
    if (basis !== 'values' || ranked.length < 2) return null;
    const males = this.sets.all().filter((s) => s.species === species && s.sex === 'male');
    const ofMales = males.filter((s) => s.crop).reduce((sum, s) => sum + s.members.length, 0);
    const spread = spreadOf(
      ranked.map((r) => r.index),
      { geneticSd: 0, reliabilities: [] },
    );
    const parents = this.parentAges(crop.members);
    return {
      unit: how.scale,
      candidates: ranked.length,
      spread,
      damAge: parents.dams,
      males: {
        kept: males.filter((s) => !s.crop).reduce((sum, s) => sum + s.members.length, 0),
        of: ofMales,
        spread,
        ageYears: parents.sires,
      },
    };
  }

  /** Mean age of dams and of sires at the births of a crop, years. */
  private parentAges(crop: readonly AnimalFacts[]): { readonly dams: number; readonly sires: number } {
    const age = (parent: 'damId' | 'sireId'): number =>
      mean(
        crop.flatMap(({ record }) => {
          const born = this.book.state.animals.get(record[parent] ?? '')?.record.bornOn;
          return born === undefined || record.bornOn === undefined ? [] : [(record.bornOn - born) / YEAR_DAYS];
        }),
      ) ?? 0;
    return { dams: age('damId'), sires: age('sireId') };
  }
}
