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
import { Choice } from '../../parts/Field';
import { FigureField } from '../../parts/FigureField';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { colour, space, touch } from '../../theme/tokens';
import { traitStateText, traitUnit } from '../../words/choosing';
import { TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { Presets } from './Presets';
import { TRAIT_COLOURS } from './traitColours';

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
        What counts
        <How of="the order">
          <p>
            <b>Breeding values</b> weigh an animal’s own records together with those of all its kin, and take off what
            its group, season and dam’s age gave it. They tell best what its young will be, and are for a holding that
            weighs and records its parents.
          </p>
          <p>
            <b>Own records</b> compare each with its like in this set, after age, birth type, sex and dam’s age. Easier
            to check by hand; kin count only through the dam’s record. With fewer than 30 records of a trait they serve
            anyway.
          </p>
          <p>
            Points: each trait in its own spread, times 10, times its share. Money: what one unit more brings over a
            breeding life. Traits are taken as independent of each other, which they are not quite.
          </p>
        </How>
      </h2>
      <Choice
        label="Ranked by"
        value={how.basis}
        options={[
          ['values', 'breeding values'],
          ['own', 'own records, like for like'],
        ]}
        onChange={(next) => onChange({ ...how, basis: next })}
      />
      {how.basis === 'values' && basis === 'own' ? (
        <Small role="status">No trait that counts has breeding values yet, so own records serve.</Small>
      ) : null}
      {isLast ? <Small role="status">One trait at least has to count: the last one keeps its weight.</Small> : null}
      {basis === 'values' ? (
        <>
          <Choice
            label="Counted in"
            value={how.scale}
            options={[
              ['points', 'points'],
              ['money', `money (${currency})`],
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
                label={`${TRAIT_WORDS[trait]}, ${currency} per ${perUnit(trait, traitUnit(trait, set.species, unit))}`}
                value={how.money[trait] ?? 0}
                // A price is kept for a kilogram, and typed for the unit it is shown in.
                per={isWeight(trait) ? toKg(1, scale) : 1}
                onChange={(n) => setWeight('money', trait, n)}
              />
            ),
          )}
          <FigureField
            key={how.grownAimKg}
            label={`Best grown weight, ${scale} (empty: more is better)`}
            value={how.grownAimKg === undefined ? '' : String(Number(fromKg(how.grownAimKg, scale).toFixed(1)))}
            onTyped={(shown) => {
              const { grownAimKg: _, ...rest } = how;
              onChange(shown === undefined ? rest : { ...rest, grownAimKg: toKg(shown, scale) });
            }}
          />
          {how.grownAimKg === undefined ? null : (
            <Small>
              Counted by how far it is likely to lie from the best weight, either way: one little is known of is marked
              down for that.
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
        <Small>Without breeding values. {missing.join(' ')}</Small>
      ) : null}
      {basis === 'values' && traits.some((t) => !t.isExact) ? (
        <Small>So large a herd: how sure each value is comes from a good approximation.</Small>
      ) : null}
      <Presets species={set.species} how={how} onChange={onChange} />
    </Panel>
  );
}

const isWeight = (trait: BreedingTraitName): boolean => trait !== 'young-born' && trait !== 'eye-points';
const perUnit = (trait: BreedingTraitName, unit: string): string =>
  trait === 'young-born' ? 'young a litter' : trait === 'eye-points' ? 'point' : unit;

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
        aria-label={`${words}, weight`}
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
