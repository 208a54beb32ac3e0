import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { PlanFacts, PlanView } from '@yaylak/contract';
import {
  addDays,
  dayOf,
  FLUSHING_SCHOOLS,
  flushingSchoolOf,
  isFemaleOfAge,
  isoOf,
  matingFor,
  parseDay,
  planKindOf,
  REMATING_SCHOOLS,
  SPECIES,
  SPECIES_WORDS,
  type FlushingSchool,
  type RematingSchool,
  type Species,
} from '@yaylak/core';
import { useState } from 'react';
import { ask } from '../../api/client';
import { groupsQuery, holdingQuery, remediesQuery, rosterQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { useSavePlans } from '../../shared/season/useSavePlans';
import { fullDate } from '../../words/format';
import { newId } from '../../words/ids';
import { FLUSHING_WORDS, REMATING_WORDS } from '../../words/season';

interface Props {
  /** The plan to change; a new one where there is none. */
  readonly view?: PlanView;
  readonly onClose: () => void;
  readonly onKept: (id: string) => void;
}

interface Form {
  readonly name: string;
  readonly species: Species;
  readonly groupId: string;
  readonly females: string;
  readonly what: 'births' | 'sale';
  readonly on: string;
  readonly saleAge: string;
  /** Empty for what the holding does with the species. */
  readonly flushing: FlushingSchool | '';
  readonly cycles: string;
  readonly doses: readonly { readonly name: string; readonly productId: string; readonly days: string }[];
  readonly matingOn: string;
  readonly school: RematingSchool;
  readonly litters: string;
}

const formOf = (facts: PlanFacts | undefined, today: string): Form => ({
  name: facts?.name ?? '',
  species: facts?.species ?? 'sheep',
  groupId: facts?.groupId ?? '',
  females: facts ? String(facts.females) : '',
  what: facts?.wanted?.what ?? 'births',
  on: facts?.wanted?.on ?? '',
  saleAge: facts?.wanted?.saleAgeDays === undefined ? '150' : String(facts.wanted.saleAgeDays),
  flushing: facts?.flushing ?? '',
  cycles: facts?.cycles === undefined ? '' : String(facts.cycles),
  doses: (facts?.doses ?? []).map((d) => ({
    name: d.name,
    productId: d.productId ?? '',
    days: String(d.daysBeforeBirth),
  })),
  matingOn: facts?.matingOn ?? today,
  school: facts?.school ?? 'middle',
  litters: facts?.litters === undefined ? '5' : String(facts.litters),
});

/** Makes a plan from the wished first birth or sale, or changes one. */
export function PlanSheet({ view, onClose, onKept }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: groups } = useQuery(groupsQuery);
  const { data: roster } = useQuery(rosterQuery);
  const { data: remedies } = useQuery(remediesQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const save = useSavePlans();
  const [form, setForm] = useState(() => formOf(view?.facts, holding?.today ?? ''));
  const [problem, setProblem] = useState<string>();
  if (!holding) return null;
  const set = (change: Partial<Form>): void => setForm({ ...form, ...change });
  const { species } = form;
  const settings = holding.species[species];
  const words = SPECIES_WORDS[species];
  const isRolling = planKindOf(settings) === 'rolling';
  const inBook = (roster?.animals ?? []).filter(
    (a) =>
      a.species === species &&
      a.sex === 'female' &&
      (form.groupId === '' || a.groupId === form.groupId) &&
      isFemaleOfAge(a.bornOn === null ? undefined : dayOf(a.bornOn), settings, dayOf(holding.today)),
  ).length;
  const females = form.females === '' ? inBook : Number(form.females);
  const flushing = form.flushing === '' ? flushingSchoolOf(settings.season.flushingBefore) : form.flushing;
  const cycles = form.cycles === '' ? settings.season.cycles : Number(form.cycles);
  const wantedOn = parseDay(form.on);
  const wanted = { what: form.what, ...(form.what === 'sale' ? { saleAgeDays: Number(form.saleAge) } : {}) };
  const malesIn = wantedOn === undefined ? undefined : matingFor({ ...wanted, on: wantedOn }, settings);

  /** What stands against keeping it; the facts when nothing does. */
  const facts = (): string | PlanFacts => {
    const name = form.name.trim() || `${capital(words.birth)}${form.on ? ` ${form.on.slice(0, 4)}` : ''}`;
    if (!(Number.isInteger(females) && females > 0)) return 'Females: type how many are to be mated.';
    const base = {
      name,
      species,
      ...(form.groupId === '' ? {} : { groupId: form.groupId }),
      females,
      shifts: view?.facts.shifts ?? {},
      done: view?.facts.done ?? {},
    };
    if (isRolling) {
      if (parseDay(form.matingOn) === undefined) return 'First mating: type its date.';
      const litters = Number(form.litters);
      if (!(Number.isInteger(litters) && litters >= 1 && litters <= 12)) return 'Litters: type 1 to 12.';
      return { kind: 'rolling', ...base, matingOn: form.matingOn, school: form.school, litters };
    }
    if (malesIn === undefined) return 'Type the date that is wanted.';
    if (form.what === 'sale' && !(Number(form.saleAge) > 0)) return 'Sale: type how old they are to be, in days.';
    if (!(Number.isInteger(cycles) && cycles >= 1 && cycles <= 12)) return 'Heat cycles: type 1 to 12.';
    const bad = form.doses.find((d) => d.name.trim() === '' || !(Number(d.days) >= 0) || d.days === '');
    if (bad) return 'Given before birth: each wants a name and its days.';
    // A plan whose wish is not touched keeps the day the males go in, which may have been moved.
    const isSameWish = view?.facts.wanted?.on === form.on && view.facts.wanted.what === form.what;
    return {
      kind: 'season',
      ...base,
      matingOn: isSameWish ? view.facts.matingOn : isoOf(malesIn),
      wanted: { ...wanted, on: form.on },
      flushing,
      cycles,
      doses: form.doses.map((d) => ({
        name: d.name.trim(),
        ...(d.productId === '' ? {} : { productId: d.productId }),
        daysBeforeBirth: Math.round(Number(d.days)),
      })),
    };
  };
  const keep = async (): Promise<void> => {
    const made = facts();
    if (typeof made === 'string') return setProblem(made);
    if (view) {
      const wrong = await save([{ plan: view, facts: made }], `Changed ${made.name}`);
      if (wrong) return setProblem(wrong.message);
      return onClose();
    }
    const id = newId();
    try {
      await ask('/api/season/plans', { method: 'POST', body: { id, ...made } });
    } catch (error) {
      return setProblem((error as Error).message);
    }
    await readAgain(client);
    undo.offer({
      done: `Planned ${made.name}`,
      undo: async () => {
        await ask(`/api/season/plans/${id}`, { method: 'DELETE' });
        await readAgain(client);
      },
    });
    onKept(id);
    onClose();
  };
  const drop = async (): Promise<void> => {
    if (!view) return;
    try {
      await ask(`/api/season/plans/${view.id}`, { method: 'DELETE' });
    } catch (error) {
      return setProblem((error as Error).message);
    }
    await readAgain(client);
    undo.offer({
      done: `Taken out: ${view.facts.name}`,
      undo: async () => {
        await ask('/api/season/plans', { method: 'POST', body: { id: view.id, ...view.facts } });
        await readAgain(client);
      },
    });
    onClose();
  };
  const products = (remedies?.products ?? []).filter((p) => !p.isClosed);
  return (
    <Sheet title={view ? `Change ${view.facts.name}` : 'New plan'} isOpen onClose={onClose} width={680}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <Stack>
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            {view ? null : (
              <Choice
                label="Species"
                value={species}
                options={SPECIES.map((s) => [s, SPECIES_WORDS[s].name])}
                onChange={(s: Species) => set({ species: s, groupId: '' })}
              />
            )}
            <Choice
              label="Group"
              value={form.groupId}
              options={[
                ['', `all grown ${words.grown.female[1]}`],
                ...(groups ?? [])
                  .filter((g) => !g.isClosed && (g.species === species || g.species === null))
                  .map((g) => [g.id, g.name] as const),
              ]}
              onChange={(groupId) => set({ groupId })}
            />
            <Field
              label="Females"
              inputMode="numeric"
              value={form.females === '' ? String(inBook) : form.females}
              onChange={(text) => set({ females: text })}
            />
            <Field
              label="Name"
              value={form.name}
              placeholder={`${capital(words.birth)} ${form.on.slice(0, 4)}`}
              onChange={(name) => set({ name })}
            />
          </Row>
          {isRolling ? (
            <Row $gap={3}>
              <Field
                label="First mating"
                type="date"
                value={form.matingOn}
                onChange={(matingOn) => set({ matingOn })}
              />
              <Choice
                label="Served again"
                value={form.school}
                options={Object.keys(REMATING_SCHOOLS).map((s) => [
                  s as RematingSchool,
                  REMATING_WORDS[s as RematingSchool],
                ])}
                onChange={(school) => set({ school })}
              />
              <Field
                label="Litters ahead"
                inputMode="numeric"
                value={form.litters}
                onChange={(litters) => set({ litters })}
              />
              <Small>
                Intensive gives the most litters and asks the most of a doe and her feed; easy spares her. Thin does
                wait, whatever the school.
              </Small>
            </Row>
          ) : (
            <>
              <Row $gap={3}>
                <Choice
                  label="What is wanted"
                  value={form.what}
                  options={[
                    ['births', `first ${words.birth}`],
                    ['sale', 'a sale'],
                  ]}
                  onChange={(what) => set({ what })}
                />
                <Field label="On" type="date" value={form.on} onChange={(on) => set({ on })} />
                {form.what === 'sale' ? (
                  <Field
                    label="Sold at, days old"
                    inputMode="numeric"
                    value={form.saleAge}
                    onChange={(saleAge) => set({ saleAge })}
                  />
                ) : null}
              </Row>
              {malesIn === undefined ? null : (
                <p role="status">
                  So the {words.grown.male[1]} go in on <b>{fullDate(isoOf(malesIn))}</b>, {settings.gestationDays.mean}{' '}
                  days before the first births on {fullDate(isoOf(addDays(malesIn, settings.gestationDays.mean)))}.
                </p>
              )}
              <Row $gap={3}>
                <Choice
                  label="Flushing"
                  value={flushing}
                  options={Object.keys(FLUSHING_SCHOOLS).map((s) => [
                    s as FlushingSchool,
                    FLUSHING_WORDS[s as FlushingSchool],
                  ])}
                  onChange={(flushing) => set({ flushing })}
                />
                <Field
                  label="Heat cycles the males stay"
                  inputMode="numeric"
                  value={form.cycles === '' ? String(settings.season.cycles) : form.cycles}
                  onChange={(text) => set({ cycles: text })}
                />
              </Row>
              <Small>
                Flushing: one school feeds up for six weeks, so that thin ones gain most of a score; another for three,
                which is enough where they are fit already. Fat ones are not flushed.
              </Small>
              {form.doses.map((dose, i) => {
                const setDose = (change: Partial<Form['doses'][number]>): void =>
                  set({ doses: form.doses.map((d, n) => (n === i ? { ...d, ...change } : d)) });
                return (
                  <Row key={i} $gap={3} style={{ alignItems: 'flex-end' }}>
                    <Choice
                      label="Product"
                      value={dose.productId}
                      options={[['', 'none on the list'], ...products.map((p) => [p.id, p.facts.name] as const)]}
                      onChange={(productId) =>
                        setDose({
                          productId,
                          name: dose.name || (products.find((p) => p.id === productId)?.facts.name ?? ''),
                        })
                      }
                    />
                    <Field label="Given before birth" value={dose.name} onChange={(name) => setDose({ name })} />
                    <Field
                      label="Days before"
                      inputMode="numeric"
                      value={dose.days}
                      onChange={(text) => setDose({ days: text })}
                    />
                    <Button
                      kind="quiet"
                      aria-label={`Leave ${dose.name || 'it'} out`}
                      onPress={() => set({ doses: form.doses.filter((_, n) => n !== i) })}
                    >
                      Leave out
                    </Button>
                  </Row>
                );
              })}
              <Row>
                <Button onPress={() => set({ doses: [...form.doses, { name: '', productId: '', days: '28' }] })}>
                  Add a vaccine or remedy before birth
                </Button>
                <Small>Which, and how long before, is for your label and your vet to say.</Small>
              </Row>
            </>
          )}
          {problem ? <p role="alert">{problem}</p> : null}
          <Row>
            <Button type="submit" kind="main">
              {view ? 'Keep the plan' : 'Plan it'}
            </Button>
            {view ? (
              <Button kind="danger" onPress={() => void drop()}>
                Take it out
              </Button>
            ) : null}
          </Row>
        </Stack>
      </form>
    </Sheet>
  );
}

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
