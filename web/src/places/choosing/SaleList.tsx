import type { ChoosingRow } from '@yaylak/contract';
import { neutralCell, scaleUnit, type Species } from '@yaylak/core';
import { unparse } from 'papaparse';
import styled, { createGlobalStyle } from 'styled-components';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { daysLeft, daysLeftText } from '../../words/withheld';
import { bornText, fullDate, gainText, weightText } from '../../words/format';
import { saveFile } from '../../words/saveFile';
import { useWeightUnit } from '../../words/useUnits';

interface Props {
  readonly rows: readonly ChoosingRow[];
  readonly title: string;
  readonly today: string;
  readonly species: Species;
}

/** The animals for sale as a sheet to print and a file to send. */
export function SaleList({ rows, title, today, species }: Props) {
  const unit = useWeightUnit();
  const csv = (): void => {
    const data = rows.map((r) =>
      [
        r.tag.text,
        r.tag.colour,
        bornText(species, r.birthType, r.rearingType),
        r.lastKg,
        r.lastOn,
        r.lastGain ? Math.round(r.lastGain.kgPerDay * 1000) : null,
        r.tag.withheld?.meat ?? null,
        r.tag.withheld?.meat ? daysLeft(r.tag.withheld.meat, today) : null,
      ].map((c) => (c === null ? '' : neutralCell(String(c)))),
    );
    saveFile(
      `sale-list-${today}.csv`,
      'text/csv',
      `${unparse({ fields: ['number', 'colour', 'born as', 'last weight kg', 'weighed on', 'gain g per day', 'meat withheld to', 'days left'], data }, { newline: '\r\n' })}\r\n`,
    );
  };
  if (rows.length === 0) return null;
  const held = rows.filter((r) => r.tag.withheld?.meat !== undefined);
  const mean =
    rows.reduce((s, r) => s + (r.lastKg ?? 0), 0) / Math.max(1, rows.filter((r) => r.lastKg !== null).length);
  return (
    <Panel className="sale-sheet">
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          For sale: {rows.length} {title}
        </h2>
        <Row className="no-print">
          <Button onPress={csv}>Write as CSV</Button>
          <Button
            onPress={() => {
              document.body.dataset.printing = 'sale';
              window.print();
              delete document.body.dataset.printing;
            }}
          >
            Print the sheet
          </Button>
        </Row>
      </Row>
      <Small>
        {fullDate(today || '2026-01-01')}. Mean {weightText(mean, unit)}.{' '}
        {held.length === 0
          ? 'None of them is under withdrawal, as far as the records go.'
          : `${held.length} under withdrawal: not for slaughter before the day shown; sold alive, tell the buyer.`}
      </Small>
      <OnlyTheSheet />
      <Table>
        <thead>
          <tr>
            <th>Number</th>
            <th>Tag</th>
            <th>Born as</th>
            <th>Last weight</th>
            <th>Weighed</th>
            <th>Last gain</th>
            <th>Meat</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.tag.animalId}>
              <td>{r.tag.text}</td>
              <td>{r.tag.colour ?? ''}</td>
              <td>{bornText(species, r.birthType, r.rearingType)}</td>
              <td>{r.lastKg === null ? '' : weightText(r.lastKg, unit)}</td>
              <td>{r.lastOn ? fullDate(r.lastOn) : ''}</td>
              <td>{r.lastGain ? gainText(r.lastGain, scaleUnit(species, unit)) : ''}</td>
              <td>
                {r.tag.withheld?.meat ? (
                  <b>
                    withheld to {fullDate(r.tag.withheld.meat)}, {daysLeftText(r.tag.withheld.meat, today)}
                  </b>
                ) : (
                  'clear'
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Panel>
  );
}

/** Printing from here prints the sheet alone. */
const OnlyTheSheet = createGlobalStyle`
  @media print {
    body[data-printing='sale'] main header, body[data-printing='sale'] main > div > div > :not(.sale-sheet) { display: none !important; }
  }
`;
const Table = styled.table`
  margin-top: ${space(2)};
  th,
  td {
    text-align: left;
    padding: ${space(1)} ${space(2)} ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
  }
  @media print {
    border: 0;
    tr {
      break-inside: avoid;
    }
  }
`;
