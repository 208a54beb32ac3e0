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
import { fullDate } from '../../words/dates';
import { LoadGate } from './LoadGate';
import { LoadHeads } from './LoadHeads';
import { LoadLeaving } from './LoadLeaving';
import { useLoad } from './useLoad';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { HistoryButton } from '../../shared/history/HistoryButton';

/** One load: who is on it, who may not go, and who is aboard already. */
export function LoadPage() {
  const { id = '' } = useParams();
  const { data: load, error, refetch } = useQuery(loadQuery(id));
  const { data: outlets } = useQuery(outletsQuery);
  const outlet = outlets?.find((o) => o.id === load?.facts.outletId);
  if (!load || !outlet)
    return (
      <Page title={say('A load')}>
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
      title={say('Load for {name}', { name })}
      lead={leadText(load, holding?.today ?? '')}
      actions={
        <>
          <LinkButton as={Link} to={back ?? `/selling?species=${species}`}>
            {say('Who is ready')}
          </LinkButton>
          <LinkButton as={Link} to={`/selling/list?ids=${ids}&for=${encodeURIComponent(name)}&on=${facts.on}`}>
            {say('Load list')}
          </LinkButton>
          <LinkButton as={Link} to={`/selling/sheet?ids=${ids}`}>
            {say('Sale sheet')}
          </LinkButton>
          <HistoryButton what="load" thingId={load.id} name={say('this load')} />
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
      <Said
        text={'It has left. What it brought is shown under <0>sales</0>'}
        parts={{ 0: <Link to={`/selling/results?species=${facts.species}`} /> }}
      />
      {isPaidDead(facts.payBy) ? (
        <>
          <Said
            text={', once <0>its kill sheet is read</0>'}
            parts={{ 0: <Link to="/holding/files?of=carcasses" /> }}
          />
        </>
      ) : null}
      .
    </p>
  </NotePanel>
);

function leadText({ heads, facts, isGone }: PlannedLoadView, today: string): string {
  if (isGone) return say('{n} {n, plural, one {head has} other {head have}} left.', { n: heads.length });
  const aboard = facts.aboard?.length ?? 0;
  const when = `${facts.on < today ? say('Was to go on') : say('Goes on')} ${fullDate(facts.on)}`;
  return `${when}: ${say('{n} {n, plural, one {head} other {head}}', { n: heads.length })}${aboard > 0 ? say(', {aboard} aboard', { aboard }) : ''}.`;
}
