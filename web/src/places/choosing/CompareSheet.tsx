import type { ChoosingRow, ChoosingView } from '@yaylak/contract';
import { compareTwo, scaleUnit, type RankScale, type Species, type WeightUnit } from '@yaylak/core';
import styled from 'styled-components';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { bornText, differenceText, gainText, perYearText, sureWeightText, weightText } from '../../words/format';
import { partText, valueText, worthText } from '../../words/choosing';
import { reasonWords, TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly view: ChoosingView;
  readonly currency: string;
  readonly species: Species;
  readonly rows: readonly ChoosingRow[];
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

const LINES: readonly (readonly [
  label: string,
  figure: (r: ChoosingRow, unit: WeightUnit, species: Species) => string,
])[] = [
  ['Place', (r) => String(r.place)],
  ['Place by weight alone', (r) => (r.placeByWeight === null ? 'none' : String(r.placeByWeight))],
  ['Born as', (r, _u, species) => bornText(species, r.birthType, r.rearingType)],
  [
    'Weight read',
    (r, u) => (r.adjusted ? `${weightText(r.adjusted.readKg, u)} at ${r.adjusted.ageDays} days` : 'none'),
  ],
  ['Set weight', (r, u) => (r.adjusted ? sureWeightText(r.adjusted.kg, r.adjusted.standardError, u) : 'none')],
  ['Like for like', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.likeForLike / 1000, u) : 'none')],
  ['From age', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.age / 1000, u) : 'none')],
  ['From birth and rearing', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.birthType / 1000, u) : 'none')],
  ['From dam’s age', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.damAge / 1000, u) : 'none')],
  ['First weight to now', (r, u, species) => (r.sinceBirth ? gainText(r.sinceBirth, scaleUnit(species, u)) : 'none')],
  ['Last gain', (r, u, species) => (r.lastGain ? gainText(r.lastGain, scaleUnit(species, u)) : 'none')],
  [
    'Dam’s record',
    (r) =>
      r.damRecord
        ? `${r.damRecord.weaned} reared of ${r.damRecord.litters} litters, ${perYearText(r.damRecord)}`
        : 'none',
  ],
];

/** A chance in ten, as people say it; never a certainty. */
const inTen = (chance: number): string => {
  const tens = Math.round(chance * 10);
  return tens >= 10 ? 'more than 9 in 10' : tens <= 0 ? 'less than 1 in 10' : `${tens} in 10`;
};

/** How the first stands against another: `4.1 ± 6.2 points more; 7 in 10 that the first is better`. */
function againstText(first: ChoosingRow, other: ChoosingRow, scale: RankScale, currency: string): string {
  const { difference, standardError, chanceFirst } = compareTwo(first, other);
  const apart = worthText({ index: Math.abs(difference), standardError }, scale, currency);
  return `${apart} ${difference >= 0 ? 'less' : 'more'} than ${first.tag.text}; ${inTen(chanceFirst)} that ${first.tag.text} is better.`;
}

/** Two to four animals side by side. */
export function CompareSheet({ view, currency, species, rows, isOpen, onClose }: Props) {
  const unit = useWeightUnit();
  const scale = view.basis === 'values' ? view.how.scale : 'points';
  const on = { species, unit };
  const [first] = rows;
  return (
    <Sheet isForLooking title="Side by side" isOpen={isOpen} onClose={onClose} width={rows.length > 2 ? 1080 : 760}>
      <Table>
        <thead>
          <tr>
            <td />
            {rows.map((r) => (
              <th key={r.tag.animalId}>
                <Tag tag={r.tag} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Worth</th>
            {rows.map((r) => (
              <td key={r.tag.animalId}>{worthText(r, scale, currency)}</td>
            ))}
          </tr>
          <tr>
            <th scope="row">Difference</th>
            {rows.map((r) => (
              <td key={r.tag.animalId}>{first && r !== first ? againstText(first, r, scale, currency) : ''}</td>
            ))}
          </tr>
          {LINES.map(([label, figure]) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              {rows.map((r) => (
                <td key={r.tag.animalId}>{figure(r, unit, species)}</td>
              ))}
            </tr>
          ))}
          {rows[0]?.parts.map((p, i) => (
            <tr key={p.trait}>
              <th scope="row">From {TRAIT_WORDS[p.trait].toLowerCase()}</th>
              {rows.map((r) => {
                const value = r.values.find((v) => v.trait === p.trait);
                return (
                  <td key={r.tag.animalId}>
                    {partText(r.parts[i]?.points ?? 0, scale, currency)}
                    {value ? <Small>{valueText(value, on)}</Small> : null}
                  </td>
                );
              })}
            </tr>
          ))}
          <tr>
            <th scope="row">Why</th>
            {rows.map((r) => (
              <td key={r.tag.animalId}>{r.reasons.map((x) => reasonWords(x, unit, { scale, currency })).join(' ')}</td>
            ))}
          </tr>
        </tbody>
      </Table>
      <Small>The errors of two animals are taken as independent, which those of close kin are not quite.</Small>
    </Sheet>
  );
}

const Table = styled.table`
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: ${space(1)} ${space(3)} ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
  }
  tbody th {
    font-weight: 400;
    color: ${colour('inkSoft')};
    white-space: nowrap;
  }
`;
