import { useQuery, useQueryClient } from '@tanstack/react-query';
import { TreatmentEntry, type HoldingView, type ProductView, type RosterAnimal } from '@yaylak/contract';
import { dayOf, parseDay, readTypedNumber, type Route, type Species } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import styled from 'styled-components';
import { holdingQuery, rosterQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import type { EntryDraft } from '../../outbox/useRecord';
import { Choice } from '../../parts/Field';
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
import { useWrite } from '../../parts/useWrite';
import { colour, space } from '../../theme/tokens';
import { amountText, countText, weightText } from '../../words/format';
import { ROUTE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useUnits';
import { amountFault, planTreatment, treatmentFact, type PlannedTreatment } from './planTreatment';

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
    animals.length === 1 ? `Treat ${animals[0]?.tag.text ?? ''}` : `Treat ${countText(ids.size, 'animal', 'animals')}`;
  return (
    <Sheet title={title} isOpen onClose={onClose} width={720}>
      {roster && holding ? null : <Loading />}
      {roster?.products.length === 0 ? (
        <p>There is no product on the list yet. Add it under Remedies, with what its label says.</p>
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
    const byKg = heaviestOf(own);
    return typed.isByHeaviest && byKg > 0
      ? animals.map((a) => planTreatment(product, who(a), { ...choice, byKg }))
      : own;
  };
  const draftsOf = (typed: Typed): EntryDraft[] => {
    const days = typed.isOffLabel ? vetDays(typed) : undefined;
    return plansOf(typed).flatMap((plan, i): EntryDraft[] => {
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
    words: { on: 'Give the day it was given.', reason: 'Say why in fewer words.' },
    also: (typed): Against => {
      if (parseDay(typed.on) === undefined) return { on: 'Give the day it was given.' };
      const fault = faultOf(plansOf(typed), animals, typed.isOffLabel);
      if (fault) return { root: fault };
      const isFar = plansOf(typed).some((p) => p.timesLabel !== undefined && typed.amount.trim() !== '');
      if (isFar && typed.reason.trim() === '')
        return { reason: 'That is far from the label’s dose: say why, and on whose word.' };
      return typed.isOffLabel && vetDays(typed) === 'unclear'
        ? { vetMeat: 'Type the days for meat that the vet gave, 0 or more.' }
        : {};
    },
  });
  const typed = useWatch({ control: form.control }) as Typed;
  const product = productOf(typed.productId);
  const plans = parseDay(typed.on) === undefined ? [] : plansOf(typed);
  const heaviest = heaviestOf(plans);
  const cautionsOf = (planned: readonly PlannedTreatment[]): string[] =>
    planned.flatMap((p, i) =>
      p.cautions.map((c) => (animals.length === 1 ? c : `${animals[i]?.tag.text ?? ''}: ${c}`)),
    );
  const cautions = cautionsOf(plans);
  const first = plans[0];

  const give = async (sent: Typed): Promise<readonly string[] | 'asked'> => {
    const question = cautionsOf(plansOf(sent)).join(' ');
    if (question !== '' && asked !== question) {
      setAsked(question);
      return 'asked';
    }
    const drafts = draftsOf(sent);
    const done = `${productOf(sent.productId).facts.name} written down for ${countText(drafts.length, 'animal', 'animals')}`;
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
      submit="Write it down"
      more={<Small>The label and your vet decide. One needle for each animal; nothing poured on a wet back.</Small>}
    >
      <FieldRow $gap={3}>
        <Choice
          label="Product"
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
          label="How"
          value={typed.route ?? product.facts.routes[0] ?? 'mouth'}
          options={product.facts.routes.map((r) => [r, ROUTE_WORDS[r]])}
          onChange={(route) => form.setValue('route', route)}
        />
        <Choice
          label="Batch"
          value={typed.batch ?? first?.batch ?? ''}
          options={[
            ...(first?.batch === undefined ? [['', 'not said'] as const] : []),
            ...product.batches.map(
              (b) => [b.batch, `${b.batch}${b.state === 'good' ? '' : `, ${STATE_WORDS[b.state]}`}`] as const,
            ),
          ]}
          onChange={(batch) => form.setValue('batch', batch)}
        />
        <FormField name="on" label="On" type="date" />
      </FieldRow>
      <FieldRow $gap={3}>
        <FormField
          name="amount"
          label={`Amount, ${product.facts.doseUnit} (empty: by the label)`}
          inputMode="decimal"
        />
        <FormField name="reason" label="Why" />
        <FormField name="prescribedBy" label="On whose prescription" placeholder={product.facts.prescribedBy ?? ''} />
      </FieldRow>
      {animals.length > 1 ? (
        <FormTick
          name="isByHeaviest"
          label={`One dose for all, by the heaviest${heaviest > 0 ? ` (${weightText(heaviest, unit)})` : ''}`}
        />
      ) : null}
      <Doses plans={plans} animals={animals} />
      <FormTick name="isOffLabel" label="Off the label, on the vet’s word" />
      {typed.isOffLabel ? (
        <FieldRow $gap={3}>
          <FormField name="vetMeat" label="Vet’s days for meat" inputMode="numeric" />
          <FormField name="vetMilk" label="Vet’s days for milk" inputMode="numeric" />
        </FieldRow>
      ) : null}
      {asked !== undefined && cautions.length > 0 ? (
        <Asked role="alert">
          {cautions.map((c) => (
            <p key={c}>{c}</p>
          ))}
          <p>Press again to write it down all the same.</p>
        </Asked>
      ) : null}
    </SendForm>
  );
}

const heaviestOf = (plans: readonly PlannedTreatment[]): number => Math.max(0, ...plans.map((p) => p.weight?.kg ?? 0));

/** The vet's days, where it is given off the label. */
function vetDays({ vetMeat, vetMilk }: Typed): { meatDays: number; milkDays?: number } | 'unclear' {
  const [meat, milk] = [readTypedNumber(vetMeat), readTypedNumber(vetMilk)];
  if (meat.kind === 'refused' || !Number.isInteger(meat.value) || meat.value < 0) return 'unclear';
  return { meatDays: meat.value, ...(milk.kind === 'number' ? { milkDays: milk.value } : {}) };
}

const STATE_WORDS = { good: 'good', 'expires-soon': 'over soon', expired: 'is over', 'used-up': 'used up' } as const;

/** The first thing that keeps them from being treated, with whom it is. */
function faultOf(
  plans: readonly PlannedTreatment[],
  animals: readonly RosterAnimal[],
  isOffLabel: boolean,
): string | undefined {
  for (const [i, plan] of plans.entries()) {
    const name = animals[i]?.tag.text ?? '';
    const fault = amountFault(plan);
    if (fault) return `${name}: ${fault}`;
    if (!isOffLabel && plan.withdrawal?.meatDays === undefined)
      return `${name}: the label of ${plan.product.facts.name} has no withdrawal for this species by this route. If the vet ordered it, tick “Off the label” and type the vet’s days.`;
  }
  return undefined;
}

function Doses({
  plans,
  animals,
}: {
  readonly plans: readonly PlannedTreatment[];
  readonly animals: readonly RosterAnimal[];
}) {
  const unit = useWeightUnit();
  const total = plans.reduce((sum, p) => sum + (p.amount ?? 0), 0);
  const doseUnit = plans[0]?.product.facts.doseUnit ?? '';
  return (
    <Table>
      <thead>
        <tr>
          <th>Animal</th>
          <th>Weight</th>
          <th>Dose</th>
          <th>Meat and milk withheld</th>
        </tr>
      </thead>
      <tbody>
        {plans.slice(0, ROWS_SHOWN).map((plan, i) => {
          const animal = animals[i];
          return animal ? (
            <tr key={animal.tag.animalId}>
              <td>
                <Tag tag={animal.tag} isStatic />
              </td>
              <td>{weightWords(plan, animal.species, unit)}</td>
              <td>
                {plan.amount === undefined ? 'none' : `${amountText(plan.amount)} ${doseUnit}`}
                {plan.dose.kind === 'dose' && plan.dose.sites.length > 1 && plan.amount === plan.dose.amount
                  ? `: ${plan.dose.sites.map(amountText).join(' + ')} in ${plan.dose.sites.length} places`
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
            <td colSpan={2}>
              {plans.length > ROWS_SHOWN ? `and ${plans.length - ROWS_SHOWN} more; ` : ''}
              {countText(plans.length, 'animal', 'animals')}
            </td>
            <td colSpan={2}>
              {amountText(total)} {doseUnit} in all
            </td>
          </tr>
        </tfoot>
      ) : null}
    </Table>
  );
}

const weightWords = ({ weight }: PlannedTreatment, species: Species, unit: ReturnType<typeof useWeightUnit>): string =>
  weight
    ? `${weightText(weight.kg, unit, species)}, ${weight.method}, ${weight.daysOld === 0 ? 'today' : countText(weight.daysOld, 'day old', 'days old')}`
    : 'none';

const withdrawalWords = ({ withdrawal }: PlannedTreatment): string => {
  if (!withdrawal) return 'not on the label';
  const days = (n: number | undefined): string => (n === undefined ? 'no figure' : countText(n, 'day', 'days'));
  return `${days(withdrawal.meatDays)}, ${days(withdrawal.milkDays)}`;
};

const Table = styled(LineTable)`
  tfoot td {
    font-weight: 700;
    border-bottom: 0;
  }
`;
const Asked = styled.div`
  padding: ${space(2)} ${space(3)};
  background: ${colour('weldWash')};
  border-left: 5px solid ${colour('weldFill')};
`;
