import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { ChangeDraft, Decided, DraftFacts } from '@yaylak/contract';
import { CONTEMPORARY_DAYS, dayOf, isoMoment, isoOf } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { authorOf } from '../common/hand';
import { plain } from '../common/plain';
import { conflict, notFound } from '../common/problems';
import { HistoryService } from '../history/history.service';
import { ChoosingDraftEntity } from '../records/choosingDraft.entity';
import type { FullSet } from './sets.service';
import { say } from '@yaylak/contract';

export interface Draft {
  readonly id: string;
  readonly facts: DraftFacts;
  readonly version: number;
}

/** Choices that are being made, kept until they are thrown away. */
@Injectable()
export class DraftsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** The draft of a set. A crop may have gained an earlier birth, or lost its first, since its draft was begun. */
  async of(set: FullSet): Promise<Draft | undefined> {
    return draftOf(await this.orm.em.fork().find(ChoosingDraftEntity, { species: set.species, sex: set.sex }), set);
  }

  /** The draft of any set, for who asks for one after the other. */
  async ofEach(): Promise<(set: FullSet) => Draft | undefined> {
    const all = await this.orm.em.fork().find(ChoosingDraftEntity, {});
    return (set) =>
      draftOf(
        all.filter(({ species, sex }) => species === set.species && sex === set.sex),
        set,
      );
  }

  /** Changes what is named; what somebody else decided since is not written over unseen. */
  change(set: FullSet, change: ChangeDraft): Promise<void> {
    return this.book.exclusively(async () => {
      const before = await this.of(set);
      const version = (before?.version ?? 0) + 1;
      const facts = this.changed(before?.facts, plain(change), version);
      const fromDay = set.crop ? isoOf(set.crop.from) : null;
      const id = before?.id ?? [set.species, set.sex, fromDay ?? 'grown'].join(' ');
      await this.book.transact(async (em) => {
        await em.upsert(ChoosingDraftEntity, { id, species: set.species, sex: set.sex, fromDay, facts, version });
        await this.changes.keep(em, ['choice', id], before && told(before.facts), told(facts));
      });
    });
  }

  drop(set: FullSet, version: number): Promise<void> {
    return this.book.exclusively(async () => {
      const draft = await this.of(set);
      if (!draft) throw notFound('draft');
      if (draft.version !== version)
        throw conflict(
          say('The choice was changed meanwhile.'),
          say('{changedBy} went on choosing here. Look at it before you start afresh.', {
            changedBy: draft.facts.changedBy,
          }),
        );
      await this.book.transact(async (em) => {
        await em.nativeDelete(ChoosingDraftEntity, { id: draft.id });
        await this.changes.keep(em, ['choice', draft.id], told(draft.facts), undefined);
      });
    });
  }

  private changed(before: DraftFacts | undefined, change: ChangeDraft, version: number): DraftFacts {
    const at = isoMoment(this.clock.moment());
    const { how, standardDays, keep, second, kin } = change;
    const by = authorOf(change.by);
    const decided: Record<string, Decided> = { ...before?.decided };
    for (const { animalId, decision, reason } of change.decide ?? []) {
      const known = decided[animalId];
      if (known && known.version > change.version && known.by !== by)
        throw conflict(
          say('Somebody else decided on this animal meanwhile.'),
          say(
            '{by} decided on {name} after you opened this page. It stands as they left it; decide again if you still want to.',
            { by: known.by, name: this.book.nameOf(animalId) },
          ),
        );
      if (decision === 'as-suggested') delete decided[animalId];
      else decided[animalId] = { decision, ...(reason ? { reason } : {}), by, at, version };
    }
    const letBack = { ...before?.letBack };
    for (const { animalId, reason } of change.letBack ?? []) {
      if (reason.trim() === '') delete letBack[animalId];
      else letBack[animalId] = { reason: reason.trim(), by };
    }
    return {
      ...before,
      ...(how ? { how } : {}),
      ...(standardDays === undefined ? {} : { standardDays }),
      ...(keep === undefined ? {} : { keep }),
      ...(second === undefined ? {} : { second }),
      ...(kin ? { kin } : {}),
      decided,
      letBack,
      changedBy: by,
      changedAt: at,
    };
  }
}

type Stored = Draft & { readonly fromDay?: string | null | undefined };

/** Of the drafts of a set's species and sex the one that is its own. */
function draftOf(stored: readonly Stored[], { crop }: FullSet): Draft | undefined {
  if (!crop) return stored.find((d) => d.fromDay == null);
  return stored
    .flatMap((draft) => (draft.fromDay == null ? [] : [{ draft, away: Math.abs(dayOf(draft.fromDay) - crop.from) }]))
    .filter(({ draft }) => {
      const day = dayOf(draft.fromDay ?? '');
      return day >= crop.from - CONTEMPORARY_DAYS && day <= crop.to;
    })
    .sort((a, b) => a.away - b.away)[0]?.draft;
}

/** What of a choice somebody changes; by whom and when stands beside it. */
function told({ changedBy: _by, changedAt: _at, decided, letBack, ...rest }: DraftFacts): object {
  const what = Object.entries(decided).map(([animalId, { decision, reason }]) => [animalId, { decision, reason }]);
  const back = Object.entries(letBack).map(([animalId, { reason }]) => [animalId, { letBack: reason }]);
  return { ...rest, decided: Object.fromEntries(what) as object, letBack: Object.fromEntries(back) as object };
}
