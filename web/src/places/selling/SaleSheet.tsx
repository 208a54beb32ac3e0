import { useQuery } from '@tanstack/react-query';
import {
  MOST_PASSPORT_PHOTOS,
  percentText,
  type SaleSheetRow,
  type SaleSheetView,
  say,
  fieldWord,
  capital,
} from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
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
import { Picture } from '../../parts/Picture';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tick } from '../../parts/Tick';
import { birthDate, fullDate } from '../../words/dates';
import { amountText, bornText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { daysLeftText } from '../../words/withheld';
import { saleFile } from './saleFile';

/** What a buyer is told of each animal: for paper, as a table, and as passports another book reads. */
export function SaleSheet() {
  const [params, setParams] = useSearchParams();
  const ids = (params.get('ids') ?? '').split(',').filter((id) => id !== '');
  const { data, error, refetch } = useQuery({ ...saleSheetQuery(ids), enabled: ids.length > 0 });
  if (ids.length === 0)
    return <Empty title={say('Nobody to list')}>{say('Go back to Selling and choose a load.')}</Empty>;
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={10} />;
  const withPedigree = (isWith: boolean): void =>
    setParams({ ids: ids.join(','), ...(isWith ? { pedigree: '1' } : {}) }, { replace: true });
  return <Filled view={data} ids={ids} hasPedigree={params.has('pedigree')} onPedigree={withPedigree} />;
}

interface FilledProps {
  readonly view: SaleSheetView;
  readonly ids: readonly string[];
  readonly hasPedigree: boolean;
  readonly onPedigree: (isWith: boolean) => void;
}

function Filled({ view, ids, hasPedigree, onPedigree }: FilledProps) {
  const { data: holding } = useQuery(holdingQuery);
  const { rows, on } = view;
  const [first] = rows;
  const buyers = new Set(rows.flatMap((r) => r.left?.buyer ?? []));
  const [buyer] = buyers.size === 1 ? buyers : [];
  return (
    <PaperSheet>
      <PaperHead
        title={say('Sale sheet{value}', { value: buyer === undefined ? '' : ` ${say('for {buyer}', { buyer })}` })}
        back={{ to: `/selling/results?species=${first?.species ?? ''}`, words: say('Back to sales') }}
      >
        <Tick label={say('With pedigree')} isSelected={hasPedigree} onChange={onPedigree} />
        <Button onPress={() => saleFile(view)}>{say('As CSV')}</Button>
        <LinkButton href={`/api/passports?ids=${ids.join(',')}`} download={`passports-${on}.json`}>
          {say('Passports')}
        </LinkButton>
      </PaperHead>
      <p>
        {holding?.name}, {fullDate(first?.left?.on ?? on)}.{' '}
        {say('{n} {n, plural, one {animal} other {animals}}', { n: rows.length })}.
      </p>
      {rows.map((row) => (
        <OneAnimal key={row.id} row={row} today={on} hasPedigree={hasPedigree} />
      ))}
      {rows.length > MOST_PASSPORT_PHOTOS && rows.some((row) => row.photo) ? (
        <p>{say('Passports of more than {n} animals go without photos.', { n: MOST_PASSPORT_PHOTOS })}</p>
      ) : null}
      <Small>
        {say(
          'Withheld to the end of the day named: not before the day after may one go for slaughter, or its milk be drunk. The label, your vet and the local rules decide.',
        )}
      </Small>
    </PaperSheet>
  );
}

interface OneProps {
  readonly row: SaleSheetRow;
  readonly today: string;
  readonly hasPedigree: boolean;
}

function OneAnimal({ row, today, hasPedigree }: OneProps) {
  const unit = useWeightUnit();
  const { species, bornOn, birthKnownTo, birthType, strain, dam, sire, weight, worn, left } = row;
  return (
    <One>
      <h2>{row.number}</h2>
      {row.photo ? (
        <Portrait>
          <Picture photo={row.photo} alt={say('Photo of {number}', { number: row.number })} />
        </Portrait>
      ) : null}
      <p>
        {[
          fieldWord(row, bornOn === null ? undefined : dayOf(left?.on ?? today) - dayOf(bornOn)),
          bornOn === null
            ? say('birth not known')
            : say('born {birthDate}', { birthDate: birthDate(bornOn, birthKnownTo) }),
          ...(birthType === null ? [] : [bornText(species, birthType, null)]),
          ...(strain === null ? [] : [strain]),
          ...(hasPedigree || dam === null ? [] : [say('dam {dam}', { dam })]),
          ...(hasPedigree || sire === null ? [] : [say('sire {sire}', { sire })]),
          ...(weight === null
            ? []
            : [say('{weight} on {date}', { weight: weightText(weight.kg, unit, species), date: fullDate(weight.on) })]),
        ].join('; ')}
      </p>
      {hasPedigree ? <p>{pedigreeText(row)}</p> : null}
      <p>
        {say('Tagged: {value}', {
          value:
            worn.length === 0
              ? say('nothing')
              : worn.map((w) => `${w.colour ?? w.kind} ${w.text}`.replace('visual ', '')).join(', '),
        })}
      </p>
      {row.withheld.map((w) => (
        <p key={`${w.of} ${w.product}`}>
          <b>
            {say('{value} withheld to the end of {date}, {daysLeft} ({product})', {
              value: w.of === 'meat' ? say('Meat') : say('Milk'),
              date: fullDate(w.until),
              daysLeft: daysLeftText(w.until, left?.on ?? today),
              product: w.product,
            })}
          </b>
        </p>
      ))}
      {row.genes.length > 0 ? (
        <p>
          {say('Gene tests: {list}', {
            list: row.genes.map((g) => `${g.gene} ${g.result}, ${fullDate(g.on)}`).join('; '),
          })}
        </p>
      ) : null}
      {row.treatments.length === 0 ? (
        <p>{say('No treatment on record.')}</p>
      ) : (
        <Treatments>
          <thead>
            <tr>
              <th>{say('Given')}</th>
              <th>{say('What')}</th>
              <th>{say('Amount')}</th>
              <th>{say('Batch')}</th>
              <th>{say('Withheld')}</th>
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
                <td>
                  {withheldWith(t).map((line) => (
                    <div key={line}>{line}</div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </Treatments>
      )}
    </One>
  );
}

/** `By 24-R05 (by 20-R01 out of 19-0003), out of 18-0011 (out of 15-0002). Inbreeding 1.6 %, …`: as breeders say it. */
function pedigreeText({ dam, sire, damDam, damSire, sireDam, sireSire, inbreeding }: SaleSheetRow): string {
  const born = (by: string | null, outOf: string | null): string[] => [
    ...(by === null ? [] : [say('by {by}', { by })]),
    ...(outOf === null ? [] : [say('out of {outOf}', { outOf })]),
  ];
  const withOwn = (parent: string | null, own: readonly string[]): string | null =>
    parent === null || own.length === 0 ? parent : `${parent} (${own.join(' ')})`;
  const said = born(withOwn(sire, born(sireSire, sireDam)), withOwn(dam, born(damSire, damDam)));
  if (said.length === 0) return say('Its parents are not on record.');
  const text = said.join(', ');
  return [
    `${capital(text)}.`,
    ...(inbreeding === null
      ? []
      : [say('Inbreeding {percent}, as far as the pedigree is known.', { percent: percentText(inbreeding) })]),
  ].join(' ');
}

/** What was withheld for a treatment, each on its line: `meat to 24 Nov 2026`. */
function withheldWith({ on, meatUntil, milkUntil }: SaleSheetRow['treatments'][number]): readonly string[] {
  const said = (of: 'meat' | 'milk', until: string | null): string[] =>
    until === null
      ? []
      : [until === on ? say('{of} not at all', { of }) : say('{of} to {date}', { of, date: fullDate(until) })];
  const all = [...said('meat', meatUntil), ...said('milk', milkUntil)];
  return all.length === 0 ? [say('not recorded: see the label')] : all;
}

/** The columns of one animal stand under those of the next. */
const Treatments = styled(LineTable)`
  table-layout: fixed;
  th:nth-child(1) {
    width: 15%;
  }
  th:nth-child(3),
  th:nth-child(4) {
    width: 14%;
  }
  th:nth-child(5) {
    width: 25%;
  }
`;
/** Small, beside the lines: a sheet for three animals stays one page. */
const Portrait = styled.div`
  float: right;
  width: 180px;
  margin: 0 0 8px 16px;
`;
const One = styled.section`
  display: flow-root;
  margin-top: 16px;
  break-inside: avoid;
`;
