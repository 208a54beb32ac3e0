import { useQuery } from '@tanstack/react-query';
import { MARGINS_BY, type MarginsBy, type MarginsView } from '@yaylak/contract';
import { SPECIES, SPECIES_WORDS } from '@yaylak/core';
import { Link, useSearchParams } from 'react-router';
import { holdingQuery, todayQuery } from '../../api/queries';
import { marginsQuery } from '../../api/selling';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { countText, moneyText } from '../../words/format';
import { BY_WORDS } from '../../words/margins';
import { useFirstSpecies } from '../../words/useHolding';
import { MarginsChart } from './MarginsChart';
import { marginsFile } from './marginsFile';
import { MarginsTable } from './MarginsTable';

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
      title="What was left per head?"
      lead={data && year !== undefined ? leadText(data, year, currency) : undefined}
      actions={
        <>
          <Choice
            label="Species"
            isLabelHidden
            value={species}
            options={(kept.length > 0 ? kept : SPECIES).map((s) => [s, SPECIES_WORDS[s].name])}
            onChange={(next) => setParams({ species: next, by })}
          />
          <Choice
            label="By"
            isLabelHidden
            value={by}
            options={MARGINS_BY.map((b) => [b, `by ${BY_WORDS[b]}`])}
            onChange={(next) => choose({ by: next })}
          />
          {data && year !== undefined && data.years.length > 1 ? (
            <Choice
              label="Year"
              isLabelHidden
              value={String(year)}
              options={data.years.map((y) => [String(y), String(y)])}
              onChange={(next) => choose({ year: next })}
            />
          ) : null}
          <LinkButton as={Link} to={`/selling/results?species=${species}`}>
            Against what was expected
          </LinkButton>
          {data && data.rows.length > 0 ? <Button onPress={() => marginsFile(data, currency)}>As CSV</Button> : null}
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
        <Empty title={`Nothing was paid for ${SPECIES_WORDS[species].plural} yet`}>
          Once animals have left with a price, or their kill sheet was read, what each left after haulage, charges,
          feed, remedies and purchase is shown here.
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
      ? `${year}: ${countText(now.heads, 'head', 'head')} sold, ${moneyText(now.leftMinor, currency)} each after costs${before ? `; in ${before.year} it was ${moneyText(before.leftMinor, currency)}` : ''}.`
      : `${year}: nothing was paid yet.`,
    ...(without > 0 ? [`${countText(without, 'more was', 'more were')} sold without a price on record.`] : []),
  ].join(' ');
}
