import { useQuery, useQueryClient } from '@tanstack/react-query';
import { PlanFacts, type HoldingView, type PlanView, say, SPECIES_WORDS, capital } from '@yaylak/contract';
import {
  addDays,
  dayOf,
  FLUSHING_SCHOOLS,
  isFemaleOfAge,
  isoOf,
  planKindOf,
  REMATING_SCHOOLS,
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
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { useSavePlans } from '../../shared/season/useSavePlans';
import { fullDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { FLUSHING_WORDS, REMATING_WORDS } from '../../words/season';
import { useSpeciesOptions } from '../../words/useHolding';
import { flushingOf, malesInOf, planFacts, planTyped, type PlanTyped } from './planDraft';
import { Said } from '../../parts/Said';

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
    words: { name: say('Give it a shorter name.'), females: say('Type how many are to be mated.') },
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
      const wrong = await save([{ plan: view, facts: made }], say('Changed {name}', { name: made.name }));
      return wrong ? [wrong.message] : [];
    }
    try {
      await ask('/api/season/plans', { method: 'POST', body: { id, ...made } });
    } catch (error) {
      return [(error as Error).message];
    }
    await readAgain(client);
    undo.offer({
      done: say('Planned {name}', { name: made.name }),
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
      done: say('Taken out: {name}', { name: view.facts.name }),
      undo: async () => {
        await ask('/api/season/plans', { method: 'POST', body: { id: view.id, ...view.facts } });
        await readAgain(client);
      },
    });
    onClose();
  };
  const products = (remedies?.products ?? []).filter((p) => !p.isClosed);
  return (
    <Sheet
      title={view ? say('Change {name}', { name: view.facts.name }) : say('New plan')}
      isOpen
      onClose={onClose}
      width={680}
    >
      <SendForm
        form={form}
        send={send}
        onDone={onDone}
        submit={view ? say('Keep the plan') : say('Plan it')}
        more={
          view ? (
            <Button kind="danger" onPress={() => void drop()}>
              {say('Take it out')}
            </Button>
          ) : undefined
        }
      >
        <FieldRow $gap={3}>
          {view ? null : (
            <Choice
              label={say('Species')}
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
            label={say('Group')}
            options={[
              ['', say('all grown {value}', { value: words.grown.female[1] })],
              ...(groups ?? [])
                .filter((g) => !g.isClosed && (g.species === species || g.species === null))
                .map((g) => [g.id, g.name] as const),
            ]}
          />
          <Field
            label={say('Females')}
            inputMode="numeric"
            value={typed.females === '' ? String(inBook(typed)) : typed.females}
            onChange={(text) => setValue('females', text)}
          />
          <FormField name="name" label={say('Name')} placeholder={`${capital(words.birth)} ${typed.on.slice(0, 4)}`} />
        </FieldRow>
        {planKindOf(settings) === 'rolling' ? (
          <FieldRow $gap={3}>
            <FormField name="matingOn" label={say('First mating')} type="date" />
            <FormChoice
              name="school"
              label={say('Served again')}
              options={Object.keys(REMATING_SCHOOLS).map((s) => [
                s as RematingSchool,
                REMATING_WORDS[s as RematingSchool],
              ])}
            />
            <FormField name="litters" label={say('Litters ahead')} inputMode="numeric" />
            <Small>
              {say(
                'Intensive gives the most litters and asks the most of a doe and her feed; easy spares her. Thin does wait, whatever the school.',
              )}
            </Small>
          </FieldRow>
        ) : (
          <>
            <FieldRow $gap={3}>
              <FormChoice
                name="what"
                label={say('Target')}
                options={[
                  ['births', say('first {birth}', { birth: words.birth })],
                  ['sale', say('a sale')],
                ]}
              />
              <FormField name="on" label={say('On')} type="date" />
              {typed.what === 'sale' ? (
                <FormField name="saleAge" label={say('Sold at, days old')} inputMode="numeric" />
              ) : null}
            </FieldRow>
            {malesIn === undefined ? null : (
              <p role="status">
                <Said
                  text={'So the {value} go in on <0>{date}</0>, {mean} days before the first births on {date2}.'}
                  values={{
                    value: words.grown.male[1],
                    date: fullDate(isoOf(malesIn)),
                    mean: settings.gestationDays.mean,
                    date2: fullDate(isoOf(addDays(malesIn, settings.gestationDays.mean))),
                  }}
                  parts={{ 0: <b /> }}
                />
              </p>
            )}
            <FieldRow $gap={3}>
              <Choice
                label={say('Flushing')}
                value={flushingOf(typed, settings)}
                options={Object.keys(FLUSHING_SCHOOLS).map((s) => [
                  s as FlushingSchool,
                  FLUSHING_WORDS[s as FlushingSchool],
                ])}
                onChange={(school) => setValue('flushing', school)}
              />
              <Field
                label={say('Heat cycles the males stay')}
                inputMode="numeric"
                value={typed.cycles === '' ? String(settings.season.cycles) : typed.cycles}
                onChange={(text) => setValue('cycles', text)}
              />
            </FieldRow>
            <Small>
              {say(
                'Flushing: one school feeds up for six weeks, so that thin ones gain most of a score; another for three, which is enough where they are fit already. Fat ones are not flushed.',
              )}
            </Small>
            {fields.map(({ id: key }, i) => {
              const name = typed.doses[i]?.name ?? '';
              return (
                <FieldRow key={key} $gap={3}>
                  <Choice
                    label={say('Product')}
                    value={typed.doses[i]?.productId ?? ''}
                    options={[['', say('none on the list')], ...products.map((p) => [p.id, p.facts.name] as const)]}
                    onChange={(productId) => {
                      setValue(`doses.${i}.productId`, productId);
                      if (name === '')
                        setValue(`doses.${i}.name`, products.find((p) => p.id === productId)?.facts.name ?? '');
                    }}
                  />
                  <FormField name={`doses.${i}.name`} label={say('Given before birth')} />
                  <FormField name={`doses.${i}.days`} label={say('Days before')} inputMode="numeric" />
                  <Button
                    kind="quiet"
                    aria-label={say('Leave {n} out', { n: name || say('it') })}
                    onPress={() => remove(i)}
                  >
                    {say('Leave out')}
                  </Button>
                </FieldRow>
              );
            })}
            <Row>
              <Button onPress={() => append({ name: '', productId: '', days: '28' })}>
                {say('Add a vaccine or remedy before birth')}
              </Button>
              <Small>{say('Which, and how long before, is for your label and your vet to say.')}</Small>
            </Row>
          </>
        )}
      </SendForm>
    </Sheet>
  );
}
