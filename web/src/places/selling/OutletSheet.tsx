import { useQueryClient } from '@tanstack/react-query';
import { OutletFacts, type OutletView, type SaleRow, say } from '@yaylak/contract';
import { cellOf, isPaidByHead, isPaidDead, PAY_WAYS, type Species } from '@yaylak/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import styled from 'styled-components';
import { ask } from '../../api/client';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { PAY_WORDS, WEEKDAYS } from '../../words/selling';
import { useSpeciesOptions, useWeightUnit } from '../../words/useHolding';
import { GridEditor, type Dots } from './GridEditor';
import { draftOf, readOutlet, type GridDraft, type OutletDraft, type PriceDraft } from './outletDraft';

interface Props {
  /** Undefined for a new one. */
  readonly outlet: OutletView | undefined;
  readonly species: Species;
  readonly today: string;
  readonly currency: string;
  /** Own animals, for the dots in the grid. */
  readonly rows: readonly SaleRow[];
  readonly onClose: () => void;
}

/** Somewhere animals are sold, with what it pays, takes off and wants. */
export function OutletSheet({ outlet, species, today, currency, rows, onClose }: Props) {
  const speciesOptions = useSpeciesOptions();
  const unit = useWeightUnit();
  const form = useTypedForm<OutletDraft>({
    start: draftOf(outlet?.facts, species, today, unit),
    made: (typed) => {
      const read = readOutlet(typed, unit);
      return read.kind === 'faults' ? [] : [{ shape: OutletFacts, value: read.facts }];
    },
    also: (typed): Against => {
      const read = readOutlet(typed, unit);
      return read.kind === 'faults' ? { root: read.faults.slice(0, 3).join(' ') } : {};
    },
  });
  const draft = useWatch({ control: form.control }) as OutletDraft;
  const client = useQueryClient();
  const [id] = useState(() => outlet?.id ?? newId());
  const save = async (typed: OutletDraft, isClosed = outlet?.isClosed ?? false): Promise<readonly string[]> => {
    const read = readOutlet(typed, unit);
    if (read.kind === 'faults') return read.faults;
    try {
      if (outlet)
        await ask(`/api/selling/outlets/${id}`, {
          method: 'PUT',
          body: { ...read.facts, version: outlet.version, isClosed },
        });
      else await ask('/api/selling/outlets', { method: 'POST', body: { id, ...read.facts } });
    } catch (error) {
      return [(error as Error).message];
    }
    void readAgain(client);
    return [];
  };
  const turn = form.handleSubmit(async (typed) => {
    const refused = await save(typed, !outlet?.isClosed);
    if (refused.length > 0) return form.setError('root', { message: refused.join(' ') });
    onClose();
  });
  const wanted = isPaidDead(draft.payBy) ? say('carcass, {unit}', { unit }) : say('alive, {unit}', { unit });
  return (
    <Sheet title={outlet ? outlet.facts.name : say('Add an outlet')} isOpen onClose={onClose} width={980}>
      <SendForm
        form={form}
        send={(typed) => save(typed)}
        onDone={onClose}
        submit={say('Save the outlet')}
        more={
          outlet ? (
            <Button onPress={() => void turn()} isDisabled={form.formState.isSubmitting}>
              {outlet.isClosed ? say('We sell there again') : say('We no longer sell there')}
            </Button>
          ) : undefined
        }
      >
        <Grid>
          <FormField name="name" label={say('Name')} autoFocus />
          <FormChoice name="species" label={say('Species')} options={speciesOptions} />
          <FormChoice name="payBy" label={say('Pays')} options={PAY_WAYS.map((w) => [w, PAY_WORDS[w]])} />
          {isPaidDead(draft.payBy) ? null : (
            <>
              <FormField name="shrink" label={say('Lost before it is weighed, %')} inputMode="decimal" />
              <FormField name="commission" label={say('Commission, %')} inputMode="decimal" />
            </>
          )}
          <FormField name="trip" label={say('Haulage a trip, {currency}', { currency })} inputMode="decimal" />
          <FormField name="head" label={say('Off each head, {currency}', { currency })} inputMode="decimal" />
          <FormField name="least" label={say('Heads at least')} inputMode="numeric" />
          <FormField name="most" label={say('Heads at most')} inputMode="numeric" />
        </Grid>
        <Prices
          prices={draft.prices}
          draft={draft}
          today={today}
          currency={currency}
          rows={rows}
          onChange={(prices) => form.setValue('prices', prices as never, { shouldDirty: true })}
        />
        <h3>{say('What it wants')}</h3>
        <Grid>
          <FormField name="fromKg" label={say('From, {wanted}', { wanted })} inputMode="decimal" />
          <FormField name="toKg" label={say('To, {wanted}', { wanted })} inputMode="decimal" />
          <FormField name="fromShape" label={say('Shape from')} placeholder="O" />
          <FormField name="toShape" label={say('Shape to')} placeholder="E" />
          <FormField name="fromFat" label={say('Fat from')} placeholder="2-" />
          <FormField name="toFat" label={say('Fat to')} placeholder="3+" />
          <FormField name="fromDays" label={say('Days old from')} inputMode="numeric" />
          <FormField name="toDays" label={say('Days old to')} inputMode="numeric" />
          <FormField name="leastChance" label={say('Ready when this sure, %')} inputMode="numeric" />
        </Grid>
        <Row role="group" aria-label={say('Runs on')}>
          <span>{say('Runs on')}</span>
          {WEEKDAYS.map((name, i) => {
            const day = i + 1;
            const isIn = draft.weekdays.includes(day);
            return (
              <Chip
                key={name}
                type="button"
                aria-pressed={isIn}
                onClick={() =>
                  form.setValue(
                    'weekdays',
                    (isIn
                      ? draft.weekdays.filter((d) => d !== day)
                      : [...draft.weekdays, day].sort((a, b) => a - b)) as never,
                    { shouldDirty: true },
                  )
                }
              >
                {name}
              </Chip>
            );
          })}
        </Row>
        <FormField name="note" label={say('Note')} />
      </SendForm>
    </Sheet>
  );
}

interface PricesProps {
  readonly prices: readonly PriceDraft[];
  readonly draft: OutletDraft;
  readonly today: string;
  readonly currency: string;
  readonly rows: readonly SaleRow[];
  readonly onChange: (prices: readonly PriceDraft[]) => void;
}

/** The price lists, the latest first; a new price is a list of its own day, so that old sales keep theirs. */
function Prices({ prices, draft, today, currency, rows, onChange }: PricesProps) {
  const unit = useWeightUnit();
  const [at, setAt] = useState(0);
  const list = prices[at] ?? prices[0];
  if (!list) return null;
  const set = (change: Partial<PriceDraft>): void =>
    onChange(prices.map((p) => (p === list ? { ...p, ...change } : p)));
  const isDead = isPaidDead(draft.payBy) && !isPaidByHead(draft.payBy);
  return (
    <>
      <Row style={{ justifyContent: 'space-between' }}>
        <h3>{say('Prices')}</h3>
        <Row>
          {prices.length > 1 ? (
            <Choice
              label={say('Price list')}
              isLabelHidden
              value={String(at)}
              options={prices.map((p, i) => [
                String(i),
                p.from === '' ? say('new') : say('from {date}', { date: fullDate(p.from) }),
              ])}
              onChange={(i) => setAt(Number(i))}
            />
          ) : null}
          <Button
            onPress={() => {
              onChange([{ ...list, from: prices.some((p) => p.from === today) ? '' : today }, ...prices]);
              setAt(0);
            }}
          >
            {say('New prices')}
          </Button>
        </Row>
      </Row>
      <Grid>
        <Field label={say('Hold from')} type="date" value={list.from} onChange={(from) => set({ from })} />
        <Field
          label={isPaidByHead(draft.payBy) ? say('A head, {currency}', { currency }) : `A ${unit}, ${currency}`}
          inputMode="decimal"
          value={list.base}
          onChange={(base) => set({ base })}
        />
        {isDead ? (
          <Field
            label={say('Paid up to, carcass {unit}', { unit })}
            inputMode="decimal"
            value={list.upTo}
            onChange={(upTo) => set({ upTo })}
          />
        ) : null}
      </Grid>
      {draft.payBy === 'grid' ? (
        <GridEditor
          grid={list.grid}
          unit={unit}
          dotsOf={(grid) => dotsOf(rows, grid)}
          onChange={(grid) => set({ grid })}
        />
      ) : null}
      {isDead ? <Bands list={list} unit={unit} currency={currency} onChange={set} /> : null}
    </>
  );
}

function Bands({
  list,
  unit,
  currency,
  onChange,
}: {
  readonly list: PriceDraft;
  readonly unit: string;
  readonly currency: string;
  readonly onChange: (change: Partial<PriceDraft>) => void;
}) {
  return (
    <>
      {list.bands.map((band, i) => {
        const set = (change: Partial<typeof band>): void =>
          onChange({ bands: list.bands.map((b, k) => (k === i ? { ...b, ...change } : b)) });
        return (
          <Row key={i} $gap={3}>
            <Field
              label={say('Carcass from, {unit}', { unit })}
              inputMode="decimal"
              value={band.from}
              onChange={(from) => set({ from })}
            />
            <Field
              label={say('to under, {unit}', { unit })}
              inputMode="decimal"
              value={band.to}
              onChange={(to) => set({ to })}
            />
            <Field
              label={say('{currency} more or less a {unit}', { currency, unit })}
              inputMode="decimal"
              value={band.more}
              onChange={(more) => set({ more })}
            />
            <Button kind="quiet" onPress={() => onChange({ bands: list.bands.filter((_, k) => k !== i) })}>
              {say('Take out')}
            </Button>
          </Row>
        );
      })}
      <Row>
        <Button kind="quiet" onPress={() => onChange({ bands: [...list.bands, { from: '', to: '', more: '' }] })}>
          {say('Add a weight band')}
        </Button>
        {list.bands.length === 0 ? <Small>{say('No weight bands: every kilogram is paid the same.')}</Small> : null}
      </Row>
    </>
  );
}

/** How many animals fall in each cell, as they were felt. */
function dotsOf(rows: readonly SaleRow[], { shape, fat }: GridDraft): Dots {
  const dots: Record<string, number> = {};
  for (const { finish } of rows) {
    if (finish?.shape == null || finish.fat === null) continue;
    const key = `${cellOf(finish.shape, shape)} ${cellOf(finish.fat, fat)}`;
    dots[key] = (dots[key] ?? 0) + 1;
  }
  return dots;
}

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: ${space(3)};
`;
