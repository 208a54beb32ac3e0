import { Inject, Injectable } from '@nestjs/common';
import {
  femaleReasonText,
  pairText,
  type MatingQuery,
  type PairingView,
  type PairQuery,
  type PairView,
  type PedigreeNode,
  type PedigreeView,
  type TagView,
} from '@yaylak/contract';
import {
  addDays,
  capacityOf,
  commonAncestors,
  geneKey,
  generationEquivalents,
  geneticParents,
  groupOn,
  isoOf,
  kinshipTable,
  leavesPlan,
  mean,
  SHALLOW_GENERATIONS,
  type AnimalFacts,
  type PairRefusal,
} from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { FemalesToMateService } from './females.service';
import { MatingHistoryService } from './history.service';
import { MalesService } from './males.service';

/** Females paired in one go, before other requests are let on. */
const AT_ONCE = 100;
/** A male's young are believed like so many of no merit, before any of his own. */
const MERIT_PRIOR = 10;
const DEFAULT_GENERATIONS = 4;
const MOST_PARTNERS = 200;

/** Who may go to whom: kinship, genes and merit of every possible pair, and the pedigrees behind them. */
@Injectable()
export class PairingService {
  private readonly allGenerations: Whole<Float64Array>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(FemalesToMateService) private readonly females: FemalesToMateService,
    @Inject(MalesService) private readonly males: MalesService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.allGenerations = book.ofKinds(['arrival'], () => generationEquivalents(this.book.state.family.pedigree));
  }

  async view({ species, groupId }: MatingQuery): Promise<PairingView> {
    const today = this.clock.today();
    const { family } = this.book.state;
    const settings = this.book.state.settings(species);
    const females = this.males
      .femalesOfAge(species)
      .filter((f) => groupId === undefined || groupOn(f, today) === groupId);
    const males = this.males.inUse(species);
    const maleIds = males.map((m) => m.record.id);
    // One sweep a row: the shorter list.
    const table = kinshipTable(
      family.pedigree,
      family.inbreeding,
      maleIds,
      females.map((f) => f.record.id),
    );
    const inbreeding: number[] = [];
    const refusals: (PairRefusal | null)[] = [];
    for (const [row, f] of females.entries()) {
      if (row % AT_ONCE === AT_ONCE - 1) await breathe();
      for (const [column, m] of males.entries()) {
        const expected = table.values[column * females.length + row] ?? 0;
        inbreeding.push(expected);
        refusals.push(family.refusalOf(f.record.id, m.record.id, expected) ?? null);
      }
    }
    const inPlan: PairingView['males'][number][] = [];
    for (const m of males) {
      // All young of each are looked at.
      await breathe();
      inPlan.push({
        tag: tagView(m, today),
        isReady: this.males.readiness(m).isReady,
        capacity: capacityOf(m.record.bornOn, settings, today),
        generations: this.generations(m.record.id),
        inbreeding: family.inbreedingOf(m.record.id),
        ...this.merit(m.record.id),
      });
    }
    await breathe();
    return {
      on: isoOf(today),
      species,
      females: females.map((f) => ({
        tag: tagView(f, today),
        waits: this.females
          .readiness(f)
          .reasons.filter(leavesPlan)
          .map((r) => femaleReasonText(r, this.book.state.unit)),
        generations: this.generations(f.record.id),
        inbreeding: family.inbreedingOf(f.record.id),
      })),
      males: inPlan,
      inbreeding,
      refusals,
      present: females.map((f) => {
        const served = this.history.chance(f)?.spell.maleIds;
        const ids = served ?? this.history.runningWith(f, addDays(today, 1));
        return ids.flatMap((id) => (maleIds.includes(id) ? [maleIds.indexOf(id)] : []));
      }),
      most: settings.pairing.inbreedingMost,
      contradictions: family.genes(species).flatMap(({ gene, found }) =>
        found.contradictions.map(({ kind, animalIds }) => ({
          gene,
          kind,
          tags: animalIds.flatMap((id) => this.tags(id)),
        })),
      ),
      approximate: family
        .genes(species)
        .flatMap(({ gene, found }) =>
          [...females, ...males].some((f) => found.about(f.record.id) !== undefined) ? [gene] : [],
        ),
    };
  }

  pair({ femaleId, maleId }: PairQuery): PairView {
    const [female, male] = [this.animals.find(femaleId), this.animals.find(maleId)];
    const { family } = this.book.state;
    const { inbreeding, refusal } = family.pair(female.record.id, male.record.id);
    return {
      inbreeding,
      refusal: refusal ?? null,
      words: refusal
        ? pairText({ refusal, inbreeding, species: female.record.species }, this.book.nameOf(maleId))
        : null,
      ancestors: this.shared(femaleId, maleId),
      isShallow: Math.min(this.generations(femaleId), this.generations(maleId)) < SHALLOW_GENERATIONS,
    };
  }

  pedigree(id: string, generations = DEFAULT_GENERATIONS): PedigreeView {
    const facts = this.animals.find(id);
    const { family } = this.book.state;
    const places: { readonly key: string; readonly facts: AnimalFacts }[] = [];
    const walk = (at: AnimalFacts, key: string): void => {
      places.push({ key, facts: at });
      if (key.length + 1 >= generations) return;
      for (const [side, parentId] of [
        ['s', at.record.sireId],
        ['d', geneticParents(at.record).damId],
      ] as const) {
        const parent = parentId === undefined ? undefined : this.book.state.animals.get(parentId);
        if (parent) walk(parent, key + side);
      }
    };
    walk(facts, '');
    const counts = new Map<string, number>();
    for (const p of places) counts.set(p.facts.record.id, (counts.get(p.facts.record.id) ?? 0) + 1);
    const { damId, sireId } = geneticParents(facts.record);
    return {
      genes: family.genes(facts.record.species).map(({ gene }) => gene),
      nodes: places.map((p) => this.node(p.key, p.facts, (counts.get(p.facts.record.id) ?? 0) > 1)),
      inbreeding: family.inbreedingOf(id),
      generations: this.generations(id),
      isShallow: this.generations(id) < SHALLOW_GENERATIONS,
      ancestors: damId === undefined || sireId === undefined ? [] : this.shared(damId, sireId),
      partners: this.partners(facts),
    };
  }

  private node(key: string, facts: AnimalFacts, isRepeated: boolean): PedigreeNode {
    const { id, species } = facts.record;
    const { family } = this.book.state;
    return {
      key,
      tag: tagView(facts, this.clock.today()),
      inbreeding: family.inbreedingOf(id),
      isRepeated,
      genes: family.genes(species).flatMap(({ gene, found }) => {
        const genotype = found.of(id);
        const tested = facts.geneTests.findLast((t) => geneKey(t.gene) === geneKey(gene))?.result ?? null;
        return genotype
          ? [
              {
                gene,
                tested,
                carries: 1 - genotype[0],
                about: found.about(id) ?? null,
                countsAs: !found.isDoubted(id) ? null : genotype[2] === 1 ? 'affected' : 'carrier',
              },
            ]
          : [];
      }),
    };
  }

  /** Whom it may be put to, the least inbreeding first, the forbidden last. */
  private partners(facts: AnimalFacts): PedigreeView['partners'] {
    const { id, species, sex } = facts.record;
    const today = this.clock.today();
    if (sex !== 'female' && sex !== 'male') return [];
    const isMale = sex === 'male';
    const others = isMale ? this.males.femalesOfAge(species) : this.males.inUse(species);
    const { family } = this.book.state;
    const { values } = kinshipTable(
      family.pedigree,
      family.inbreeding,
      [id],
      others.map((o) => o.record.id),
    );
    return others
      .map((o, i) => {
        const inbreeding = values[i] ?? 0;
        const [femaleId, maleId] = isMale ? [o.record.id, id] : [id, o.record.id];
        const refusal = family.refusalOf(femaleId, maleId, inbreeding);
        const groupId = groupOn(o, today);
        return {
          tag: tagView(o, today),
          groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
          isReady: isMale ? this.females.readiness(o).isReady : this.males.readiness(o).isReady,
          inbreeding,
          refusal: refusal
            ? pairText({ refusal, inbreeding, species: o.record.species }, this.book.nameOf(maleId))
            : null,
        };
      })
      .sort((a, b) => Number(a.refusal !== null) - Number(b.refusal !== null) || a.inbreeding - b.inbreeding)
      .slice(0, MOST_PARTNERS);
  }

  private shared(a: string, b: string): { readonly tag: TagView; readonly inbreeding: number }[] {
    const { family } = this.book.state;
    return commonAncestors(family.pedigree, family.inbreeding, a, b)
      .ancestors.slice(0, 8)
      .flatMap(({ id, inbreeding }) => this.tags(id).map((tag) => ({ tag, inbreeding })));
  }

  /** What a male's young grew over the others of their group, drawn to nothing while they are few. */
  private merit(maleId: string): { readonly merit: number; readonly meritYoung: number } {
    const ratios = [...(this.book.state.youngByParent.get(maleId) ?? [])].flatMap((id) => {
      const facts = this.book.state.animals.get(id);
      const ratio = facts && this.growth.verdict(facts)?.ratio;
      return ratio === undefined || ratio === null ? [] : [ratio / 100 - 1];
    });
    const n = ratios.length;
    return { merit: ((mean(ratios) ?? 0) * n) / (n + MERIT_PRIOR), meritYoung: n };
  }

  private generations(id: string): number {
    const at = this.book.state.family.pedigree.indexOf.get(id);
    return at === undefined ? 0 : (this.allGenerations.get()[at] ?? 0);
  }

  private tags(id: string): TagView[] {
    const facts = this.book.state.animals.get(id);
    return facts ? [tagView(facts, this.clock.today())] : [];
  }
}
