import type { MarginsView, YearMarginView } from '@yaylak/contract';
import styled from 'styled-components';
import { Frame } from '../../parts/Beside';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { space } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { BY_WORDS, marginRowName, OFF, OFF_WORDS } from '../../words/margins';
import { say, capital } from '@yaylak/contract';

interface Props {
  readonly view: MarginsView;
  readonly year: number;
  readonly currency: string;
}

/** Years before that stand beside the chosen one. */
const BEFORE = 2;

/** What went off the price of a head in a year, and what it left then and in the years before. */
export function MarginsTable({ view, year, currency }: Props) {
  const before = view.years.filter((y) => y < year).slice(0, BEFORE);
  const noted = view.all.find((y) => y.year === year);
  const shown = view.rows.filter((row) => row.years.some((y) => y.year === year));
  const by = BY_WORDS[view.by];
  return (
    <Panel>
      <h2>{say('{year}, {currency} per head by {by}', { year, currency, by })}</h2>
      <Frame tabIndex={0} role="region" aria-label={say('{year} by {by}', { year, by })} style={{ margin: '8px 0' }}>
        <Table>
          <thead>
            <tr>
              <th scope="col">{capital(by)}</th>
              <th scope="col">{say('Head')}</th>
              <th scope="col">{say('Price')}</th>
              {OFF.map((of) => (
                <th key={of} scope="col">
                  {OFF_WORDS[of]}
                </th>
              ))}
              <th scope="col">{say('Left')}</th>
              {before.map((y) => (
                <th key={y} scope="col">
                  {say('Left {y}', { y })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <YearRow key={row.key} name={marginRowName(row, view.by)} {...{ years: row.years, year, before }} />
            ))}
          </tbody>
          <tfoot>
            <YearRow name={say('All')} {...{ years: view.all, year, before }} />
          </tfoot>
        </Table>
      </Frame>
      <Small>
        {noted ? notedText(noted) : ''}{' '}
        <How of={say('What was left per head')}>
          <p>
            {say(
              'The price paid, less its share of the trip (the outlet’s haulage over all that went that day), charges (commission and what the outlet takes a head, or what the kill sheet says was taken off), feed, remedies and what it was bought for.',
            )}
          </p>
          <p>
            {say(
              'Feed is what feed notes say of it, and its share of what its dam and the litter ate. Remedies are reckoned by what was paid for their batch on the shelf. What was not noted counts as nothing: the true figure is lower there. Pasture, work and the dam’s keep are not in it; one that was bought to breed from bears its whole price when it is sold.',
            )}
          </p>
        </How>
      </Small>
    </Panel>
  );
}

function notedText({ heads, noted }: YearMarginView): string {
  const of = (count: number, what: string): string =>
    say('{what} of {value}', {
      what,
      value: count === heads ? say('all') : say('{count} of {heads}', { count, heads }),
    });
  return say('On record: {of}, {of2}, {of3}.', {
    of: of(noted.feedMinor, 'feed'),
    of2: of(noted.remediesMinor, say('priced remedies')),
    of3: of(noted.purchaseMinor, say('a purchase price')),
  });
}

interface RowProps {
  readonly name: string;
  readonly years: readonly YearMarginView[];
  readonly year: number;
  readonly before: readonly number[];
}

function YearRow({ name, years, year, before }: RowProps) {
  const now = years.find((y) => y.year === year);
  const money = (minor: number): string => figureText(minor / 100, 2);
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{now?.heads ?? 0}</td>
      <td>{now ? money(now.parts.priceMinor) : '–'}</td>
      {OFF.map((of) => (
        <td key={of}>{now && now.parts[of] !== 0 ? money(-now.parts[of]) : '–'}</td>
      ))}
      <td>
        <b>{now ? money(now.leftMinor) : '–'}</b>
      </td>
      {before.map((y) => {
        const then = years.find((one) => one.year === y);
        return <td key={y}>{then ? money(then.leftMinor) : '–'}</td>;
      })}
    </tr>
  );
}

const Table = styled(LineTable)`
  th:first-child {
    padding-left: ${space(2)};
  }
  td,
  thead th:not(:first-child) {
    text-align: right;
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }
`;
