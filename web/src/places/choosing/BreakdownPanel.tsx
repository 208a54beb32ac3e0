import { halfWidth80, MEAN_INDEX } from '@yaylak/core';
import type { ChoosingRow } from '@yaylak/contract';
import styled from 'styled-components';
import { AdjustedHow } from '../../parts/AdjustedHow';
import { How } from '../../parts/How';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { differenceText, figureText, fullDate, surePointsText, weightText } from '../../words/format';
import { ordinal, partWords, reasonWords, TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useUnits';

const PARTS = ['age', 'birthType', 'sex', 'damAge'] as const;

/** Why an animal stands where it stands, in kilograms that add up. */
export function BreakdownPanel({ row, size }: { readonly row: ChoosingRow; readonly size: number }) {
  const unit = useWeightUnit();
  const { adjusted, breakdown } = row;
  const headline =
    row.placeByWeight === 1 && row.place !== 1
      ? `Heaviest of them, but ${ordinal(row.place)}`
      : `${ordinal(row.place)} of ${size}`;
  return (
    <NotePanel $tone="indigo" aria-live="polite">
      <Row style={{ justifyContent: 'space-between' }}>
        <Tag tag={row.tag} />
        <b>{adjusted ? `${weightText(adjusted.readKg, unit)}` : 'no weight near the age'}</b>
      </Row>
      <h2 style={{ margin: '8px 0' }}>{headline}</h2>
      <Small>
        Worth {surePointsText(row.index, row.standardError)}{' '}
        <How of={`Worth of ${row.tag.text}`}>
          <table>
            <tbody>
              <tr>
                <td>The mean of the set</td>
                <td>{MEAN_INDEX}</td>
              </tr>
              {row.parts.map((p) => (
                <tr key={p.trait}>
                  <td>{TRAIT_WORDS[p.trait]}</td>
                  <td>{figureText(p.points, 1)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            Each trait is its distance from the set’s mean in the set’s own spread, times 10, times its share of the
            points weights. What was not measured counts as the mean, and makes the worth less sure. Four times out of
            five the worth lies within ± {figureText(halfWidth80(row.standardError), 1)}.
          </p>
        </How>
      </Small>
      {adjusted && breakdown ? (
        <>
          <Table data-testid="breakdown">
            <tbody>
              <tr>
                <th scope="row">Weight on {fullDate(adjusted.readOn)}, against the mean</th>
                <td>{differenceText(breakdown.totalGrams / 1000, unit)}</td>
              </tr>
              {PARTS.filter((part) => part !== 'sex' || breakdown.parts.sex !== 0).map((part) => (
                <tr key={part}>
                  <th scope="row">{partWords(part, row)}</th>
                  <td>{differenceText(-breakdown.parts[part] / 1000, unit)}</td>
                </tr>
              ))}
              <tr data-sum>
                <th scope="row">Like for like</th>
                <td>
                  {differenceText(breakdown.parts.likeForLike / 1000, unit)} ±{' '}
                  {weightText(halfWidth80(adjusted.standardError), unit)}
                </td>
              </tr>
            </tbody>
          </Table>
          <Small>
            {row.ratio === null ? '' : `${row.ratio.toFixed(0)} where 100 is the mean of ${breakdown.setSize}. `}
            <How of={`Weight of ${row.tag.text} set to ${adjusted.standardDays} days`}>
              <AdjustedHow adjusted={adjusted} unit={unit} />
            </How>
          </Small>
        </>
      ) : null}
      <Reasons>
        {row.reasons.map((r) => (
          <li key={`${r.code} ${'trait' in r ? r.trait : ''}`}>{reasonWords(r, unit)}</li>
        ))}
      </Reasons>
    </NotePanel>
  );
}

const Table = styled.table`
  th {
    text-align: left;
    font-weight: 400;
  }
  td {
    text-align: right;
    white-space: nowrap;
    padding: ${space(1)} 0;
  }
  tr {
    border-bottom: 1px solid ${colour('line')};
  }
  tr[data-sum] th,
  tr[data-sum] td {
    font-weight: 700;
  }
`;
const Reasons = styled.ul`
  margin: ${space(3)} 0 0;
  padding-left: 18px;
`;
