import type { ChoosingRow } from '@yaylak/contract';
import { scaleUnit, type Species, type WeightUnit } from '@yaylak/core';
import styled from 'styled-components';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import {
  bornText,
  differenceText,
  figureText,
  gainText,
  perYearText,
  surePointsText,
  sureWeightText,
  weightText,
} from '../../words/format';
import { reasonWords, TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useUnits';

interface Props {
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
  ['Place by bare weight', (r) => (r.placeByWeight === null ? 'none' : String(r.placeByWeight))],
  ['Worth', (r) => surePointsText(r.index, r.standardError)],
  ['Born as', (r, _u, species) => bornText(species, r.birthType, r.rearingType)],
  [
    'Weight read',
    (r, u) => (r.adjusted ? `${weightText(r.adjusted.readKg, u)} at ${r.adjusted.ageDays} days` : 'none'),
  ],
  ['Set weight', (r, u) => (r.adjusted ? sureWeightText(r.adjusted.kg, r.adjusted.standardError, u) : 'none')],
  ['Like for like', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.likeForLike / 1000, u) : 'none')],
  ['From age', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.age / 1000, u) : 'none')],
  ['From birth and rearing', (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.birthType / 1000, u) : 'none')],
  ["From dam's age", (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.damAge / 1000, u) : 'none')],
  ['First weight to now', (r, u, species) => (r.sinceBirth ? gainText(r.sinceBirth, scaleUnit(species, u)) : 'none')],
  ['Last gain', (r, u, species) => (r.lastGain ? gainText(r.lastGain, scaleUnit(species, u)) : 'none')],
  [
    "Dam's record",
    (r) =>
      r.damRecord
        ? `${r.damRecord.weaned} reared of ${r.damRecord.litters} litters, ${perYearText(r.damRecord)}`
        : 'none',
  ],
];

/** Two animals side by side. */
export function CompareSheet({ species, rows, isOpen, onClose }: Props) {
  const unit = useWeightUnit();
  return (
    <Sheet isForLooking title="Side by side" isOpen={isOpen} onClose={onClose} width={760}>
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
              <th scope="row">Points from {TRAIT_WORDS[p.trait].toLowerCase()}</th>
              {rows.map((r) => (
                <td key={r.tag.animalId}>{figureText(r.parts[i]?.points ?? 0, 1)}</td>
              ))}
            </tr>
          ))}
          <tr>
            <th scope="row">Why</th>
            {rows.map((r) => (
              <td key={r.tag.animalId}>{r.reasons.map((x) => reasonWords(x, unit)).join(' ')}</td>
            ))}
          </tr>
        </tbody>
      </Table>
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
