import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ProductView, RosterAnimal } from '@yaylak/contract';
import { dayOf, readTypedNumber, type Route, type Species } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { holdingQuery, rosterQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { LineTable } from '../../parts/LineTable';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { Tick } from '../../parts/Tick';
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
  const ids = new Set(animalIds);
  const animals = (roster?.animals ?? []).filter((a) => ids.has(a.tag.animalId));
  const title =
    animals.length === 1 ? `Treat ${animals[0]?.tag.text ?? ''}` : `Treat ${countText(ids.size, 'animal', 'animals')}`;
  return (
    <Sheet title={title} isOpen onClose={onClose} width={720}>
      {!roster ? <Loading /> : null}
      {roster?.products.length === 0 ? (
        <p>There is no product on the list yet. Add it under Remedies, with what its label says.</p>
      ) : null}
      {roster && roster.products.length > 0 ? (
        <Form animals={animals} products={roster.products} onClose={onClose} />
      ) : null}
    </Sheet>
  );
}

interface FormProps {
  readonly animals: readonly RosterAnimal[];
  readonly products: readonly ProductView[];
  readonly onClose: () => void;
}

const ROWS_SHOWN = 8;

function Form({ animals, products, onClose }: FormProps) {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const unit = useWeightUnit();
  const write = useWrite();
  const [productId, setProductId] = useState(products[0]?.id ?? '');
  const product = products.find((p) => p.id === productId) ?? (products[0] as ProductView);
  const [typedOn, setOn] = useState<string>();
  const [amount, setAmount] = useState('');
  const [route, setRoute] = useState<Route>();
  const [batch, setBatch] = useState<string>();
  const [reason, setReason] = useState('');
  const [prescribedBy, setPrescribedBy] = useState('');
  const [isByHeaviest, setByHeaviest] = useState(false);
  const [isOffLabel, setOffLabel] = useState(false);
  const [vetMeat, setVetMeat] = useState('');
  const [vetMilk, setVetMilk] = useState('');
  const [asked, setAsked] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const on = typedOn ?? holding?.today ?? '';
  if (!holding) return <Loading />;

  const who = (animal: RosterAnimal) => ({
    animal,
    species: animal.species,
    ageDays: animal.bornOn ? dayOf(on) - dayOf(animal.bornOn) : undefined,
    settings: holding.species[animal.species],
    on,
    unit,
  });
  const choice = { amountText: amount.trim() === '' ? undefined : amount, route, batch };
  const own = animals.map((a) => planTreatment(product, who(a), choice));
  const heaviest = Math.max(0, ...own.map((p) => p.weight?.kg ?? 0));
  const plans =
    isByHeaviest && heaviest > 0
      ? animals.map((a) => planTreatment(product, who(a), { ...choice, byKg: heaviest }))
      : own;
  const cautions = plans.flatMap((p, i) =>
    p.cautions.map((c) => (animals.length === 1 ? c : `${animals[i]?.tag.text ?? ''}: ${c}`)),
  );
  const first = plans[0];

  const vet = (): { meatDays: number; milkDays?: number } | string | undefined => {
    if (!isOffLabel) return undefined;
    const [meat, milk] = [readTypedNumber(vetMeat), readTypedNumber(vetMilk)];
    if (meat.kind === 'refused' || !Number.isInteger(meat.value) || meat.value < 0)
      return 'Off the label: type the days for meat that the vet gave, 0 or more.';
    return { meatDays: meat.value, ...(milk.kind === 'number' ? { milkDays: milk.value } : {}) };
  };
  const give = async (): Promise<void> => {
    const fault = faultOf(plans, animals, isOffLabel);
    if (fault) return setProblem(fault);
    const days = vet();
    if (typeof days === 'string') return setProblem(days);
    const question = cautions.join(' ');
    if (question !== '' && asked !== question) {
      setAsked(question);
      return setProblem(undefined);
    }
    const drafts = plans.flatMap((plan, i): EntryDraft[] => {
      const fact = treatmentFact(plan, { reason, prescribedBy }, days);
      const animal = animals[i];
      return fact && animal ? [{ ...fact, animalId: animal.tag.animalId, on }] : [];
    });
    const refused = await write(
      drafts,
      `${product.facts.name} written down for ${countText(drafts.length, 'animal', 'animals')}`,
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    void readAgain(client, { queryKey: ['roster'] });
    onClose();
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void give();
      }}
    >
      <Stack $gap={3}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Choice
            label="Product"
            value={product.id}
            options={products.map((p) => [p.id, p.facts.name])}
            onChange={(id) => {
              setProductId(id);
              setRoute(undefined);
              setBatch(undefined);
              setAmount('');
            }}
          />
          <Choice
            label="How"
            value={route ?? product.facts.routes[0] ?? 'mouth'}
            options={product.facts.routes.map((r) => [r, ROUTE_WORDS[r]])}
            onChange={setRoute}
          />
          <Choice
            label="Batch"
            value={batch ?? first?.batch ?? ''}
            options={[
              ...(first?.batch === undefined ? [['', 'not said'] as const] : []),
              ...product.batches.map(
                (b) => [b.batch, `${b.batch}${b.state === 'good' ? '' : `, ${STATE_WORDS[b.state]}`}`] as const,
              ),
            ]}
            onChange={setBatch}
          />
          <Field label="On" type="date" value={on} onChange={setOn} />
        </Row>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field
            label={`Amount, ${product.facts.doseUnit} (empty: by the label)`}
            inputMode="decimal"
            value={amount}
            onChange={setAmount}
          />
          <Field label="Why" value={reason} onChange={setReason} />
          <Field
            label="On whose prescription"
            placeholder={product.facts.prescribedBy ?? ''}
            value={prescribedBy}
            onChange={setPrescribedBy}
          />
        </Row>
        {animals.length > 1 ? (
          <Tick
            label={`One dose for all, by the heaviest${heaviest > 0 ? ` (${weightText(heaviest, unit)})` : ''}`}
            isSelected={isByHeaviest}
            onChange={setByHeaviest}
          />
        ) : null}
        <Doses plans={plans} animals={animals} />
        <Tick label="Off the label, on the vet’s word" isSelected={isOffLabel} onChange={setOffLabel} />
        {isOffLabel ? (
          <Row $gap={3}>
            <Field label="Vet’s days for meat" inputMode="numeric" value={vetMeat} onChange={setVetMeat} />
            <Field label="Vet’s days for milk" inputMode="numeric" value={vetMilk} onChange={setVetMilk} />
          </Row>
        ) : null}
        {asked !== undefined && cautions.length > 0 ? (
          <Asked role="alert">
            {cautions.map((c) => (
              <p key={c}>{c}</p>
            ))}
            <p>Press again to write it down all the same.</p>
          </Asked>
        ) : null}
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row $gap={3}>
          <Button kind="main" type="submit" isDisabled={animals.length === 0}>
            Write it down
          </Button>
          <Small>The label and your vet decide. One needle for each animal; nothing poured on a wet back.</Small>
        </Row>
      </Stack>
    </form>
  );
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
const Problem = styled.p`
  color: ${colour('madder')};
  font-weight: 600;
`;
