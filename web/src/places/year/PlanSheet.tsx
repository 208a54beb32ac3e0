import { useQuery, useQueryClient } from '@tanstack/react-query';
import { PlanFacts, type HoldingView, type PlanView } from '@yaylak/contract';
import {
  addDays,
  dayOf,
  FLUSHING_SCHOOLS,
  isFemaleOfAge,
  isoOf,
  planKindOf,
  REMATING_SCHOOLS,
  SPECIES_WORDS,
  type FlushingSchool,
  type RematingSchool,
  type Species,
} from '@yaylak/core';
import { useState } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import { ask } from '../../api/client';
import { groupsQuery, holdingQuery, remediesQuery, rosterQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { useSavePlans } from '../../shared/season/useSavePlans';
import { fullDate } from '../../words/format';
import { newId } from '../../words/ids';
import { FLUSHING_WORDS, REMATING_WORDS } from '../../words/season';
import { useSpeciesOptions } from '../../words/useHolding';
import { capital, flushingOf, malesInOf, planFacts, planTyped, type PlanTyped } from './planDraft';

interface Props {
  /** The plan to change; a new one where there is none. */
  readonly view?: PlanView;
  readonly onClose: () => void;
  readonly onKept: (id: string) => void;
}

/** Makes a plan from the wished first birth or sale, or changes one. */
export function PlanSheet(props: Props) {
  const { data: holding } = useQuery(holdingQuery);
  return holding ? <PlanForm {...props} holding={holding} /> : null;
}

function PlanForm({ view, onClose, onKept, holding }: Props & { readonly holding: HoldingView }) {
  const speciesOptions = useSpeciesOptions();
  const { data: groups } = useQuery(groupsQuery);
  const { data: roster } = useQuery(rosterQuery);
  const { data: remedies } = useQuery(remediesQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const save = useSavePlans();
  // One plan, however often it is sent.
  const [id] = useState(() => view?.id ?? newId());
  const inBook = ({ species, groupId }: PlanTyped): number =>
    (roster?.animals ?? []).filter(
      (a) =>
        a.species === species &&
        a.sex === 'female' &&
        (groupId === '' || a.groupId === groupId) &&
        isFemaleOfAge(a.bornOn === null ? undefined : dayOf(a.bornOn), holding.species[species], dayOf(holding.today)),
    ).length;
  const factsOf = (all: PlanTyped): PlanFacts | string =>
    planFacts(all, { settings: holding.species[all.species], inBook: inBook(all), before: view?.facts });
  const form = useTypedForm<PlanTyped>({
    start: planTyped(view?.facts, holding.today),
    made: (all) => {
      const facts = factsOf(all);
      return typeof facts === 'string' ? [] : [{ shape: PlanFacts, value: facts }];
    },
    words: { name: 'Give it a shorter name.', females: 'Type how many are to be mated.' },
    also: (all): Against => {
      const facts = factsOf(all);
      return typeof facts === 'string' ? { root: facts } : {};
    },
  });
  const { control, setValue } = form;
  const typed = useWatch({ control }) as PlanTyped;
  const { fields, append, remove } = useFieldArray({ control, name: 'doses' });
  const { species } = typed;
  const settings = holding.species[species];
  const words = SPECIES_WORDS[species];
  const malesIn = malesInOf(typed, settings);

  const send = async (all: PlanTyped): Promise<readonly string[]> => {
    const made = factsOf(all);
    if (typeof made === 'string') return [made];
    if (view) {
      const wrong = await save([{ plan: view, facts: made }], `Changed ${made.name}`);
      return wrong ? [wrong.message] : [];
    }
    try {
      await ask('/api/season/plans', { method: 'POST', body: { id, ...made } });
    } catch (error) {
      return [(error as Error).message];
    }
    await readAgain(client);
    undo.offer({
      done: `Planned ${made.name}`,
      undo: async () => {
        await ask(`/api/season/plans/${id}`, { method: 'DELETE' });
        await readAgain(client);
      },
    });
    return [];
  };
  const onDone = (): void => {
    if (!view) onKept(id);
    onClose();
  };
  const drop = async (): Promise<void> => {
    if (!view) return;
    try {
      await ask(`/api/season/plans/${view.id}`, { method: 'DELETE' });
    } catch (error) {
      return form.setError('root', { message: (error as Error).message });
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
      <SendForm
        form={form}
        send={send}
        onDone={onDone}
        submit={view ? 'Keep the plan' : 'Plan it'}
        more={
          view ? (
            <Button kind="danger" onPress={() => void drop()}>
              Take it out
            </Button>
          ) : undefined
        }
      >
        <FieldRow $gap={3}>
          {view ? null : (
            <Choice
              label="Species"
              value={species}
              options={speciesOptions}
              onChange={(s: Species) => {
                setValue('species', s);
                setValue('groupId', '');
              }}
            />
          )}
          <FormChoice
            name="groupId"
            label="Group"
            options={[
              ['', `all grown ${words.grown.female[1]}`],
              ...(groups ?? [])
                .filter((g) => !g.isClosed && (g.species === species || g.species === null))
                .map((g) => [g.id, g.name] as const),
            ]}
          />
          <Field
            label="Females"
            inputMode="numeric"
            value={typed.females === '' ? String(inBook(typed)) : typed.females}
            onChange={(text) => setValue('females', text)}
          />
          <FormField name="name" label="Name" placeholder={`${capital(words.birth)} ${typed.on.slice(0, 4)}`} />
        </FieldRow>
        {planKindOf(settings) === 'rolling' ? (
          <FieldRow $gap={3}>
            <FormField name="matingOn" label="First mating" type="date" />
            <FormChoice
              name="school"
              label="Served again"
              options={Object.keys(REMATING_SCHOOLS).map((s) => [
                s as RematingSchool,
                REMATING_WORDS[s as RematingSchool],
              ])}
            />
            <FormField name="litters" label="Litters ahead" inputMode="numeric" />
            <Small>
              Intensive gives the most litters and asks the most of a doe and her feed; easy spares her. Thin does wait,
              whatever the school.
            </Small>
          </FieldRow>
        ) : (
          <>
            <FieldRow $gap={3}>
              <FormChoice
                name="what"
                label="Target"
                options={[
                  ['births', `first ${words.birth}`],
                  ['sale', 'a sale'],
                ]}
              />
              <FormField name="on" label="On" type="date" />
              {typed.what === 'sale' ? (
                <FormField name="saleAge" label="Sold at, days old" inputMode="numeric" />
              ) : null}
            </FieldRow>
            {malesIn === undefined ? null : (
              <p role="status">
                So the {words.grown.male[1]} go in on <b>{fullDate(isoOf(malesIn))}</b>, {settings.gestationDays.mean}{' '}
                days before the first births on {fullDate(isoOf(addDays(malesIn, settings.gestationDays.mean)))}.
              </p>
            )}
            <FieldRow $gap={3}>
              <Choice
                label="Flushing"
                value={flushingOf(typed, settings)}
                options={Object.keys(FLUSHING_SCHOOLS).map((s) => [
                  s as FlushingSchool,
                  FLUSHING_WORDS[s as FlushingSchool],
                ])}
                onChange={(school) => setValue('flushing', school)}
              />
              <Field
                label="Heat cycles the males stay"
                inputMode="numeric"
                value={typed.cycles === '' ? String(settings.season.cycles) : typed.cycles}
                onChange={(text) => setValue('cycles', text)}
              />
            </FieldRow>
            <Small>
              Flushing: one school feeds up for six weeks, so that thin ones gain most of a score; another for three,
              which is enough where they are fit already. Fat ones are not flushed.
            </Small>
            {fields.map(({ id: key }, i) => {
              const name = typed.doses[i]?.name ?? '';
              return (
                <FieldRow key={key} $gap={3}>
                  <Choice
                    label="Product"
                    value={typed.doses[i]?.productId ?? ''}
                    options={[['', 'none on the list'], ...products.map((p) => [p.id, p.facts.name] as const)]}
                    onChange={(productId) => {
                      setValue(`doses.${i}.productId`, productId);
                      if (name === '')
                        setValue(`doses.${i}.name`, products.find((p) => p.id === productId)?.facts.name ?? '');
                    }}
                  />
                  <FormField name={`doses.${i}.name`} label="Given before birth" />
                  <FormField name={`doses.${i}.days`} label="Days before" inputMode="numeric" />
                  <Button kind="quiet" aria-label={`Leave ${name || 'it'} out`} onPress={() => remove(i)}>
                    Leave out
                  </Button>
                </FieldRow>
              );
            })}
            <Row>
              <Button onPress={() => append({ name: '', productId: '', days: '28' })}>
                Add a vaccine or remedy before birth
              </Button>
              <Small>Which, and how long before, is for your label and your vet to say.</Small>
            </Row>
          </>
        )}
      </SendForm>
    </Sheet>
  );
}
