import { useQuery } from '@tanstack/react-query';
import type { OutletView, PlannedLoadView } from '@yaylak/contract';
import { isPaidDead } from '@yaylak/core';
import { Link, useLocation, useParams } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { loadQuery, outletsQuery } from '../../api/selling';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { countText, fullDate } from '../../words/format';
import { LoadGate } from './LoadGate';
import { LoadHeads } from './LoadHeads';
import { LoadLeaving } from './LoadLeaving';
import { useLoad } from './useLoad';

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
      {isGone ? null : <LoadLeaving load={load} outlet={outlet} atHand={atHand} />}
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

function leadText({ heads, facts, isGone }: PlannedLoadView, today: string): string {
  if (isGone) return `${countText(heads.length, 'head has', 'head have')} left.`;
  const aboard = facts.aboard?.length ?? 0;
  const when = `${facts.on < today ? 'Was to go on' : 'Goes on'} ${fullDate(facts.on)}`;
  return `${when}: ${countText(heads.length, 'head', 'head')}${aboard > 0 ? `, ${aboard} aboard` : ''}.`;
}
