import { Inject, Injectable } from '@nestjs/common';
import { PEN_STAGE_WORDS, SHIPPED_TEMPLATES, type DueWho, type DueWork } from '@yaylak/contract';
import { addDays, isByLitter, mainIdentifier, SPECIES, SPECIES_WORDS, type Day } from '@yaylak/core';
import { GivenService } from '../births/given.service';
import { BookService } from '../book/book.service';
import { windowView } from '../common/views';
import { LittersService } from '../rearing/litters.service';
import { SeasonService } from '../season/season.service';
import { batches, rowOf } from './batches';

/** The first of two steps of weaning, before whom it is done to. */
const OFF_THE_MILK = 'Off the milk:';

/** What is due of young: first handling, the next pen, weighing day by day, weaning. */
@Injectable()
export class YoungDueService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(LittersService) private readonly litters: LittersService,
    @Inject(GivenService) private readonly given: GivenService,
  ) {}

  list(today: Day): DueWork[] {
    return [...this.afterBirth(today), ...this.weaning(today), ...this.rearing(today)];
  }

  /** First handling of young, and dams that go on to the next pen with them. */
  private afterBirth(today: Day): DueWork[] {
    const births = this.given.births(SPECIES);
    const toHandle = births.flatMap(({ facts, birth }) =>
      this.given.toHandle(birth, facts.record.species).length > 0
        ? [{ facts, what: 'first handling', window: this.given.handlingWindow(birth, facts.record.species) }]
        : [],
    );
    const toMove = births.flatMap(({ facts, birth }) => {
      const next = this.given.stage(facts, birth)?.next;
      return next ? [{ facts, what: next.stage, window: next.window }] : [];
    });
    const plan = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn');
    return [
      ...batches(this.book.state, toHandle, today).map((batch): DueWork => ({
        ...rowOf(batch),
        key: `handle ${batch.key}`,
        does: ['Weigh and tag the young of'],
        why: ['first handling'],
        job: plan
          ? {
              name: `${batch.species ? SPECIES_WORDS[batch.species].young.unknown[1] : 'Young'}, first handling`,
              stations: plan.stations.filter((s) => s !== 'sample'),
              settings: plan.settings,
              gates: [],
            }
          : null,
        steps: [],
      })),
      ...batches(this.book.state, toMove, today).map((batch): DueWork => {
        const stage = batch.what;
        return {
          ...rowOf(batch),
          key: `pen ${batch.key}`,
          does: [`To the ${PEN_STAGE_WORDS[stage]}:`],
          why: ['with their young'],
          job: null,
          steps: [],
          writes: { type: 'pen-stage', stage },
        };
      }),
    ];
  }

  /** Young that are to be weaned, of species that are weaned as a group: those Rearing says it of. */
  private weaning(today: Day): DueWork[] {
    const ready = SPECIES.filter((s) => !isByLitter(this.book.state.settings(s))).flatMap((species) =>
      this.litters.withDams(species).flatMap((litter) =>
        this.litters.plans(litter).flatMap(({ id, isReady, step, window }) => {
          const facts = this.book.state.animals.get(id);
          return isReady && facts ? [{ facts, what: step, window }] : [];
        }),
      ),
    );
    return batches(this.book.state, ready, today).map((batch): DueWork => {
      const isFirst = batch.what === 'first';
      // No job of its own: put together with a weighing it would name others that are only weighed.
      return {
        ...rowOf(batch),
        key: `wean ${batch.key}`,
        does: [isFirst ? OFF_THE_MILK : 'Wean'],
        why: ['of age to be weaned'],
        job: null,
        steps: [],
        at: { path: `/rearing?species=${batch.species ?? ''}`, words: 'Wean' },
      };
    });
  }

  /** Litters that are weighed by the day, and who of them is to be weaned. */
  private rearing(today: Day): DueWork[] {
    return SPECIES.flatMap((species): DueWork[] => {
      const byLitter = isByLitter(this.book.state.settings(species));
      return this.litters.withDams(species).flatMap((litter): DueWork[] => {
        const { dam, bornOn, young } = litter;
        const name = dam ? (mainIdentifier(dam)?.identifier.text ?? 'a dam') : 'those reared by hand';
        const path = `/rearing?species=${species}&litter=${dam?.record.id ?? 'by-hand'}`;
        const base = { group: null, species, job: null, steps: [], isOpen: true };
        const how = this.litters.toWeigh(litter, this.litters.now(litter));
        const ready = byLitter ? this.litters.plans(litter).filter((p) => p.isReady) : [];
        const count = (n: number): DueWho => ({ count: n, words: SPECIES_WORDS[species].young.unknown, of: name });
        return [
          ...(how === undefined
            ? []
            : [
                {
                  ...base,
                  key: `litter ${litter.dam?.record.id} ${bornOn}`,
                  does: [how === 'together' ? 'Weigh together' : 'Weigh each'],
                  who: count(young.length),
                  why: [`day ${today - bornOn}`],
                  animalIds: young.map((y) => y.id),
                  window: windowView({ opens: today, bestFrom: today, bestTo: today, closes: addDays(today, 1) }),
                  at: { path: `${path}&do=weigh`, words: 'Weigh' },
                },
              ]),
          ...(ready.length === 0 || !ready[0]
            ? []
            : [
                {
                  ...base,
                  key: `wean ${litter.dam?.record.id} ${bornOn}`,
                  does: [ready[0].step === 'first' ? OFF_THE_MILK : 'Wean'],
                  who: count(ready.length),
                  why: [ready.length < young.length ? `${young.length - ready.length} later` : 'all of the litter'],
                  animalIds: ready.map((p) => p.id),
                  window: windowView(ready[0].window),
                  at: { path: `${path}&do=wean`, words: 'Wean' },
                },
              ]),
        ];
      });
    });
  }
}
