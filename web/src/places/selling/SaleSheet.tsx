import { useQuery } from '@tanstack/react-query';
import type { SaleSheetRow, SaleSheetView } from '@yaylak/contract';
import { dayOf, fieldWord } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { saleSheetQuery } from '../../api/selling';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { amountText, birthDate, bornText, countText, fullDate, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';
import { daysLeftText } from '../../words/withheld';
import { saleFile } from './saleFile';

/** What a buyer is told of each animal: for paper, as a table, and as passports another book reads. */
export function SaleSheet() {
  const [params] = useSearchParams();
  const ids = (params.get('ids') ?? '').split(',').filter((id) => id !== '');
  const { data, error, refetch } = useQuery({ ...saleSheetQuery(ids), enabled: ids.length > 0 });
  if (ids.length === 0) return <Empty title="Nobody to list">Go back to Selling and choose a load.</Empty>;
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={10} />;
  return <Filled view={data} ids={ids} />;
}

function Filled({ view, ids }: { readonly view: SaleSheetView; readonly ids: readonly string[] }) {
  const { data: holding } = useQuery(holdingQuery);
  const { rows, on } = view;
  const [first] = rows;
  const buyers = new Set(rows.flatMap((r) => r.left?.buyer ?? []));
  const [buyer] = buyers.size === 1 ? buyers : [];
  return (
    <PaperSheet>
      <PaperHead
        title={`Sale sheet${buyer === undefined ? '' : ` for ${buyer}`}`}
        back={{ to: `/selling/results?species=${first?.species ?? ''}`, words: 'Back to sales' }}
      >
        <Button onPress={() => saleFile(view)}>As CSV</Button>
        <LinkButton href={`/api/passports?ids=${ids.join(',')}`} download={`passports-${on}.json`}>
          Passports
        </LinkButton>
      </PaperHead>
      <p>
        {holding?.name}, {fullDate(first?.left?.on ?? on)}. {countText(rows.length, 'animal', 'animals')}.
      </p>
      {rows.map((row) => (
        <OneAnimal key={row.id} row={row} today={on} />
      ))}
      <Small>
        Withdrawal: the last day counted is named; nothing may go for slaughter, or its milk be drunk, before the day
        after. The label, your vet and the local rules decide.
      </Small>
    </PaperSheet>
  );
}

function OneAnimal({ row, today }: { readonly row: SaleSheetRow; readonly today: string }) {
  const unit = useWeightUnit();
  const { species, bornOn, birthKnownTo, birthType, strain, dam, sire, weight, worn, left } = row;
  return (
    <One>
      <h2>{row.number}</h2>
      <p>
        {[
          fieldWord(row, bornOn === null ? undefined : dayOf(left?.on ?? today) - dayOf(bornOn)),
          bornOn === null ? 'birth not known' : `born ${birthDate(bornOn, birthKnownTo)}`,
          ...(birthType === null ? [] : [bornText(species, birthType, null)]),
          ...(strain === null ? [] : [strain]),
          ...(dam === null ? [] : [`dam ${dam}`]),
          ...(sire === null ? [] : [`sire ${sire}`]),
          ...(weight === null ? [] : [`${weightText(weight.kg, unit, species)} on ${fullDate(weight.on)}`]),
        ].join('; ')}
      </p>
      <p>
        Wears:{' '}
        {worn.length === 0
          ? 'nothing'
          : worn.map((w) => `${w.colour ?? w.kind} ${w.text}`.replace('visual ', '')).join(', ')}
      </p>
      {row.withheld.map((w) => (
        <p key={`${w.of} ${w.product}`}>
          <b>
            {w.of === 'meat' ? 'Meat' : 'Milk'} withheld to the end of {fullDate(w.until)},{' '}
            {daysLeftText(w.until, left?.on ?? today)} ({w.product})
          </b>
        </p>
      ))}
      {row.genes.length > 0 ? (
        <p>Gene tests: {row.genes.map((g) => `${g.gene} ${g.result}, ${fullDate(g.on)}`).join('; ')}</p>
      ) : null}
      {row.treatments.length === 0 ? (
        <p>No treatment on record.</p>
      ) : (
        <LineTable>
          <thead>
            <tr>
              <th>Given</th>
              <th>What</th>
              <th>Amount</th>
              <th>Batch</th>
            </tr>
          </thead>
          <tbody>
            {row.treatments.map((t, i) => (
              <tr key={i}>
                <td>{fullDate(t.on)}</td>
                <td>{t.product}</td>
                <td>
                  {amountText(t.amount)} {t.unit}
                </td>
                <td>{t.batch ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      )}
    </One>
  );
}

const One = styled.section`
  margin-top: 16px;
  break-inside: avoid;
`;
