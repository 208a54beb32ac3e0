import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { SellingView } from '@yaylak/contract';
import { dayOf, isoOf, nextWeekday, SPECIES, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { holdingQuery, todayQuery } from '../../api/queries';
import { loadsQuery, planLoad, sellingQuery } from '../../api/selling';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Beside } from '../../parts/Beside';
import { NotePanel } from '../../parts/Panel';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { moneyText } from '../../words/format';
import { newId } from '../../words/ids';
import { useFirstSpecies } from '../../words/useHolding';
import { BringIn } from './BringIn';
import { LoadsPanel } from './LoadsPanel';
import { OutletsBeside } from './OutletsBeside';
import { PenFeedSheet } from './PenFeedSheet';
import { ReservedPanel } from './ReservedPanel';
import { SaleList } from './SaleList';
import { SplitPanel } from './SplitPanel';
import { handSplit, splitColumn } from './split';
import { useOnLoad } from './useOnLoad';
import { useByHand } from './useByHand';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { LeadTo } from '../../parts/LeadTo';

/** Who is ready, and where each brings most: one species and pen at a time. */
export function SellingPage() {
  const first = useFirstSpecies();
  const [params, setParams] = useSearchParams();
  const { data: today } = useQuery(todayQuery);
  const kept = today?.head.map((h) => h.species) ?? [];
  const species = SPECIES.find((s) => s === params.get('species')) ?? kept[0] ?? first;
  const groupId = params.get('group');
  const asksAll = params.get('outside') === 'asked';
  const { data, error, refetch } = useQuery({
    ...sellingQuery({
      species,
      ...(groupId === null ? {} : { groupId }),
      ...(asksAll ? { outside: 'asked' as const } : {}),
    }),
    // Only the split becomes another: what is shown stands until it is there.
    placeholderData: (shown) =>
      shown?.species === species && (groupId ?? shown.groupId) === shown.groupId ? shown : undefined,
  });
  const askAll = (next: boolean): void =>
    setParams((now) => {
      if (next) now.set('outside', 'asked');
      else now.delete('outside');
      return now;
    });
  const pickers = (
    <>
      <Choice
        label={say('Species')}
        isLabelHidden
        value={species}
        options={(kept.length > 0 ? kept : SPECIES).map((s) => [s, SPECIES_WORDS[s].name])}
        onChange={(next) => setParams({ species: next })}
      />
      {data && data.groups.length > 1 && data.groupId ? (
        <Choice
          label={say('Pen')}
          isLabelHidden
          value={data.groupId}
          options={data.groups.map((g) => [g.id, `${g.name} (${g.count})`])}
          onChange={(group) => setParams({ species, group })}
        />
      ) : null}
      <LinkButton as={Link} to={`/selling/outlets?species=${species}`}>
        {say('Outlets')}
      </LinkButton>
      <LinkButton as={Link} to={`/selling/results?species=${species}`}>
        {say('What they brought')}
      </LinkButton>
    </>
  );
  if (!data)
    return (
      <Page title={TITLE} actions={pickers}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={8} />}
      </Page>
    );
  return (
    <Pen
      key={`${species} ${data.groupId ?? ''}`}
      view={data}
      species={species}
      pickers={pickers}
      asksAll={asksAll}
      onAskAll={askAll}
    />
  );
}
const TITLE = say('Who is ready, and where do they bring most?');

interface PenProps {
  readonly view: SellingView;
  readonly species: Species;
  readonly pickers: React.ReactNode;
  readonly asksAll: boolean;
  readonly onAskAll: (asksAll: boolean) => void;
}

function Pen({ view, species, pickers, asksAll, onAskAll }: PenProps) {
  const { data: holding } = useQuery(holdingQuery);
  const [byHand, setByHand] = useByHand(view);
  const [problem, setProblem] = useState<string>();
  const [isFeeding, setFeeding] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const onLoad = useOnLoad();
  const currency = holding?.currency ?? '';
  const { rows, outlets } = view;
  if (rows.length === 0)
    return (
      <Page title={TITLE} actions={pickers}>
        <Empty
          title={say('No {plural} are for sale', { plural: SPECIES_WORDS[species].plural })}
          action={<LeadTo to="/choosing" words={say('Choose who goes')} />}
        >
          {say(
            'Young ones not chosen to be kept are looked at here, and older ones chosen to be sold or culled. Choosing is where that is decided.',
          )}
        </Empty>
      </Page>
    );
  const made = handSplit(view, byHand);
  const headsFor = (outletId: string) => rows.filter((r) => splitColumn(view, byHand, r.tag.animalId) === outletId);
  const plan = async (outletId: string): Promise<void> => {
    const weekdays = outlets.find((o) => o.id === outletId)?.facts.weekdays ?? [];
    const on = isoOf(nextWeekday(dayOf(view.on), weekdays));
    // Those on a load go with that one.
    const animalIds = headsFor(outletId).flatMap(({ tag }) => (onLoad.has(tag.animalId) ? [] : [tag.animalId]));
    if (animalIds.length === 0)
      return setProblem(say('All of these are on a load already. Open it under Loads planned.'));
    try {
      const load = await planLoad({
        id: newId(),
        outletId,
        on,
        animalIds,
      });
      void client.invalidateQueries({ queryKey: loadsQuery.queryKey });
      // Once they have left, another pen may be the largest: the way back leads to this one.
      const back = `/selling?species=${species}${view.groupId === null ? '' : `&group=${view.groupId}`}`;
      await navigate(`/selling/loads/${load.id}`, { state: { back } });
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Page
      title={TITLE}
      lead={leadText(view, currency)}
      actions={
        <>
          {pickers}
          <Button onPress={() => setFeeding(true)}>{say('Record feed')}</Button>
        </>
      }
    >
      {isFeeding ? (
        <PenFeedSheet
          animalIds={rows.map((r) => r.tag.animalId)}
          species={species}
          pen={view.groups.find((g) => g.id === view.groupId)?.name ?? SPECIES_WORDS[species].plural}
          today={view.on}
          onClose={() => setFeeding(false)}
        />
      ) : null}
      {problem ? (
        <NotePanel $tone="madder" role="alert">
          {problem}
        </NotePanel>
      ) : null}
      {outlets.length === 0 ? (
        <Empty
          title={say('Nowhere to sell {plural} yet', { plural: SPECIES_WORDS[species].plural })}
          action={<LeadTo to="/selling/outlets" words={say('Add an outlet')} />}
        >
          {say(
            'Add the markets, buyers and abattoirs you sell to, with what they pay; the worth of each animal follows from it.',
          )}
        </Empty>
      ) : null}
      <Beside
        aside={
          <>
            {outlets.length > 1 ? <OutletsBeside view={view} currency={currency} /> : null}
            {view.split ? (
              <SplitPanel
                view={view}
                made={made}
                currency={currency}
                asksAll={asksAll}
                onAskAll={onAskAll}
                onBack={() => setByHand({})}
                onPlan={(outletId) => void plan(outletId)}
              />
            ) : null}
            <LoadsPanel outlets={outlets} />
            {outlets.length > 0 ? <BringIn view={view} /> : null}
            <ReservedPanel rows={rows} />
          </>
        }
      >
        <SaleList
          view={view}
          currency={currency}
          columnOf={(id) => splitColumn(view, byHand, id)}
          onSend={(animalId, column) => setByHand({ ...byHand, [animalId]: column })}
        />
      </Beside>
    </Page>
  );
}

/** What the pen is worth, in one sentence. */
function leadText({ rows, split, outlets }: SellingView, currency: string): string {
  const ready = rows.filter((r) => r.state === 'ready' || r.state === 'closing').length;
  const who = say(
    '{ready} of {n} {n, plural, one {animal} other {animals}} {ready, plural, one {is} other {are}} ready',
    { ready, n: rows.length },
  );
  if (!split) return `${who}.`;
  const best = split.alone[0];
  const alone = best
    ? say('; all to {n} {money}', {
        n: outlets.find((o) => o.id === best.outletId)?.facts.name ?? say('one outlet'),
        money: moneyText(best.totalMinor, currency),
      })
    : '';
  return say('{who}. Split as below they bring {money}{alone}.', {
    who,
    money: moneyText(split.totalMinor, currency),
    alone,
  });
}
