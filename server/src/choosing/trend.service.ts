import { Inject, Injectable } from '@nestjs/common';
import type { GeneticTrendView, TrendOfTrait } from '@yaylak/contract';
import {
  BREEDING_TRAITS,
  bySpecies,
  geneticParents,
  geneticTrend,
  yearOf,
  type AnimalId,
  type Bred,
  type BreedingAnswer,
  type Brought,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole } from '../book/derived';
import { breathe } from '../common/breathe';
import { BreedingService, type TraitAnswers } from './breeding.service';
import { traitState } from './traitState';

/** What choosing has done to the values over the years. */
@Injectable()
export class TrendService {
  /** By the values they are read from: those that are behind are asked for again and again. */
  private readonly traits: Readonly<Record<Species, Whole<Promise<readonly TrendOfTrait[]>>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(BreedingService) private readonly breeding: BreedingService,
  ) {
    this.traits = bySpecies(
      (species) =>
        new Whole(
          () => [...book.state.versionsOf(['arrival']), breeding.lastKnown(species)],
          () => this.read(species, breeding.lastKnown(species) ?? new Map()),
        ),
    );
  }

  async view(species: Species): Promise<GeneticTrendView> {
    const { isBehind } = await this.breeding.recent(species);
    return { species, isBehind, traits: await this.traits[species].get() };
  }

  private async read(species: Species, answers: TraitAnswers): Promise<readonly TrendOfTrait[]> {
    const bred = this.book.state.ofSpecies(species).flatMap(({ record }): Bred[] => {
      if (record.bornOn === undefined) return [];
      const { id, damId, sireId } = geneticParents(record);
      return [{ id, bornIn: yearOf(record.bornOn), damId, sireId }];
    });
    const traits: TrendOfTrait[] = [];
    for (const trait of BREEDING_TRAITS) {
      await breathe();
      const answer = answers.get(trait);
      traits.push({
        ...traitState(trait, answer),
        years: geneticTrend(bred, valuesOf(answer)).map(({ standardError, dams, sires, ...year }) => ({
          ...year,
          standardError: standardError ?? null,
          dams: orNull(dams),
          sires: orNull(sires),
        })),
      });
    }
    return traits;
  }
}

const valuesOf = (answer: BreedingAnswer | undefined): ReadonlyMap<AnimalId, number> =>
  new Map(answer?.kind === 'values' ? [...answer.of].map(([id, { value }]) => [id, value]) : []);

const orNull = (brought: Brought | undefined): Brought | null => brought ?? null;
