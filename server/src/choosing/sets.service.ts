import { Inject, Injectable } from '@nestjs/common';
import type { ChoosingQuery, ChoosingSet } from '@yaylak/contract';
import {
  bySpecies,
  cropsOf,
  dayOf,
  isoOf,
  isPresent,
  SEXES,
  SPECIES,
  type AnimalFacts,
  type Crop,
  type Day,
  type Sex,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole } from '../book/derived';
import { Clock } from '../common/clock';

interface Born {
  readonly facts: AnimalFacts;
  readonly bornOn: Day;
}

/** A set with who is in it. */
export interface FullSet {
  readonly species: Species;
  readonly sex: Sex;
  /** Undefined of the grown. */
  readonly crop: Crop<Born> | undefined;
  readonly members: readonly AnimalFacts[];
}

/** Who can be chosen among: crops of young by sex, and the grown by sex. */
@Injectable()
export class SetsService {
  private readonly ofSpecies: Readonly<Record<Species, Whole<readonly FullSet[]>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.ofSpecies = bySpecies(
      (species) =>
        new Whole(
          () => [...book.state.versionsOf(['arrival', 'departure', 'care']), book.state.settingsVersion, clock.today()],
          () => this.read(species),
        ),
    );
  }

  /** All sets with anybody in them: the young first, the latest crop first. */
  all(): readonly FullSet[] {
    const sets = SPECIES.flatMap((species) => this.ofSpecies[species].get());
    return [...sets.filter((s) => s.crop), ...sets.filter((s) => !s.crop)];
  }

  /** The set a day of birth falls in, or the grown. */
  find({ species, sex, from }: ChoosingQuery): FullSet | undefined {
    const sets = this.ofSpecies[species].get().filter((s) => s.sex === sex);
    if (from === undefined) return sets.find((s) => !s.crop);
    const day = dayOf(from);
    return sets.find(({ crop }) => crop && crop.from <= day && day <= crop.to);
  }

  /** The grown of a sex. */
  grown(species: Species, sex: Sex): readonly AnimalFacts[] {
    return this.find({ species, sex })?.members ?? [];
  }

  view({ species, sex, crop, members }: FullSet): ChoosingSet {
    return {
      species,
      sex,
      from: crop ? isoOf(crop.from) : null,
      to: crop ? isoOf(crop.to) : null,
      count: members.length,
    };
  }

  private read(species: Species): readonly FullSet[] {
    const today = this.clock.today();
    const { widestCropDays, youngDays } = this.book.state.settings(species).choosing;
    const all = this.book.state.ofSpecies(species);
    const born = all.flatMap((facts): Born[] => {
      const { bornOn } = facts.record;
      return bornOn === undefined || bornOn > today ? [] : [{ facts, bornOn }];
    });
    // Of all that were ever born: one that dies or is sold does not part its crop.
    const crops = cropsOf(born, widestCropDays).filter((crop) => today - crop.to <= youngDays);
    const isHere = (facts: AnimalFacts): boolean => isPresent(facts, today);
    const young = new Set(crops.flatMap((c) => c.members.map((m) => m.facts)));
    const grown = all.filter((facts) => !young.has(facts) && isHere(facts));
    const ofSexes = (crop: Crop<Born> | undefined, members: readonly AnimalFacts[]): FullSet[] =>
      SEXES.flatMap((sex) => {
        const own = members.filter((facts) => facts.record.sex === sex);
        return own.length === 0 ? [] : [{ species, sex, crop, members: own }];
      });
    return [
      ...crops.reverse().flatMap((crop) => ofSexes(crop, crop.members.map((m) => m.facts).filter(isHere))),
      ...ofSexes(undefined, grown),
    ];
  }
}
