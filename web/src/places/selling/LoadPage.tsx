import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { OutletView, PlannedLoadView } from '@yaylak/contract';
import { isPaidDead } from '@yaylak/core';
import { useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { loadQuery, loadsQuery, outletsQuery } from '../../api/selling';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { countText, fullDate } from '../../words/format';
import { LoadGate } from './LoadGate';
import { LoadHeads } from './LoadHeads';
import { LoadSheet } from './LoadSheet';
import { useLoad, type LoadAtHand } from './useLoad';

/** One load: who is on it, who may not go, and who is aboard already. */
export function LoadPage() {
  const { id = '' } = useParams();
  const { data: load, error, refetch } = useQuery(loadQuery(id));
  const { data: outlets } = useQuery(outletsQuery);
  const outlet = outlets?.find((o) => o.id === load?.facts.outletId);
  if (!load || !outlet)
    return (
      <Page title="A load">
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={8} />}
      </Page>
    );
  return <Load load={load} outlet={outlet} />;
}

interface Props {
  readonly load: PlannedLoadView;
  readonly outlet: OutletView;
}

function Load({ load, outlet }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const back = (useLocation().state as { readonly back?: string } | null)?.back;
  const atHand = useLoad(load);
  const { facts, heads, isGone } = load;
  const { name, species } = outlet.facts;
  const ids = heads.map((h) => h.tag.animalId).join(',');
  return (
    <Page
      title={`Load for ${name}`}
      lead={leadText(load, holding?.today ?? '')}
      actions={
        <>
          <LinkButton as={Link} to={back ?? `/selling?species=${species}`}>
            Who is ready
          </LinkButton>
          <LinkButton as={Link} to={`/selling/list?ids=${ids}&for=${encodeURIComponent(name)}&on=${facts.on}`}>
            Load list
          </LinkButton>
          <LinkButton as={Link} to={`/selling/sheet?ids=${ids}`}>
            Sale sheet
          </LinkButton>
        </>
      }
    >
      {isGone ? <WhatNext outlet={outlet} /> : <LoadGate on={facts.on} atHand={atHand} />}
      <LoadHeads load={load} species={species} atHand={atHand} />
      {isGone ? null : <Leaving load={load} outlet={outlet} atHand={atHand} />}
    </Page>
  );
}

/** What is to be done with a load that has left. */
const WhatNext = ({ outlet: { facts } }: Pick<Props, 'outlet'>) => (
  <NotePanel $tone="moss">
    <p>
      It has left. What it brought is shown under <Link to={`/selling/results?species=${facts.species}`}>sales</Link>
      {isPaidDead(facts.payBy) ? (
        <>
          , once <Link to="/holding/files?of=carcasses">its kill sheet is read</Link>
        </>
      ) : null}
      .
    </p>
  </NotePanel>
);

/** The load leaves, or is given up. */
function Leaving({ load, outlet, atHand }: Props & { readonly atHand: LoadAtHand }) {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const [isLeaving, setLeaving] = useState(false);
  const { heads } = load;
  const { species } = outlet.facts;
  const today = holding?.today ?? '';
  const stopped = heads.filter((h) => h.checks.some((c) => c.isStop));
  return (
    <>
      <Row $gap={3}>
        <Button kind="main" isDisabled={heads.length === 0 || stopped.length > 0} onPress={() => setLeaving(true)}>
          The load leaves…
        </Button>
        {stopped.length > 0 ? (
          <Small role="status">
            {countText(stopped.length, 'head', 'head')} on it may not go. Remove {stopped.length === 1 ? 'it' : 'them'}{' '}
            first.
          </Small>
        ) : null}
        <AskButton
          kind="quiet"
          label="Give the load up"
          ask="Give it up? The animals stay as they are."
          onConfirm={() =>
            void atHand.giveUp().then((isGivenUp) => isGivenUp && navigate(`/selling?species=${species}`))
          }
        />
      </Row>
      {isLeaving ? (
        <LoadSheet
          outlet={outlet}
          rows={heads.map(({ tag, weight }) => ({ tag, kg: weight?.on === today ? weight.kg : undefined }))}
          species={species}
          today={today}
          currency={holding?.currency ?? ''}
          onClose={() => {
            setLeaving(false);
            void client.invalidateQueries({ queryKey: loadsQuery.queryKey });
          }}
        />
      ) : null}
    </>
  );
}

function leadText({ heads, facts, isGone }: PlannedLoadView, today: string): string {
  if (isGone) return `${countText(heads.length, 'head has', 'head have')} left.`;
  const aboard = facts.aboard?.length ?? 0;
  const when = `${facts.on < today ? 'Was to go on' : 'Goes on'} ${fullDate(facts.on)}`;
  return `${when}: ${countText(heads.length, 'head', 'head')}${aboard > 0 ? `, ${aboard} aboard` : ''}.`;
}
