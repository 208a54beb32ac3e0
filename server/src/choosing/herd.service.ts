import { Inject, Injectable } from '@nestjs/common';
import type { HerdView } from '@yaylak/contract';
import {
  bySpecies,
  comingFemales,
  femaleSeen,
  herdSeen,
  herdTable,
  parentAgeYears,
  sharesOf,
  spreadOf,
  type AnimalFacts,
  type ClassSeen,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { BreedingService, type TraitAnswers } from './breeding.service';
import { ChoosingService } from './choosing.service';
import { DraftsService } from './drafts.service';
import { SetsService } from './sets.service';

/** A class of its own for each year of age up to so many; the last holds all older ones. */
const CLASSES = 9;

/** The females of a species by age: what becomes of them, and what keeping young ones of a crop would bring. */
@Injectable()
export class HerdService {
  private readonly seen: Readonly<Record<Species, Whole<readonly ClassSeen[]>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(BreedingService) private readonly breeding: BreedingService,
    @Inject(ChoosingService) private readonly choosing: ChoosingService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(DraftsService) private readonly drafts: DraftsService,
    @Inject(SetsService) private readonly sets: SetsService,
  ) {
    this.seen = bySpecies((species) => book.ofKinds(['arrival', 'departure'], () => this.readSeen(species)));
  }

  async view(species: Species): Promise<HerdView> {
    const today = this.clock.today();
    const { answers, isBehind } = await this.breeding.recent(species);
    const { choosing } = this.book.state.settings(species);
    const firstAge = choosing.matedAtYears;
    const classes = this.seen[species].get().map((one, i) => ({
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
      coming: comingFemales(this.females(species), choosing, today).length,
      isBehind,
      gain: await this.gain(species, answers),
    };
  }

  private readSeen(species: Species): readonly ClassSeen[] {
    const { choosing } = this.book.state.settings(species);
    return herdSeen(
      this.females(species).flatMap((f) => femaleSeen(f, this.youngOf(f), choosing) ?? []),
      this.clock.today(),
      { classes: CLASSES, firstAge: choosing.matedAtYears, table: herdTable(choosing) },
    );
  }

  private females(species: Species): readonly AnimalFacts[] {
    return this.book.state.ofSpecies(species).filter((f) => f.record.sex === 'female');
  }

  /** What keeping some of the largest crop of females brings, with the males that are here. */
  private async gain(species: Species, values: TraitAnswers): Promise<HerdView['gain']> {
    const crops = this.sets.all().filter((s) => s.species === species && s.sex === 'female' && s.crop);
    const [crop] = [...crops].sort((a, b) => b.members.length - a.members.length);
    if (!crop) return null;
    const draft = await this.drafts.of(crop);
    const { ranked, how, basis } = await this.choosing.rank(crop, draft, values);
    const siresYears = parentAgeYears(crop.members, 'sireId', (id) => this.book.state.animals.get(id)?.record.bornOn);
    // Without the age of any sire a gain could not be told by the year.
    if (basis !== 'values' || ranked.length < 2 || siresYears === undefined) return null;
    const males = this.sets.all().filter((s) => s.species === species && s.sex === 'male');
    const ofMales = males.filter((s) => s.crop).reduce((sum, s) => sum + s.members.length, 0);
    const spread = spreadOf(
      ranked.map((r) => r.index),
      { geneticSd: 0, reliabilities: [] },
    );
    return {
      unit: how.scale,
      candidates: ranked.length,
      spread,
      males: {
        kept: males.filter((s) => !s.crop).reduce((sum, s) => sum + s.members.length, 0),
        of: ofMales,
        spread,
        ageYears: siresYears,
      },
    };
  }

  private youngOf({ record }: AnimalFacts): AnimalFacts[] {
    const { youngByParent, animals } = this.book.state;
    return [...(youngByParent.get(record.id) ?? [])].flatMap((id) => animals.get(id) ?? []);
  }
}
