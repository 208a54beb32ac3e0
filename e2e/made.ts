import { expect, type Page } from '@playwright/test';
import type { PlannedLoadView, RosterView } from '@yaylak/contract';
import { randomUUID } from 'node:crypto';

/**
 * Addresses of what has one of its own: an animal that the demo has a photo of, a load of it, and two jobs begun here, one
 * of them for feeling who is finished.
 */
export interface Made extends Readonly<Record<'EWE' | 'LOAD' | 'JOB' | 'FINISH', string>> {
  /** The number on the animal's tag. */
  readonly number: string;
}

/** Makes and finds them in a book of the demo, and makes a copy of it. */
export async function madeIn({ request }: Page, url: string): Promise<Made> {
  const ask = async <T>(path: string): Promise<T> => (await (await request.get(`${url}${path}`)).json()) as T;
  const { animals, on } = await ask<RosterView>('/api/roster');
  const pictured = animals.find((a) => a.species === 'sheep' && a.sex === 'female' && a.photo)?.tag;
  const ewe = pictured?.animalId;
  const [load] = await ask<PlannedLoadView[]>('/api/selling/loads?species=sheep');
  // One on it may not go, which keeps all of them.
  const going = load?.heads.filter((h) => h.checks.length === 0).map((h) => h.tag.animalId);
  const free = { ...load?.facts, animalIds: going, version: load?.version };
  // One went to the works, and nothing is known of it yet.
  const killed = animals.find(
    (a) => a.species === 'sheep' && a.sex === 'male' && a.withheld.length === 0 && !going?.includes(a.tag.animalId),
  );
  const written = { on, writtenBy: 'Aylin', writtenAt: new Date().toISOString(), source: 'hand' };
  const departure = { id: randomUUID(), type: 'departure', animalId: killed?.tag.animalId, how: 'slaughtered' };
  const job = (name: string, stations: readonly string[]) => ({
    id: randomUUID(),
    name,
    on,
    startedAt: new Date().toISOString(),
    startedBy: 'Aylin',
    stations,
    gates: [],
    animalIds: [ewe],
  });
  const weighing = job('Lambs', ['weigh']);
  const feeling = job('Lambs to sell', ['finish']);
  for (const answer of [
    await request.post(`${url}/api/jobs`, { data: weighing }),
    await request.post(`${url}/api/jobs`, { data: feeling }),
    await request.post(`${url}/api/entries`, { data: { entries: [{ ...written, ...departure }] } }),
    await request.post(`${url}/api/copies`, { data: { id: randomUUID() } }),
    await request.put(`${url}/api/selling/loads/${load?.id}`, { data: free }),
  ])
    expect(answer.status()).toBeLessThan(300);
  return {
    EWE: `/animals/${ewe}`,
    LOAD: `/selling/loads/${load?.id}`,
    JOB: `/race/${weighing.id}`,
    FINISH: `/race/${feeling.id}`,
    number: pictured?.text ?? '',
  };
}

/** The address of a place that may begin with the name of one of them. */
export const addressOf = (place: string, made: Made): string =>
  Object.entries(made).reduce((path, [name, address]) => path.replace(name, address), place);
