import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ProductFacts, type ProductView, say } from '@yaylak/contract';
import { DOSE_UNITS, PRODUCT_KINDS, ROUTES } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import styled from 'styled-components';
import { ask } from '../../api/client';
import { groupsQuery, holdingQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Field } from '../../parts/Field';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { space } from '../../theme/tokens';
import { newId } from '../../words/ids';
import { ROUTE_WORDS } from '../../words/stations';
import { Asked } from '../../parts/Asked';
import { DoseTable } from './DoseTable';
import { draftOf, labelDoubts, readProduct, type BatchDraft, type ProductDraft } from './productDraft';
import { useWeightUnit } from '../../words/useHolding';
import { MONTHS } from '../../words/months';

interface Props {
  /** Undefined for a new one. */
  readonly product: ProductView | undefined;
  readonly onClose: () => void;
}

const NEW_BATCH: BatchDraft = { batch: '', expiresOn: '', amount: '', paid: '' };

/** A product with what its label says; the user's own, and all doses come from it. */
export function ProductSheet({ product, onClose }: Props) {
  const unit = useWeightUnit();
  const form = useTypedForm<ProductDraft>({
    start: draftOf(product?.facts, unit),
    made: (typed) => {
      const read = readProduct(typed, unit, product?.facts);
      return read.kind === 'faults' ? [] : [{ shape: ProductFacts, value: read.facts }];
    },
    also: (typed): Against => {
      const read = readProduct(typed, unit, product?.facts);
      return read.kind === 'faults' ? { root: read.faults.join(' ') } : {};
    },
  });
  const draft = useWatch({ control: form.control }) as ProductDraft;
  const client = useQueryClient();
  const undo = useUndo();
  const set = (change: Partial<ProductDraft>): void => {
    for (const [field, value] of Object.entries(change)) form.setValue(field as keyof ProductDraft, value as never);
  };
  const reread = (): void => void readAgain(client);
  // One label, however often it is sent.
  const [asked, setAsked] = useState<string>();
  const [id] = useState(() => product?.id ?? newId());

  const save = async (
    typed: ProductDraft,
    isClosed = product?.isClosed ?? false,
  ): Promise<readonly string[] | 'asked'> => {
    const read = readProduct(typed, unit, product?.facts);
    if (read.kind === 'faults') return read.faults;
    const doubts = labelDoubts(read.facts, unit);
    if (doubts.length > 0 && asked !== doubts.join(' ')) {
      setAsked(doubts.join(' '));
      return 'asked';
    }
    try {
      if (product) {
        const path = `/api/remedies/products/${id}`;
        const saved = await ask<ProductView>(path, {
          method: 'PUT',
          body: { ...read.facts, version: product.version, isClosed },
        });
        undo.offer({
          done: say('Saved {name}', { name: read.facts.name }),
          undo: async () => {
            const before = { ...product.facts, version: saved.version, isClosed: product.isClosed };
            await ask(path, { method: 'PUT', body: before });
            reread();
          },
        });
      } else {
        await ask('/api/remedies/products', { method: 'POST', body: { id, ...read.facts } });
        undo.offer({
          done: say('Added {name}', { name: read.facts.name }),
          undo: async () => {
            await ask(`/api/remedies/products/${id}`, { method: 'DELETE' });
            reread();
          },
        });
      }
    } catch (error) {
      return [(error as Error).message];
    }
    reread();
    return [];
  };
  /** Saves what is typed, and that it is used no longer, or again. */
  const turn = form.handleSubmit(async (typed) => {
    const refused = await save(typed, !product?.isClosed);
    if (refused === 'asked') return;
    if (refused.length > 0) return form.setError('root', { message: refused.join(' ') });
    onClose();
  });
  return (
    <Sheet title={product ? product.facts.name : say('Add a product')} isOpen onClose={onClose} width={860}>
      <SendForm
        form={form}
        send={(typed) => save(typed)}
        onDone={onClose}
        submit={say('Save the label')}
        more={
          product ? (
            <Button onPress={() => void turn()} isDisabled={form.formState.isSubmitting}>
              {product.isClosed ? say('It is used again') : say('No longer used')}
            </Button>
          ) : undefined
        }
      >
        <Small>{say('Type what the label says, and nothing else. What is not on it, the vet decides.')}</Small>
        <Grid>
          <FormField name="name" label={say('Name')} autoFocus />
          <FormChoice name="kind" label={say('Kind')} options={PRODUCT_KINDS.map((k) => [k, say(k)])} />
          <FormField name="active" label={say('Active substance')} />
          <FormField name="form" label={say('Form')} placeholder={say('drench')} />
          <FormField name="concentration" label={say('Concentration')} placeholder="25 mg/ml" />
          <FormChoice name="doseUnit" label={say('Measured in')} options={DOSE_UNITS.map((u) => [u, u])} />
          <FormField name="step" label={say('Syringe step')} inputMode="decimal" />
          <FormChoice
            name="rounding"
            label={say('Rounded')}
            options={[
              ['up', say('up: too little does harm')],
              ['nearest', say('to the nearest step')],
            ]}
          />
          <FormField name="maxPerSite" label={say('Most at one place')} inputMode="decimal" />
          <FormField name="times" label={say('Doses in all')} inputMode="numeric" />
          <FormField name="everyDays" label={say('Days between')} inputMode="numeric" />
          <FormField name="prescribedBy" label={say('On whose prescription')} />
          <FormField
            name="lowAt"
            label={say('Say when low, {doseUnit}', { doseUnit: draft.doseUnit })}
            inputMode="decimal"
          />
        </Grid>
        <Row role="group" aria-label={say('Given')}>
          <span>{say('Given')}</span>
          {ROUTES.map((r) => {
            const isIn = draft.routes.includes(r);
            const routes = isIn ? draft.routes.filter((x) => x !== r) : [...draft.routes, r];
            return (
              <Chip key={r} type="button" aria-pressed={isIn} onClick={() => set({ routes })}>
                {ROUTE_WORDS[r]}
              </Chip>
            );
          })}
        </Row>
        <DoseTable draft={draft} onChange={set} />
        <Batches draft={draft} onChange={set} />
        <Plan draft={draft} onChange={set} />
        <Asked
          questions={asked === undefined ? [] : [asked]}
          again={say('Correct it, or press again to save it as it is.')}
        />
      </SendForm>
    </Sheet>
  );
}

interface PartProps {
  readonly draft: ProductDraft;
  readonly onChange: (change: Partial<ProductDraft>) => void;
}

function Batches({ draft, onChange }: PartProps) {
  const { data: holding } = useQuery(holdingQuery);
  const set = (i: number, change: Partial<BatchDraft>): void =>
    onChange({ batches: draft.batches.map((b, j) => (i === j ? { ...b, ...change } : b)) });
  return (
    <div>
      <h3>{say('Batches')}</h3>
      {draft.batches.map((b, i) => (
        <Row key={i} $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label={say('Batch')} value={b.batch} onChange={(batch) => set(i, { batch })} style={{ width: 150 }} />
          <Field
            label={say('Use by')}
            type="date"
            value={b.expiresOn}
            onChange={(expiresOn) => set(i, { expiresOn })}
          />
          <Field
            label={say('Bought, {doseUnit}', { doseUnit: draft.doseUnit })}
            inputMode="decimal"
            value={b.amount}
            onChange={(amount) => set(i, { amount })}
            style={{ width: 130 }}
          />
          <Field
            label={say('Paid for all of it, {n}', { n: holding?.currency ?? '' })}
            inputMode="decimal"
            value={b.paid}
            onChange={(paid) => set(i, { paid })}
            style={{ width: 150 }}
          />
          <Button
            kind="quiet"
            aria-label={say('Take batch {batch} out', { batch: b.batch })}
            onPress={() => onChange({ batches: draft.batches.filter((_, j) => j !== i) })}
          >
            {say('Take out')}
          </Button>
        </Row>
      ))}
      <Button kind="quiet" onPress={() => onChange({ batches: [...draft.batches, NEW_BATCH] })}>
        {say('Add a batch')}
      </Button>
    </div>
  );
}

function Plan({ draft, onChange }: PartProps) {
  const { data: groups } = useQuery(groupsQuery);
  const { planMonths, planGroupIds } = draft;
  return (
    <div>
      <h3>{say('Every year in')}</h3>
      <Row role="group" aria-label={say('Months it is given in')}>
        {MONTHS.map((name, i) => {
          const month = i + 1;
          const isIn = planMonths.includes(month);
          return (
            <Chip
              key={name}
              type="button"
              aria-pressed={isIn}
              onClick={() =>
                onChange({
                  planMonths: isIn
                    ? planMonths.filter((m) => m !== month)
                    : [...planMonths, month].sort((a, b) => a - b),
                })
              }
            >
              {name}
            </Chip>
          );
        })}
      </Row>
      {planMonths.length > 0 ? (
        <Row role="group" aria-label={say('Groups it is given to')} style={{ marginTop: 8 }}>
          {(groups ?? [])
            .filter((g) => !g.isClosed)
            .map((g) => {
              const isIn = planGroupIds.includes(g.id);
              return (
                <Chip
                  key={g.id}
                  type="button"
                  aria-pressed={isIn}
                  onClick={() =>
                    onChange({
                      planGroupIds: isIn ? planGroupIds.filter((id) => id !== g.id) : [...planGroupIds, g.id],
                    })
                  }
                >
                  {g.name}
                </Chip>
              );
            })}
        </Row>
      ) : (
        <Small>
          {say('A bolus or mineral twice a year: choose its two months and its groups, and it comes up by itself.')}
        </Small>
      )}
    </div>
  );
}

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: ${space(3)};
`;
