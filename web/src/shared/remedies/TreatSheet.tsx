import { useQuery, useQueryClient } from '@tanstack/react-query';
import { TreatmentEntry, type HoldingView, type ProductView, type RosterAnimal, say } from '@yaylak/contract';
import { dayOf, parseDay, readTypedNumber, type DoseWeight, type Route, type Species } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import styled from 'styled-components';
import { holdingQuery, rosterQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import type { EntryDraft } from '../../outbox/useRecord';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField, FormTick } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { LineTable } from '../../parts/LineTable';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { useWrite } from '../../parts/useWrite';
import { amountText, weightText } from '../../words/format';
import { ROUTE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';
import { Asked } from '../../parts/Asked';
import {
  amountFault,
  DRY_BACKS,
  planTreatment,
  treatmentFact,
  underLabelText,
  type PlannedTreatment,
} from './planTreatment';

interface Props {
  readonly animalIds: readonly string[];
  readonly onClose: () => void;
}

/** Treats one animal or several: dose by the label for each, or by the heaviest of them for all. */
export function TreatSheet({ animalIds, onClose }: Props) {
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: 0 });
  const { data: holding } = useQuery(holdingQuery);
  const ids = new Set(animalIds);
  const animals = (roster?.animals ?? []).filter((a) => ids.has(a.tag.animalId));
  const title =
    animals.length === 1
      ? say('Treat {n}', { n: animals[0]?.tag.text ?? '' })
      : say('Treat {size} {size, plural, one {animal} other {animals}}', { size: ids.size });
  return (
    <Sheet title={title} isOpen onClose={onClose} width={720}>
      {roster && holding ? null : <Loading />}
      {roster?.products.length === 0 ? (
        <p>{say('There is no product on the list yet. Add it under Remedies, with what its label says.')}</p>
      ) : null}
      {roster && holding && roster.products.length > 0 ? (
        <Form animals={animals} products={roster.products} holding={holding} onClose={onClose} />
      ) : null}
    </Sheet>
  );
}

interface FormProps {
  readonly animals: readonly RosterAnimal[];
  readonly products: readonly ProductView[];
  readonly holding: HoldingView;
  readonly onClose: () => void;
}

interface Typed {
  readonly productId: string;
  readonly on: string;
  /** Empty: by the label. */
  readonly amount: string;
  /** Undefined as long as nobody chose: the label's first. */
  readonly route: Route | undefined;
  readonly batch: string | undefined;
  readonly reason: string;
  readonly prescribedBy: string;
  readonly isByHeaviest: boolean;
  readonly isOffLabel: boolean;
  readonly vetMeat: string;
  readonly vetMilk: string;
}

const ROWS_SHOWN = 8;

function Form({ animals, products, holding, onClose }: FormProps) {
  const client = useQueryClient();
  const unit = useWeightUnit();
  const write = useWrite();
  const [asked, setAsked] = useState<string>();
  const productOf = (id: string): ProductView => products.find((p) => p.id === id) ?? (products[0] as ProductView);
  const plansOf = (typed: Typed): readonly PlannedTreatment[] => {
    const product = productOf(typed.productId);
    const choice = {
      amountText: typed.amount.trim() === '' ? undefined : typed.amount,
      route: typed.route,
      batch: typed.batch,
    };
    const who = (animal: RosterAnimal) => ({
      animal,
      species: animal.species,
      ageDays: animal.bornOn ? dayOf(typed.on) - dayOf(animal.bornOn) : undefined,
      settings: holding.species[animal.species],
      on: typed.on,
      unit,
    });
    const own = animals.map((a) => planTreatment(product, who(a), choice));
    const heaviest = heaviestOf(own);
    return typed.isByHeaviest && heaviest
      ? animals.map((a) => planTreatment(product, who(a), { ...choice, heaviest }))
      : own;
  };
  const draftsOf = (typed: Typed): EntryDraft[] => {
    const days = typed.isOffLabel ? vetDays(typed) : undefined;
    return plansOf(typed).flatMap((plan, i): EntryDraft[] => {
      if (isLeftOut(plan, typed)) return [];
      const fact = treatmentFact(plan, typed, days === 'unclear' ? undefined : days);
      const animal = animals[i];
      return fact && animal ? [{ ...fact, animalId: animal.tag.animalId, on: typed.on }] : [];
    });
  };
  const form = useTypedForm<Typed>({
    start: {
      productId: products[0]?.id ?? '',
      on: holding.today,
      amount: '',
      route: undefined,
      batch: undefined,
      reason: '',
      prescribedBy: '',
      isByHeaviest: false,
      isOffLabel: false,
      vetMeat: '',
      vetMilk: '',
    },
    made: (typed) => draftsOf(typed).map((draft) => madeEntry(TreatmentEntry, draft)),
    words: { on: say('Give the day it was given.'), reason: say('Say why in fewer words.') },
    also: (typed): Against => {
      if (parseDay(typed.on) === undefined) return { on: say('Give the day it was given.') };
      const fault = faultOf(plansOf(typed), animals, typed);
      if (fault) return { root: fault };
      const isFar = plansOf(typed).some((p) => p.isOwnAmount && !isLeftOut(p, typed));
      if (isFar && typed.reason.trim() === '')
        return { reason: say('That is far from the label’s dose: say why, and on whose word.') };
      return typed.isOffLabel && vetDays(typed) === 'unclear'
        ? { vetMeat: say('Type the days for meat that the vet gave, 0 or more.') }
        : {};
    },
  });
  const typed = useWatch({ control: form.control }) as Typed;
  const product = productOf(typed.productId);
  const plans = parseDay(typed.on) === undefined ? [] : plansOf(typed);
  const heaviest = heaviestOf(plans);
  const cautionsOf = (planned: readonly PlannedTreatment[]): string[] =>
    planned.flatMap((p, i) =>
      (isLeftOut(p, typed) ? [] : p.cautions).map((c) =>
        animals.length === 1 ? c : `${animals[i]?.tag.text ?? ''}: ${c}`,
      ),
    );
  const questionsOf = (planned: readonly PlannedTreatment[]): string[] => [
    ...cautionsOf(planned),
    ...(planned[0]?.route === 'pour-on' ? [DRY_BACKS] : []),
  ];
  const cautions = questionsOf(plans);
  const first = plans[0];

  const give = async (sent: Typed): Promise<readonly string[] | 'asked'> => {
    const question = questionsOf(plansOf(sent)).join(' ');
    if (question !== '' && asked !== question) {
      setAsked(question);
      return 'asked';
    }
    const drafts = draftsOf(sent);
    const done = say('{name} recorded for {n} {n, plural, one {animal} other {animals}}', {
      name: productOf(sent.productId).facts.name,
      n: drafts.length,
    });
    return write(drafts, done);
  };
  const onDone = (): void => {
    void readAgain(client, { queryKey: ['roster'] });
    onClose();
  };
  return (
    <SendForm
      form={form}
      send={give}
      onDone={onDone}
      submit={say('Save')}
      more={
        <Small>{say('The label and your vet decide. One needle for each animal; nothing poured on a wet back.')}</Small>
      }
    >
      <FieldRow $gap={3}>
        <Choice
          label={say('Product')}
          value={product.id}
          options={products.map((p) => [p.id, p.facts.name])}
          onChange={(id) => {
            form.setValue('productId', id);
            form.setValue('route', undefined);
            form.setValue('batch', undefined);
            form.setValue('amount', '');
          }}
        />
        <Choice
          label={say('How')}
          value={typed.route ?? product.facts.routes[0] ?? 'mouth'}
          options={product.facts.routes.map((r) => [r, ROUTE_WORDS[r]])}
          onChange={(route) => form.setValue('route', route)}
        />
        <Choice
          label={say('Batch')}
          value={typed.batch ?? first?.batch ?? ''}
          options={[
            ...(first?.batch === undefined ? [['', say('not said')] as const] : []),
            ...product.batches.map(
              (b) => [b.batch, `${b.batch}${b.state === 'good' ? '' : `, ${STATE_WORDS[b.state]}`}`] as const,
            ),
          ]}
          onChange={(batch) => form.setValue('batch', batch)}
        />
        <FormField name="on" label={say('On')} type="date" />
      </FieldRow>
      <FieldRow $gap={3}>
        <FormField
          name="amount"
          label={say('Amount, {doseUnit} (empty: by the label)', { doseUnit: product.facts.doseUnit })}
          inputMode="decimal"
        />
        <FormField name="reason" label={say('Why')} />
        <FormField
          name="prescribedBy"
          label={say('On whose prescription')}
          placeholder={product.facts.prescribedBy ?? ''}
        />
      </FieldRow>
      {animals.length > 1 ? (
        <FormTick
          name="isByHeaviest"
          label={say('One dose for all, by the heaviest{value}', {
            value: heaviest ? ` (${weightText(heaviest.kg, unit)})` : '',
          })}
        />
      ) : null}
      <Doses plans={plans} animals={animals} isOffLabel={typed.isOffLabel} />
      <FormTick name="isOffLabel" label={say('Off the label, on the vet’s word')} />
      {typed.isOffLabel ? (
        <FieldRow $gap={3}>
          <FormField name="vetMeat" label={say('Vet’s days for meat')} inputMode="numeric" />
          <FormField name="vetMilk" label={say('Vet’s days for milk')} inputMode="numeric" />
        </FieldRow>
      ) : null}
      <Asked questions={asked === undefined ? [] : cautions} again={say('Press again to record it anyway.')} />
    </SendForm>
  );
}

const heaviestOf = (plans: readonly PlannedTreatment[]): DoseWeight | undefined =>
  plans.flatMap((p) => p.weight ?? []).reduce<DoseWeight | undefined>((a, b) => (a && a.kg >= b.kg ? a : b), undefined);

/** Under the label's least age or weight, and not on the vet's word: it gets nothing. */
const isLeftOut = ({ underLabel }: PlannedTreatment, { isOffLabel }: Pick<Typed, 'isOffLabel'>): boolean =>
  underLabel !== undefined && !isOffLabel;

/** The vet's days, where it is given off the label. */
function vetDays({ vetMeat, vetMilk }: Typed): { meatDays: number; milkDays?: number } | 'unclear' {
  const [meat, milk] = [readTypedNumber(vetMeat), readTypedNumber(vetMilk)];
  if (meat.kind === 'refused' || !Number.isInteger(meat.value) || meat.value < 0) return 'unclear';
  return { meatDays: meat.value, ...(milk.kind === 'number' ? { milkDays: milk.value } : {}) };
}

const STATE_WORDS = {
  good: say('good'),
  'expires-soon': say('expires soon'),
  expired: say('expired'),
  'used-up': say('used up'),
} as const;

/** The first thing that keeps them from being treated, with whom it is. */
function faultOf(
  plans: readonly PlannedTreatment[],
  animals: readonly RosterAnimal[],
  { isOffLabel }: Pick<Typed, 'isOffLabel'>,
): string | undefined {
  if (plans.length > 0 && plans.every((p) => isLeftOut(p, { isOffLabel })))
    return say(
      '{n, plural, one {It is} other {All of them are}} under the label’s least age or weight. If your vet ordered it, tick “Off the label” and enter the vet’s days.',
      { n: plans.length },
    );
  for (const [i, plan] of plans.entries()) {
    if (isLeftOut(plan, { isOffLabel })) continue;
    const name = animals[i]?.tag.text ?? '';
    const fault = amountFault(plan);
    if (fault) return `${name}: ${fault}`;
    if (!isOffLabel && plan.withdrawal?.meatDays === undefined)
      return say(
        '{name}: the label of {name2} has no withdrawal for this species by this route. If the vet ordered it, tick “Off the label” and type the vet’s days.',
        { name, name2: plan.product.facts.name },
      );
  }
  return undefined;
}

function Doses({
  plans,
  animals,
  isOffLabel,
}: {
  readonly plans: readonly PlannedTreatment[];
  readonly animals: readonly RosterAnimal[];
  readonly isOffLabel: boolean;
}) {
  const unit = useWeightUnit();
  const isOut = (plan: PlannedTreatment): boolean => isLeftOut(plan, { isOffLabel });
  const total = plans.reduce((sum, p) => sum + (isOut(p) ? 0 : (p.amount ?? 0)), 0);
  const out = plans.flatMap((p, i) =>
    isOut(p) ? [`${animals[i]?.tag.text ?? ''}: ${underLabelText(p, unit) ?? ''}`] : [],
  );
  const doseUnit = plans[0]?.product.facts.doseUnit ?? '';
  const { shown, more } = useFirst(plans, ROWS_SHOWN);
  return (
    <>
      <Table>
        <thead>
          <tr>
            <th>{say('Animal')}</th>
            <th>{say('Weight')}</th>
            <th>{say('Dose')}</th>
            <th>{say('Meat and milk withheld')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((plan, i) => {
            const animal = animals[i];
            return animal ? (
              <tr key={animal.tag.animalId}>
                <td>
                  <Tag tag={animal.tag} isStatic />
                </td>
                <td>{weightWords(plan, animal.species, unit)}</td>
                <td>
                  {plan.amount === undefined || isOut(plan) ? say('none') : `${amountText(plan.amount)} ${doseUnit}`}
                  {plan.dose.kind === 'dose' && plan.dose.sites.length > 1 && plan.amount === plan.dose.amount
                    ? say(': {list} in {n} places', {
                        list: plan.dose.sites.map(amountText).join(' + '),
                        n: plan.dose.sites.length,
                      })
                    : ''}
                </td>
                <td>{withdrawalWords(plan)}</td>
              </tr>
            ) : null;
          })}
        </tbody>
        {plans.length > 1 ? (
          <tfoot>
            <tr>
              <td colSpan={2}>{say('{n} {n, plural, one {animal} other {animals}}', { n: plans.length })}</td>
              <td colSpan={2}>{say('{amount} {doseUnit} in all', { amount: amountText(total), doseUnit })}</td>
            </tr>
          </tfoot>
        ) : null}
      </Table>
      {more}
      {out.map((words) => (
        <Small key={words}>{words}</Small>
      ))}
    </>
  );
}

const weightWords = ({ weight }: PlannedTreatment, species: Species, unit: ReturnType<typeof useWeightUnit>): string =>
  weight
    ? `${weightText(weight.kg, unit, species)}, ${say(weight.method)}, ${weight.daysOld === 0 ? say('today') : say('{daysOld} {daysOld, plural, one {day old} other {days old}}', { daysOld: weight.daysOld })}`
    : 'none';

const withdrawalWords = ({ withdrawal }: PlannedTreatment): string => {
  if (!withdrawal) return say('not on the label');
  const days = (n: number | undefined): string =>
    n === undefined ? say('no figure') : say('{n} {n, plural, one {day} other {days}}', { n });
  return `${days(withdrawal.meatDays)}, ${days(withdrawal.milkDays)}`;
};

const Table = styled(LineTable)`
  tfoot td {
    font-weight: 700;
    border-bottom: 0;
  }
`;
