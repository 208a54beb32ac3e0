import type { ChoosingView } from '@yaylak/contract';
import {
  BREEDING_TRAITS,
  CHOOSING_TRAITS,
  fromKg,
  scaleUnit,
  toKg,
  weighsSomething,
  type BreedingTraitName,
  type ChoosingTrait,
  type RankingHow,
} from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Choice } from '../../parts/Choice';
import { FigureField } from '../../parts/FigureField';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { colour, space, touch } from '../../theme/tokens';
import { traitStateText, traitUnit } from '../../words/choosing';
import { TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { Presets } from './Presets';
import { TRAIT_COLOURS } from './traitColours';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly view: ChoosingView;
  readonly currency: string;
  readonly onChange: (how: RankingHow) => void;
}

/** What the order goes by: which figures, in points or in money, and how much each counts. */
export function HowPanel({ view, currency, onChange }: Props) {
  const { how, basis, traits, set } = view;
  const unit = useWeightUnit();
  const scale = scaleUnit(set.species, unit);
  const missing = traits.flatMap((t) => traitStateText(t) ?? []);
  const [isLast, setIsLast] = useState(false);
  const setWeight = (of: 'own' | 'points' | 'money', trait: string, weight: number): void => {
    const weights = { ...how[of], [trait]: weight };
    setIsLast(!weighsSomething(weights));
    if (weighsSomething(weights)) onChange({ ...how, [of]: weights });
  };
  return (
    <Panel>
      <h2>
        {say('What counts')}
        <How of={say('the order')}>
          <p>
            <Said
              text={
                '<0>Breeding values</0> weigh an animal’s own records together with those of all its kin, and take off what its group, season and dam’s age gave it. They tell best what its young will be, and are for a holding that weighs and records its parents.'
              }
              parts={{ 0: <b /> }}
            />
          </p>
          <p>
            <Said
              text={
                '<0>Own records</0> compare each with its like in this set, after age, birth type, sex and dam’s age. Easier to check by hand; kin count only through the dam’s record. With fewer than 30 records of a trait they serve anyway.'
              }
              parts={{ 0: <b /> }}
            />
          </p>
          <p>
            {say(
              'Points: each trait in its own spread, times 10, times its share. Money: what one unit more brings over a breeding life. Traits are taken as independent of each other, which they are not quite.',
            )}
          </p>
        </How>
      </h2>
      <Choice
        label={say('Ranked by')}
        value={how.basis}
        options={[
          ['values', say('breeding values')],
          ['own', say('own records, like for like')],
        ]}
        onChange={(next) => onChange({ ...how, basis: next })}
      />
      {how.basis === 'values' && basis === 'own' ? (
        <Small role="status">{say('No trait that counts has breeding values yet, so own records serve.')}</Small>
      ) : null}
      {isLast ? (
        <Small role="status">{say('One trait at least has to count: the last one keeps its weight.')}</Small>
      ) : null}
      {basis === 'values' ? (
        <>
          <Choice
            label={say('Counted in')}
            value={how.scale}
            options={[
              ['points', say('points')],
              ['money', say('money ({currency})', { currency })],
            ]}
            onChange={(next) => onChange({ ...how, scale: next })}
          />
          {BREEDING_TRAITS.filter((t) => traits.some((s) => s.trait === t && s.state === 'values')).map((trait) =>
            how.scale === 'points' ? (
              <Weight
                key={trait}
                trait={trait}
                value={how.points[trait] ?? 0}
                least={trait === 'grown-weight' && how.grownAimKg === undefined ? -100 : 0}
                onChange={(n) => setWeight('points', trait, n)}
              />
            ) : (
              <Price
                key={trait}
                label={say('{trait}, {currency} per {perUnit}', {
                  trait: TRAIT_WORDS[trait],
                  currency,
                  perUnit: perUnit(trait, traitUnit(trait, set.species, unit)),
                })}
                value={how.money[trait] ?? 0}
                // A price is kept for a kilogram, and typed for the unit it is shown in.
                per={isWeight(trait) ? toKg(1, scale) : 1}
                onChange={(n) => setWeight('money', trait, n)}
              />
            ),
          )}
          <FigureField
            key={how.grownAimKg}
            label={say('Best grown weight, {scale} (empty: more is better)', { scale })}
            value={how.grownAimKg === undefined ? '' : String(Number(fromKg(how.grownAimKg, scale).toFixed(1)))}
            onTyped={(shown) => {
              const { grownAimKg: _, ...rest } = how;
              onChange(shown === undefined ? rest : { ...rest, grownAimKg: toKg(shown, scale) });
            }}
          />
          {how.grownAimKg === undefined ? null : (
            <Small>
              {say(
                'Counted by how far it is likely to lie from the best weight, either way: one little is known of is marked down for that.',
              )}
            </Small>
          )}
        </>
      ) : (
        CHOOSING_TRAITS.filter((t) => view.ownTraits.includes(t)).map((trait: ChoosingTrait) => (
          <Weight
            key={trait}
            trait={trait}
            value={how.own[trait] ?? 0}
            least={0}
            onChange={(n) => setWeight('own', trait, n)}
          />
        ))
      )}
      {missing.length > 0 && how.basis === 'values' ? (
        <Small>{say('Without breeding values. {list}', { list: missing.join(' ') })}</Small>
      ) : null}
      {basis === 'values' && traits.some((t) => !t.isExact) ? (
        <Small>{say('So large a herd: how sure each value is comes from a good approximation.')}</Small>
      ) : null}
      <Presets species={set.species} how={how} onChange={onChange} />
    </Panel>
  );
}

const isWeight = (trait: BreedingTraitName): boolean => trait !== 'young-born' && trait !== 'eye-points';
const perUnit = (trait: BreedingTraitName, unit: string): string =>
  trait === 'young-born' ? say('young a litter') : trait === 'eye-points' ? say('point') : unit;

interface WeightProps {
  readonly trait: BreedingTraitName | ChoosingTrait;
  readonly value: number;
  readonly least: number;
  readonly onChange: (value: number) => void;
}

/** A weight by slider and by typing; it counts when the slider is let go. */
function Weight({ trait, value, least, onChange }: WeightProps) {
  const [moved, setMoved] = useState<number>();
  const shown = moved ?? value;
  const done = (): void => {
    if (moved !== undefined && moved !== value) onChange(moved);
    setMoved(undefined);
  };
  const words = TRAIT_WORDS[trait];
  return (
    <Line>
      <Swatch style={{ background: TRAIT_COLOURS[trait] }} />
      <span>{words}</span>
      <input
        type="range"
        aria-label={words}
        min={least}
        max={100}
        step={5}
        value={shown}
        onChange={(e) => setMoved(Number(e.target.value))}
        onPointerUp={done}
        onKeyUp={done}
        onBlur={done}
      />
      <input
        type="number"
        aria-label={say('{words}, weight', { words })}
        min={least}
        max={100}
        value={shown}
        onChange={(e) => setMoved(Math.max(least, Math.min(100, Number(e.target.value) || 0)))}
        onKeyDown={(e) => e.key === 'Enter' && done()}
        onBlur={done}
      />
    </Line>
  );
}

interface PriceProps {
  readonly label: string;
  /** Hundredths for a kilogram, a head, a point. */
  readonly value: number;
  /** How many of these one shown unit is. */
  readonly per: number;
  readonly onChange: (value: number) => void;
}

function Price({ label, value, per, onChange }: PriceProps) {
  return (
    <FigureField
      key={value}
      label={label}
      value={String(Number(((value * per) / 100).toFixed(4)))}
      onTyped={(shown) => onChange(shown === undefined ? 0 : Math.round((shown * 100) / per))}
    />
  );
}

const Line = styled.div`
  display: grid;
  grid-template-columns: 10px 96px minmax(0, 1fr) 52px;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  font-size: 14px;
  input[type='range'] {
    accent-color: ${colour('indigo')};
    min-width: 0;
    min-height: ${touch};
  }
  input[type='number'] {
    min-height: ${touch};
    width: 52px;
    text-align: right;
    border: 1px solid ${colour('line')};
    border-radius: 4px;
    background: ${colour('panel')};
    color: ${colour('ink')};
  }
`;
const Swatch = styled.span`
  width: 10px;
  height: 22px;
`;
