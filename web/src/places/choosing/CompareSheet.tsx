import type { ChoosingRow, ChoosingView } from '@yaylak/contract';
import { compareTwo, scaleUnit, type RankScale, type Species, type WeightUnit } from '@yaylak/core';
import type { CSSProperties } from 'react';
import styled from 'styled-components';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { colour, phone, space } from '../../theme/tokens';
import { bornText, differenceText, gainText, perYearText, sureWeightText, weightText } from '../../words/format';
import { partText, valueText, worthText } from '../../words/choosing';
import { reasonWords, TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { say, lower } from '@yaylak/contract';

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
  [say('Place'), (r) => String(r.place)],
  [say('Place by weight alone'), (r) => (r.placeByWeight === null ? 'none' : String(r.placeByWeight))],
  [say('Born as'), (r, _u, species) => bornText(species, r.birthType, r.rearingType)],
  [
    say('Weight read'),
    (r, u) =>
      r.adjusted
        ? say('{weight} at {ageDays} days', { weight: weightText(r.adjusted.readKg, u), ageDays: r.adjusted.ageDays })
        : say('none'),
  ],
  [say('Set weight'), (r, u) => (r.adjusted ? sureWeightText(r.adjusted.kg, r.adjusted.standardError, u) : 'none')],
  [say('Like for like'), (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.likeForLike / 1000, u) : 'none')],
  [say('From age'), (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.age / 1000, u) : 'none')],
  [
    say('From birth and rearing'),
    (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.birthType / 1000, u) : 'none'),
  ],
  [say('From dam’s age'), (r, u) => (r.breakdown ? differenceText(r.breakdown.parts.damAge / 1000, u) : 'none')],
  [
    say('First weight to now'),
    (r, u, species) => (r.sinceBirth ? gainText(r.sinceBirth, scaleUnit(species, u)) : 'none'),
  ],
  [say('Last gain'), (r, u, species) => (r.lastGain ? gainText(r.lastGain, scaleUnit(species, u)) : 'none')],
  [
    say('Dam’s record'),
    (r) =>
      r.damRecord
        ? say('{weaned} reared of {litters} litters, {perYear}', {
            weaned: r.damRecord.weaned,
            litters: r.damRecord.litters,
            perYear: perYearText(r.damRecord),
          })
        : say('none'),
  ],
];

/** A chance in ten, as people say it; never a certainty. */
const inTen = (chance: number): string => {
  const tens = Math.round(chance * 10);
  return tens >= 10 ? say('more than 9 in 10') : tens <= 0 ? say('less than 1 in 10') : say('{tens} in 10', { tens });
};

/** How the first stands against another: `4.1 ± 6.2 points more; 7 in 10 that the first is better`. */
function againstText(first: ChoosingRow, other: ChoosingRow, scale: RankScale, currency: string): string {
  const { difference, standardError, chanceFirst } = compareTwo(first, other);
  const apart = worthText({ index: Math.abs(difference), standardError }, scale, currency);
  return say('{apart} {value} than {text}; {inTen} that {text} is better.', {
    apart,
    value: difference >= 0 ? say('less') : say('more'),
    text: first.tag.text,
    inTen: inTen(chanceFirst),
  });
}

/** Two to four animals side by side. */
export function CompareSheet({ view, currency, species, rows, isOpen, onClose }: Props) {
  const unit = useWeightUnit();
  const scale = view.basis === 'values' ? view.how.scale : 'points';
  const on = { species, unit };
  const [first] = rows;
  return (
    <Sheet
      isForLooking
      title={say('Side by side')}
      isOpen={isOpen}
      onClose={onClose}
      width={rows.length > 2 ? 1080 : 760}
    >
      <Sideways
        tabIndex={0}
        aria-label={say('Side by side')}
        role="group"
        style={{ '--of': rows.length } as CSSProperties}
      >
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
              <th scope="row">{say('Worth')}</th>
              {rows.map((r) => (
                <td key={r.tag.animalId}>{worthText(r, scale, currency)}</td>
              ))}
            </tr>
            <tr>
              <th scope="row">{say('Difference')}</th>
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
                <th scope="row">{say('From {word}', { word: lower(TRAIT_WORDS[p.trait]) })}</th>
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
              <th scope="row">{say('Why')}</th>
              {rows.map((r) => (
                <td key={r.tag.animalId}>
                  {r.reasons.map((x) => reasonWords(x, unit, { scale, currency })).join(' ')}
                </td>
              ))}
            </tr>
          </tbody>
        </Table>
      </Sideways>
      <Small>
        {say('The errors of two animals are taken as independent, which those of close kin are not quite.')}
      </Small>
    </Sheet>
  );
}

/** Of three and four there is more than a phone is wide. */
const Sideways = styled.div`
  overflow-x: auto;
`;
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
  ${phone} {
    /* What is compared stands above its figures, each animal in its column. */
    &,
    thead,
    tbody {
      display: block;
    }
    tr {
      display: grid;
      grid-template-columns: repeat(var(--of), minmax(100px, 1fr));
      gap: 0 ${space(2)};
      border-bottom: 1px solid ${colour('line')};
    }
    th,
    td {
      border: 0;
    }
    thead td {
      display: none;
    }
    tbody th {
      grid-column: 1 / -1;
    }
  }
`;
