import type { JobView, StartJob } from '@yaylak/contract';
import { jobOf } from '../../outbox/outbox';
import type { Outgoing, OutboxItem } from '../../outbox/store';

/** A job as a device knows it. */
export type JobHere = StartJob & { readonly finishedAt: string | null; readonly discardedAt?: string };

/**
 * A job as this device knows it: what the server said of it, and what was done with it here since, or has not been sent.
 * @param askedAt when the server was asked, in ms: it knows what it had kept by then
 */
export function jobHere(
  id: string,
  fromServer: JobView | undefined,
  askedAt: number,
  onDevice: readonly OutboxItem[],
): JobHere | undefined {
  const isInAnswer = ({ state, keptAt }: OutboxItem): boolean =>
    fromServer !== undefined && state === 'kept' && keptAt !== undefined && keptAt < askedAt;
  return onDevice
    .filter((item) => jobOf(item.out) === id && item.state !== 'refused' && !isInAnswer(item))
    .reduce<JobHere | undefined>((job, { out }) => afterwards(job, out), fromServer);
}

function afterwards(job: JobHere | undefined, out: Outgoing): JobHere | undefined {
  if (out.kind === 'job') return job ?? { ...out.job, finishedAt: null };
  if (job === undefined) return undefined;
  switch (out.kind) {
    case 'entry':
    case 'picture':
      return job;
    case 'change': {
      const { isForItsDay: _, settings: __, ...rest } = job;
      return { ...rest, ...out.facts };
    }
    case 'finish':
      return { ...job, finishedAt: job.finishedAt ?? out.finishedAt };
    case 'resume': {
      const { discardedAt: _, ...rest } = job;
      return { ...rest, finishedAt: null };
    }
    case 'discard':
      return { ...job, discardedAt: out.discard.discardedAt };
  }
}

/** The jobs a device knows, the newest first: those the server listed and those begun here, without the ones put away. */
export function jobsHere(listed: readonly JobView[], askedAt: number, onDevice: readonly OutboxItem[]): JobView[] {
  // One the server had when it made its list, and did not put into it, is none of these.
  const begun = onDevice.flatMap(({ out, state, keptAt = Infinity }) =>
    out.kind === 'job' && state !== 'refused' && keptAt > askedAt ? [out.job.id] : [],
  );
  const ids = new Set([...listed.map((j) => j.id), ...begun]);
  return [...ids]
    .flatMap((id): JobView[] => {
      const fromServer = listed.find((j) => j.id === id);
      const job = jobHere(id, fromServer, askedAt, onDevice);
      if (!job || (job.discardedAt !== undefined && fromServer?.discardedAt === undefined)) return [];
      return [
        {
          ...job,
          seen: Math.max(fromServer?.seen ?? 0, seenHere(id, onDevice)),
          expected: expectedOf(job, fromServer),
        },
      ];
    })
    .sort((a, b) => (a.startedAt < b.startedAt ? 1 : a.startedAt > b.startedAt ? -1 : 0));
}

/** The server counts its own list; here it may be another. */
const expectedOf = (job: JobHere, fromServer: JobView | undefined): number =>
  job.animalIds === fromServer?.animalIds ? fromServer.expected : job.animalIds.length;

/** How many went through with this device's writing, but for those taken back. */
function seenHere(id: string, onDevice: readonly OutboxItem[]): number {
  const own = onDevice.flatMap(({ out }) => (out.kind === 'entry' && out.entry.jobId === id ? [out.entry] : []));
  const struck = new Set(own.flatMap((e) => (e.type === 'strike' ? [e.entryId] : [])));
  return new Set(own.flatMap((e) => (e.type === 'passage' && !struck.has(e.id) ? [e.animalId] : []))).size;
}
