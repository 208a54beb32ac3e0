import { Inject, Injectable } from '@nestjs/common';
import type { ChoosingQuery, KinView } from '@yaylak/contract';
import { kinshipTable, leavesByChoice, type AnimalFacts } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { conflict } from '../common/problems';
import { tagView } from '../common/views';
import { BreedingService } from './breeding.service';
import { ChoosingService } from './choosing.service';
import { DraftsService } from './drafts.service';
import { SetsService, type FullSet } from './sets.service';
import { say } from '@yaylak/contract';

/** Kinship of more than these with each other is too much to send and to choose from. */
const MOST = 600;

/** Who of a set is kin to whom. */
@Injectable()
export class KinService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(BreedingService) private readonly breeding: BreedingService,
    @Inject(ChoosingService) private readonly choosing: ChoosingService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(DraftsService) private readonly drafts: DraftsService,
    @Inject(SetsService) private readonly sets: SetsService,
  ) {}

  async view(query: ChoosingQuery): Promise<KinView> {
    const set = this.choosing.setOf(query);
    const draft = await this.drafts.of(set);
    const { ranked } = await this.choosing.rank(set, draft, await this.breeding.values(set.species));
    if (ranked.length > MOST)
      throw conflict(
        say('{n} are too many to compare each with each.', { n: ranked.length }),
        say('Draw the line first: up to {most} can be weighed together.', { most: MOST }),
      );
    const animalIds = ranked.map((r) => r.id);
    const { pedigree, inbreeding } = this.book.state.family;
    const n = animalIds.length;
    const { values } = kinshipTable(pedigree, inbreeding, animalIds, animalIds);
    const mates = this.mates(set);
    const mateIds = mates.map((m) => m.record.id);
    const withMates = kinshipTable(pedigree, inbreeding, mateIds, animalIds).values;
    const today = this.clock.today();
    return {
      animalIds,
      sireIds: animalIds.map((id) => this.book.state.animals.get(id)?.record.sireId ?? null),
      kinship: animalIds.flatMap((_, i) => [...values.subarray(i * n, i * n + i)]),
      withMates:
        mates.length === 0
          ? null
          : animalIds.map(
              (_, i) => mates.reduce((sum, __, m) => sum + (withMates[m * n + i] as number), 0) / mates.length,
            ),
      mates: mates.map((m) => tagView(m, today)),
    };
  }

  /** Grown of the other sex that stay: nobody has chosen to sell or cull them. */
  private mates({ species, sex }: FullSet): readonly AnimalFacts[] {
    const other = sex === 'male' ? 'female' : 'male';
    return this.sets.grown(species, other).filter((facts) => !leavesByChoice(facts));
  }
}
