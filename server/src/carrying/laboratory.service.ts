import { Inject, Injectable } from '@nestjs/common';
import type { AgeingView, TubeOutView } from '@yaylak/contract';
import { ageingAgreement, isoOf, tooSoon, type AgeingPair, type AnimalFacts, type SampleFact } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { say } from '@yaylak/contract';

/** A tube not answered for so long was lost, or asked something nobody reads in. */
const OUT_DAYS = 200;

/** Tubes that are out at a laboratory, and ages told by a learner beside the scanner. */
@Injectable()
export class LaboratoryService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Tubes for young or genes that no result was read of, in the order they were filled. */
  tubesOut(): TubeOutView[] {
    const today = this.clock.today();
    return [...this.book.state.animals.values()]
      .flatMap((facts) => facts.samples.flatMap((s) => (today - s.on <= OUT_DAYS ? this.tubeOut(facts, s) : [])))
      .sort((a, b) => (a.on === b.on ? a.tube.localeCompare(b.tube, 'en', { numeric: true }) : a.on < b.on ? -1 : 1));
  }

  private tubeOut(facts: AnimalFacts, sample: SampleFact): TubeOutView[] {
    const { purpose, entryId, on, tube } = sample;
    if (purpose !== 'pregnancy' && purpose !== 'gene') return [];
    const answers = purpose === 'pregnancy' ? facts.pregnancyTests : facts.geneTests;
    if (answers.some((a) => a.sampleId === entryId)) return [];
    const { species } = facts.record;
    const blood = this.book.state.settings(species).tests.blood;
    const female = this.book.state.tested(facts.record.id, on);
    const isOfYoung = purpose === 'pregnancy';
    const carried = isOfYoung ? this.history.chance(facts) : undefined;
    return [
      {
        sampleId: entryId,
        tube,
        purpose,
        on: isoOf(on),
        tag: tagView(facts, this.clock.today()),
        numbers: facts.identifiers.map((i) => i.text),
        species,
        servedOn: isOfYoung && female?.servedOn !== undefined ? isoOf(female.servedOn) : null,
        probability: carried && !carried.isOverTime ? carried.chance.probability : null,
        isTooSoon: isOfYoung && blood !== undefined && female !== undefined && tooSoon(blood, female, on) !== undefined,
      },
    ];
  }

  /** Each learner's ages against those of the scanner, by the pair of them. */
  ageing(): AgeingView[] {
    const pairs = [...this.book.state.animals.values()].flatMap((facts) =>
      facts.pregnancyTests.flatMap(({ testedBy = say('the scanner'), learner, ageDays }): AgeingPair[] =>
        learner === undefined || ageDays === undefined
          ? []
          : [{ learner: learner.name, scanner: testedBy, learnerDays: learner.ageDays, scannerDays: ageDays }],
      ),
    );
    return ageingAgreement(pairs).map((a) => ({
      ...a,
      biasHalfWidth: a.biasHalfWidth ?? null,
      sd: a.sd ?? null,
      limits: a.limits ?? null,
    }));
  }
}
