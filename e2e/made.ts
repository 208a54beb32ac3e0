import { expect, type Page } from '@playwright/test';
import type { PlannedLoadView, RosterView } from '@yaylak/contract';
import { randomUUID } from 'node:crypto';

/** Addresses of what has one of its own: an animal that the demo has a photo of, a load of it, and a job begun here. */
export type Made = Readonly<Record<'EWE' | 'LOAD' | 'JOB', string>>;

/** Makes and finds them in a book of the demo. */
export async function madeIn({ request }: Page, url: string): Promise<Made> {
  const ask = async <T>(path: string): Promise<T> => (await (await request.get(`${url}${path}`)).json()) as T;
  const { animals, on } = await ask<RosterView>('/api/roster');
  const ewe = animals.find((a) => a.species === 'sheep' && a.sex === 'female' && a.photo)?.tag.animalId;
  const [load] = await ask<PlannedLoadView[]>('/api/selling/loads?species=sheep');
  // One on it may not go, which keeps all of them.
  const going = load?.heads.filter((h) => h.checks.length === 0).map((h) => h.tag.animalId);
  const free = { ...load?.facts, animalIds: going, version: load?.version };
  const job = {
    id: randomUUID(),
    name: 'Lambs',
    on,
    startedAt: new Date().toISOString(),
    startedBy: 'Aylin',
    stations: ['weigh'],
    gates: [],
    animalIds: [ewe],
  };
  for (const answer of [
    await request.post(`${url}/api/jobs`, { data: job }),
    await request.put(`${url}/api/selling/loads/${load?.id}`, { data: free }),
  ])
    expect(answer.status()).toBeLessThan(300);
  return { EWE: `/animals/${ewe}`, LOAD: `/selling/loads/${load?.id}`, JOB: `/race/${job.id}` };
}

/** The address of a place that may begin with the name of one of them. */
export const addressOf = (place: string, made: Made): string =>
  Object.entries(made).reduce((path, [name, address]) => path.replace(name, address), place);
