import { useQuery } from '@tanstack/react-query';
import type { ResultsView, SoldHeadView } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { holdingQuery, todayQuery } from '../../api/queries';
import { resultsQuery } from '../../api/selling';
import { Beside } from '../../parts/Beside';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { useFirst } from '../../parts/useFirst';
import { moneyText } from '../../words/format';
import { againstExpected } from '../../words/results';
import { useFirstSpecies } from '../../words/useHolding';
import { LearnedPanel } from './LearnedPanel';
import { LoadPanel } from './LoadPanel';
import { ResultSheet } from './ResultSheet';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { LeadTo } from '../../parts/LeadTo';

const LOADS_FIRST = 12;

/** What sales brought against what was expected, why, and what was learned from it. */
export function ResultsPage() {
  const first = useFirstSpecies();
  const [params, setParams] = useSearchParams();
  const { data: today } = useQuery(todayQuery);
  const { data: holding } = useQuery(holdingQuery);
  const kept = today?.head.map((h) => h.species) ?? [];
  const species = SPECIES.find((s) => s === params.get('species')) ?? kept[0] ?? first;
  const year = Number(params.get('year')) || undefined;
  const { data, error, refetch } = useQuery(resultsQuery({ species, ...(year === undefined ? {} : { year }) }));
  const [typing, setTyping] = useState<{ readonly head: SoldHeadView; readonly leftOn: string }>();
  const currency = holding?.currency ?? '';
  const loads = useFirst(data?.loads ?? [], LOADS_FIRST);
  return (
    <Page
      title={say('What did they bring, and why?')}
      lead={data ? leadText(data, currency) : undefined}
      actions={
        <>
          <Choice
            label={say('Species')}
            isLabelHidden
            value={species}
            options={(kept.length > 0 ? kept : SPECIES).map((s) => [s, SPECIES_WORDS[s].name])}
            onChange={(next) => setParams({ species: next })}
          />
          {data && data.years.length > 1 ? (
            <Choice
              label={say('Year')}
              isLabelHidden
              value={String(data.year)}
              options={data.years.map((y) => [String(y), String(y)])}
              onChange={(next) => setParams({ species, year: next })}
            />
          ) : null}
          <LinkButton as={Link} to={`/selling?species=${species}`}>
            {say('Who is ready')}
          </LinkButton>
          <LinkButton as={Link} to={`/selling/margins?species=${species}`}>
            {say('What was left')}
          </LinkButton>
          <LinkButton as={Link} to="/holding/files?of=carcasses">
            {say('Read a kill sheet')}
          </LinkButton>
        </>
      }
    >
      {!data ? (
        error ? (
          <Failed error={error} onRetry={() => void refetch()} />
        ) : (
          <Loading rows={8} />
        )
      ) : data.loads.length === 0 ? (
        <Empty
          title={say('No {plural} were sold yet', { plural: SPECIES_WORDS[species].plural })}
          action={<LeadTo to={`/selling?species=${species}`} words={say('Who is ready to sell')} />}
        >
          {say(
            'Once a load has left for an outlet it stands here, with what came back of it held against what was expected.',
          )}
        </Empty>
      ) : (
        <Beside aside={<LearnedPanel view={data} />}>
          {loads.shown.map((load, i) => (
            <LoadPanel
              key={`${load.on} ${load.outletId ?? load.buyer ?? ''}`}
              load={load}
              species={species}
              name={data.outlets.find((o) => o.id === load.outletId)?.name ?? load.buyer ?? say('no outlet named')}
              currency={currency}
              startsOpen={i === 0}
              onType={(head) => setTyping({ head, leftOn: load.on })}
            />
          ))}
          {loads.more}
        </Beside>
      )}
      {typing ? (
        <ResultSheet {...typing} species={species} currency={currency} onClose={() => setTyping(undefined)} />
      ) : null}
    </Page>
  );
}

function leadText({ year, loads }: ResultsView, currency: string): string | undefined {
  if (year === null) return undefined;
  const heads = loads.reduce((s, l) => s + l.heads.length, 0);
  const compared = loads.reduce((s, l) => s + l.compared, 0);
  const waiting = loads.reduce((s, l) => s + l.waiting, 0);
  const [paid, expected] = [loads.reduce((s, l) => s + l.paidMinor, 0), loads.reduce((s, l) => s + l.expectedMinor, 0)];
  return [
    `${year}: ${say('{heads} {heads, plural, one {head was sold} other {head were sold}}', { heads })}.`,
    ...(compared > 0
      ? [
          say('{value} brought {money} in the hand, {againstExpected}.', {
            value: compared === heads ? say('They') : say('{compared} of them', { compared }),
            money: moneyText(paid, currency),
            againstExpected: againstExpected(paid, expected, currency),
          }),
        ]
      : []),
    ...(waiting > 0 ? [say('Nothing came back of {waiting} yet.', { waiting })] : []),
  ].join(' ');
}
