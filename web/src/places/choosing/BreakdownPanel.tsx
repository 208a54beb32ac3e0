import type { AsSire, ChoosingRow, ChoosingView } from '@yaylak/contract';
import { halfWidth80, MEAN_INDEX, type BreedingTraitName } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { AdjustedHow } from '../../parts/AdjustedHow';
import { Field } from '../../parts/Field';
import { How } from '../../parts/How';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { partText, RELIABILITY_TEXT, traitFigure, traitUnit, valueText, worthText } from '../../words/choosing';
import { fullDate } from '../../words/dates';
import { differenceText, differenceWithin, shareText, weightText, weightWithin } from '../../words/format';
import { ordinal, partWords, reasonWords, TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { isOverruled } from './decisions';
import { say, fixedText } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly row: ChoosingRow;
  readonly view: ChoosingView;
  readonly currency: string;
  readonly onReason: (reason: string) => void;
}

const PARTS = ['age', 'birthType', 'sex', 'damAge'] as const;

/** Why an animal stands where it stands, in figures that add up. */
export function BreakdownPanel({ row, view, currency, onReason }: Props) {
  const unit = useWeightUnit();
  const { adjusted, breakdown } = row;
  const scale = view.basis === 'values' ? view.how.scale : 'points';
  const on = { species: view.set.species, unit };
  const [reason, setReason] = useState(row.decided?.reason ?? '');
  const headline = headlineOf(row, view.rows.length);
  return (
    <NotePanel $tone="indigo" aria-live="polite">
      <Row style={{ justifyContent: 'space-between' }}>
        <Tag tag={row.tag} />
        <b>{row.lastKg === null ? '' : weightText(row.lastKg, unit)}</b>
      </Row>
      <h2 style={{ margin: '8px 0' }}>{headline}</h2>
      {isOverruled(row) ? (
        <Field
          label={say('Reason for deciding otherwise')}
          value={reason}
          onChange={setReason}
          onBlur={() => reason !== (row.decided?.reason ?? '') && onReason(reason)}
          onKeyDown={(e) => e.key === 'Enter' && onReason(reason)}
        />
      ) : null}
      <Table data-testid="worth">
        <tbody>
          {scale === 'points' ? (
            <tr>
              <th scope="row">
                {view.basis === 'values' ? say('The mean of the base years') : say('The mean of the set')}
              </th>
              <td>{MEAN_INDEX}</td>
            </tr>
          ) : null}
          {row.parts.map((p) => (
            <tr key={p.trait}>
              <th scope="row">
                {TRAIT_WORDS[p.trait]} <ValueLine row={row} trait={p.trait as BreedingTraitName} on={on} />
              </th>
              <td>{partText(p.points, scale, currency)}</td>
            </tr>
          ))}
          <tr data-sum>
            <th scope="row">
              <Said
                text={'Worth <0/>'}
                parts={{
                  0: (
                    <How of={say('Worth of {text}', { text: row.tag.text })}>
                      <p>
                        {say(
                          '{value}What is not known makes the worth less sure, never surer. Four times out of five it lies within the range given.',
                          {
                            value:
                              view.basis === 'values'
                                ? `${say('Each breeding value in genetic standard deviations, times 10, times its share of the weights; in money, times what one unit brings.')} `
                                : `${say('Each trait is its distance from the set’s mean in the set’s own spread, times 10, times its share of the weights. What was not measured counts as average.')} `,
                          },
                        )}
                      </p>
                    </How>
                  ),
                }}
              />
            </th>
            <td>{worthText(row, scale, currency)}</td>
          </tr>
        </tbody>
      </Table>
      {adjusted && breakdown ? (
        <>
          <Table data-testid="breakdown">
            <caption>{say('Weight, like for like')}</caption>
            <tbody>
              <tr>
                <th scope="row">{say('Weight on {date}, against the mean', { date: fullDate(adjusted.readOn) })}</th>
                <td>{differenceText(breakdown.totalGrams / 1000, unit)}</td>
              </tr>
              {PARTS.filter((part) => part !== 'sex' || breakdown.parts.sex !== 0).map((part) => (
                <tr key={part}>
                  <th scope="row">{partWords(part, row)}</th>
                  <td>{differenceText(-breakdown.parts[part] / 1000, unit)}</td>
                </tr>
              ))}
              <tr data-sum>
                <th scope="row">{say('Like for like')}</th>
                <td>
                  {differenceWithin(breakdown.parts.likeForLike / 1000, halfWidth80(adjusted.standardError), unit)}
                </td>
              </tr>
            </tbody>
          </Table>
          <Small>
            {row.ratio === null
              ? ''
              : `${say('{n} where 100 is the mean of {setSize}.', { n: fixedText(row.ratio, 0), setSize: breakdown.setSize })} `}
            <How
              of={say('Weight of {text} set to {standardDays} days', {
                text: row.tag.text,
                standardDays: adjusted.standardDays,
              })}
            >
              <AdjustedHow adjusted={adjusted} unit={unit} />
            </How>
          </Small>
        </>
      ) : null}
      {row.asSire ? <AsSirePanel sire={row.asSire} on={on} /> : null}
      <Reasons>
        {row.reasons.map((r) => (
          <li key={`${r.code} ${'trait' in r ? r.trait : ''}`}>{reasonWords(r, unit, { scale, currency })}</li>
        ))}
      </Reasons>
    </NotePanel>
  );
}

/** What counts of a male beside his figures: whom he must not be put to, whether females hold to him, how big he gets. */
function AsSirePanel({ sire, on }: { readonly sire: AsSire; readonly on: Parameters<typeof valueText>[1] }) {
  const lines: readonly (readonly [label: string, value: string])[] = [
    [say('Sisters and half sisters here'), String(sire.sistersHere)],
    [say('Daughters here'), String(sire.daughtersHere)],
    [say('Females holding to him'), sire.share ? shareText(sire.share) : say('not known')],
    [
      say('When grown, about'),
      sire.grown ? weightWithin(sire.grown.kg, sire.grown.halfWidthKg, on.unit, on.species) : say('not known'),
    ],
  ];
  return (
    <Table>
      <caption>{say('As a sire')}</caption>
      <tbody>
        {lines.map(([label, value]) => (
          <tr key={label}>
            <th scope="row">{label}</th>
            <td style={{ whiteSpace: 'normal' }}>{value}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Places between weight and worth that are worth a headline. */
const NOTABLE = 3;

function headlineOf({ place, placeByWeight }: ChoosingRow, all: number): string {
  if (placeByWeight === null || Math.abs(place - placeByWeight) < NOTABLE)
    return placeByWeight === 1 && place !== 1
      ? say('Heaviest of them, but {ordinal}', { ordinal: ordinal(place) })
      : say('{ordinal} of {all}', { ordinal: ordinal(place), all });
  if (placeByWeight === 1) return say('Heaviest of them, but {ordinal}', { ordinal: ordinal(place) });
  return placeByWeight < place
    ? say('{ordinal} by weight, but {ordinal2} overall', { ordinal: ordinal(placeByWeight), ordinal2: ordinal(place) })
    : say('Only {ordinal} by weight, yet {ordinal2}', { ordinal: ordinal(placeByWeight), ordinal2: ordinal(place) });
}

/** A breeding value behind a part, with what it is made of. */
function ValueLine({
  row,
  trait,
  on,
}: {
  readonly row: ChoosingRow;
  readonly trait: BreedingTraitName;
  readonly on: Parameters<typeof valueText>[1];
}) {
  const value = row.values.find((v) => v.trait === trait);
  if (!value) return null;
  const { own, group, kin } = value.parts;
  const unit = traitUnit(trait, on.species, on.unit);
  return (
    <Small as="span" style={{ display: 'block' }}>
      {valueText(value, on)}, {RELIABILITY_TEXT[value.word]}{' '}
      <How of={say('{trait} of {text}', { trait: TRAIT_WORDS[trait], text: row.tag.text })}>
        {value.records === 0 ? (
          <p>{say('It has no record of its own: this is the mean of its parents.')}</p>
        ) : (
          <table>
            <tbody>
              <tr>
                <td>
                  {say('Own {records, plural, one {record} other {records}} against all', { records: value.records })}
                </td>
                <td>{traitFigure(trait, own, on)}</td>
              </tr>
              <tr>
                <td>{say('Its group, season and like')}</td>
                <td>{traitFigure(trait, group, on)}</td>
              </tr>
              <tr>
                <td>{say('Kin, and what is held back of one record')}</td>
                <td>{traitFigure(trait, kin, on)}</td>
              </tr>
              <tr>
                <td>
                  <b>{say('Breeding value, {unit}', { unit })}</b>
                </td>
                <td>
                  <b>{traitFigure(trait, value.value, on)}</b>
                </td>
              </tr>
            </tbody>
          </table>
        )}
        <p>
          {say(
            'Against the mean of the animals born in the base years. Reliability {n}: under 0.20 a guess, to 0.50 fair, above it good.',
            { n: fixedText(value.reliability, 2) },
          )}
        </p>
      </How>
    </Small>
  );
}

const Table = styled.table`
  width: 100%;
  margin-top: ${space(2)};
  caption {
    text-align: left;
    font-size: 13px;
    color: ${colour('inkSoft')};
    padding-top: ${space(2)};
  }
  th {
    text-align: left;
    font-weight: 400;
  }
  td {
    text-align: right;
    white-space: nowrap;
    vertical-align: top;
    padding: ${space(1)} 0;
  }
  tr {
    border-bottom: 1px solid ${colour('line')};
  }
  tr[data-sum] th,
  tr[data-sum] td {
    font-weight: 700;
    white-space: normal;
  }
`;
const Reasons = styled.ul`
  margin: ${space(3)} 0 0;
  padding-left: 18px;
`;
