import { useQuery } from '@tanstack/react-query';
import { MARGINS_BY, type MarginsBy, type MarginsView, say, SPECIES_WORDS } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import { Link, useSearchParams } from 'react-router';
import { holdingQuery, todayQuery } from '../../api/queries';
import { marginsQuery } from '../../api/selling';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { moneyText } from '../../words/format';
import { BY_WORDS } from '../../words/margins';
import { useFirstSpecies } from '../../words/useHolding';
import { MarginsChart } from './MarginsChart';
import { marginsFile } from './marginsFile';
import { MarginsTable } from './MarginsTable';
import { LeadTo } from '../../parts/LeadTo';

/** What a head sold left in the hand, against other years. */
export function MarginsPage() {
  const first = useFirstSpecies();
  const [params, setParams] = useSearchParams();
  const { data: today } = useQuery(todayQuery);
  const { data: holding } = useQuery(holdingQuery);
  const kept = today?.head.map((h) => h.species) ?? [];
  const species = SPECIES.find((s) => s === params.get('species')) ?? kept[0] ?? first;
  const by = MARGINS_BY.find((b) => b === params.get('by')) ?? 'outlet';
  const { data, error, refetch } = useQuery(marginsQuery({ species, by }));
  const year = data?.years.find((y) => y === Number(params.get('year'))) ?? data?.all[0]?.year ?? data?.years[0];
  const currency = holding?.currency ?? '';
  const choose = (change: { readonly by?: MarginsBy; readonly year?: string }): void =>
    setParams({ species, by, ...(year === undefined ? {} : { year: String(year) }), ...change });
  return (
    <Page
      title={say('What was left per head?')}
      lead={data && year !== undefined ? leadText(data, year, currency) : undefined}
      actions={
        <>
          <Choice
            label={say('Species')}
            isLabelHidden
            value={species}
            options={(kept.length > 0 ? kept : SPECIES).map((s) => [s, SPECIES_WORDS[s].name])}
            onChange={(next) => setParams({ species: next, by })}
          />
          <Choice
            label={say('By')}
            isLabelHidden
            value={by}
            options={MARGINS_BY.map((b) => [b, say('by {by}', { by: BY_WORDS[b] })])}
            onChange={(next) => choose({ by: next })}
          />
          {data && year !== undefined && data.years.length > 1 ? (
            <Choice
              label={say('Year')}
              isLabelHidden
              value={String(year)}
              options={data.years.map((y) => [String(y), String(y)])}
              onChange={(next) => choose({ year: next })}
            />
          ) : null}
          <LinkButton as={Link} to={`/selling/results?species=${species}`}>
            {say('Against what was expected')}
          </LinkButton>
          {data && data.rows.length > 0 ? (
            <Button onPress={() => marginsFile(data, currency)}>{say('As CSV')}</Button>
          ) : null}
        </>
      }
    >
      {!data ? (
        error ? (
          <Failed error={error} onRetry={() => void refetch()} />
        ) : (
          <Loading rows={8} />
        )
      ) : year === undefined || data.rows.length === 0 ? (
        <Empty
          title={say('Nothing was paid for {plural} yet', { plural: SPECIES_WORDS[species].plural })}
          action={<LeadTo to={`/selling?species=${species}`} words={say('Who is ready to sell')} />}
        >
          {say(
            'Once animals have left with a price, or their kill sheet was read, what each left after haulage, charges, feed, remedies and purchase is shown here.',
          )}
        </Empty>
      ) : (
        <>
          <MarginsChart view={data} currency={currency} />
          <MarginsTable view={data} year={year} currency={currency} />
        </>
      )}
    </Page>
  );
}

function leadText({ all, unpaid }: MarginsView, year: number, currency: string): string {
  const now = all.find((y) => y.year === year);
  const before = all.find((y) => y.year === year - 1);
  const without = unpaid.find((y) => y.year === year)?.heads ?? 0;
  return [
    now
      ? say('{year}: {heads} {heads, plural, one {head} other {head}} sold, {money} each after costs{value}.', {
          year,
          heads: now.heads,
          money: moneyText(now.leftMinor, currency),
          value: before
            ? say('; in {year} it was {money}', { year: before.year, money: moneyText(before.leftMinor, currency) })
            : '',
        })
      : say('{year}: nothing was paid yet.', { year }),
    ...(without > 0
      ? [
          say('{without} {without, plural, one {more was} other {more were}} sold without a price on record.', {
            without,
          }),
        ]
      : []),
  ].join(' ');
}
