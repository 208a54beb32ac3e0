import { useQuery } from '@tanstack/react-query';
import { biasesByKey, SPECIES_TABLE } from '@yaylak/core';
import type { RosterAnimal } from '@yaylak/contract';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { useOutbox } from '../../outbox/useOutbox';
import { forgetHand, keepHand, keptHand } from '../../shared/jobs/hand';
import { Button } from '../../parts/Button';
import { Key } from '../../parts/Key';
import { useWindowTitle } from '../../parts/useWindowTitle';
import { HelpSheet } from '../../shared/help/HelpPanel';
import { useHelp } from '../../shared/help/useHelp';
import { useUndo } from '../../parts/Undo';
import { Empty, Loading } from '../../parts/States';
import { StorageNote } from '../../parts/StorageNote';
import { usePhone } from '../../theme/usePhone';
import { fullDate, shortDate } from '../../words/dates';
import { STATION_WORDS } from '../../words/stations';
import { Capture } from './Capture';
import { gainsBefore, jobFigures } from './jobFigures';
import { JobSheet } from './JobSheet';
import { JobSoFar } from './JobSoFar';
import { forgetDraft } from './keptDraft';
import { forgetPan } from './PanLine';
import { PassageList } from './PassageList';
import { Alone, Aside, Foot, Frame, Head, HeadButton, Kept, Left, Main, MoreButton, Right } from './raceFrame';
import { Readers } from '../../shared/readers/Readers';
import { areSoundsOn, setSoundsOn } from './sounds';
import { Summary } from './Summary';
import { useRace } from './useRace';
import { WhoIsThere } from './WhoIsThere';
import { say } from '@yaylak/contract';

/** The race, full screen: who came and who is missing, the animal at hand, the job so far. */
export function RacePage() {
  const { id = '' } = useParams();
  // From one job straight to another: who is there, and what was half typed, belongs to the one.
  return <OneJob key={id} id={id} />;
}

function OneJob({ id }: { readonly id: string }) {
  const [said, setHand] = useState(() => keptHand(id));
  const [isHandAsked, setHandAsked] = useState(false);
  const { data: holding } = useQuery(holdingQuery);
  // Who is logged in is who is there.
  const hand = holding?.writer ? { by: holding.writer.name, saidOn: holding.today } : said;
  const race = useRace(id, hand?.by);
  const outbox = useOutbox();
  const navigate = useNavigate();
  const [isSummary, setSummary] = useState(false);
  const [isChanging, setChanging] = useState(false);
  const isPhone = usePhone();
  const [isHeadOpen, setHeadOpen] = useState(false);
  const undo = useUndo();
  const help = useHelp(true);
  const [hasSounds, setSounds] = useState(areSoundsOn);
  const { job, passages, listed, animals } = race;
  const settingsOf = useMemo(
    () => (a: RosterAnimal) => (holding?.species ?? SPECIES_TABLE)[a.species],
    [holding?.species],
  );
  const before = useMemo(() => gainsBefore(listed, settingsOf), [listed, settingsOf]);
  const biases = useMemo(() => biasesByKey(race.roster.biases), [race.roster.biases]);
  const figures = useMemo(
    () => jobFigures(passages, before, animals, settingsOf, biases),
    [passages, before, animals, settingsOf, biases],
  );
  const isFinished = job?.finishedAt != null;
  useWindowTitle(job?.name);

  // What this device kept of a job that is over and sent is not needed any more; the outbox is outside React.
  useEffect(() => {
    if (!race.isOnServer || race.keptHere > 0) return;
    forgetHand(id);
    forgetPan(id);
    forgetDraft(id);
    void outbox.forgetJob(id);
  }, [race.isOnServer, race.keptHere, outbox, id]);

  if (!job || race.isReading)
    return (
      <Alone>
        {race.isMissing ? (
          <Empty
            title={say('This job is not here')}
            action={<Button onPress={() => void navigate('/race')}>{say('Start another')}</Button>}
          >
            {say('It was started on another device and the server is away, or there never was such a job.')}
          </Empty>
        ) : (
          <Loading />
        )}
      </Alone>
    );
  if (job.discardedAt !== undefined)
    return (
      <Alone>
        <Empty
          title={say('This job was discarded')}
          action={
            <>
              <Button onPress={() => void race.resume()}>{say('Open it again')}</Button>
              <Button kind="main" onPress={() => void navigate('/race')}>
                {say('To the race')}
              </Button>
            </>
          }
        >
          {passages.length === 0
            ? say('Nothing recorded in it counts.')
            : say(
                '{n} {n, plural, one {animal} other {animals}} came in from another device since. Open it again to see them.',
                { n: passages.length },
              )}
        </Empty>
      </Alone>
    );
  const seenIds = new Set(passages.map((p) => p.animalId));
  const seen = listed.filter((a) => seenIds.has(a.tag.animalId)).length;
  const isForgotten = hand?.saidOn !== holding?.today;
  const isAsking = !isFinished && !isSummary && (isHandAsked || (isForgotten && holding !== undefined));
  const saidBy = (by: string): void => {
    const now = { by, saidOn: holding?.today ?? race.on };
    keepHand(id, now);
    setHand(now);
    setHandAsked(false);
  };
  const finish = async (): Promise<void> => {
    await race.finish();
    setSummary(true);
    undo.keep({
      done: say('Finished the job “{name}”', { name: job.name }),
      undo: { kind: 'job', out: { kind: 'resume', jobId: id } },
    });
  };
  const leave = (): void => void navigate('/race');
  return (
    <Frame data-own-keys>
      <HelpSheet help={help} />
      <JobSheet race={race} isOpen={isChanging} onClose={() => setChanging(false)} />
      <Head>
        <h1>{job.name}</h1>
        <span className="stations">{job.stations.map((s) => STATION_WORDS[s]).join(' · ')}</span>
        {job.isForItsDay ? (
          <b>{say('for {date}', { date: fullDate(job.on) })}</b>
        ) : race.on === job.on ? null : (
          <span>{say('begun {date}, now dated {date2}', { date: shortDate(job.on), date2: shortDate(race.on) })}</span>
        )}
        <Right data-open={isHeadOpen || undefined}>
          {isFinished || isAsking ? null : (
            <HeadButton
              type="button"
              aria-label={say('Recorded by {by}. Somebody else', { by: race.by })}
              onClick={() => (holding?.writer ? void navigate('/log-in') : setHandAsked(true))}
            >
              {say('by {by}', { by: race.by })}
            </HeadButton>
          )}
          {isFinished ? null : (
            <HeadButton type="button" onClick={() => setChanging(true)}>
              {say('change job')}
            </HeadButton>
          )}
          <Readers button={HeadButton} />
          <label>
            <input
              type="checkbox"
              checked={hasSounds}
              onChange={(e) => {
                setSounds(e.target.checked);
                setSoundsOn(e.target.checked);
              }}
            />{' '}
            {say('sounds')}
          </label>
        </Right>
        {race.keptHere > 0 ? (
          <Kept role="status">
            {say('{keptHere} kept here{value}', {
              keptHere: race.keptHere,
              value: isPhone ? '' : say(', not yet on the server'),
            })}
          </Kept>
        ) : (
          <Kept role="status" data-sent>
            {say('all saved')}
          </Kept>
        )}
        <MoreButton type="button" aria-expanded={isHeadOpen} onClick={() => setHeadOpen(!isHeadOpen)}>
          {say('Job')}
        </MoreButton>
      </Head>
      <Left tabIndex={0} aria-label={say('Who came and who is missing')}>
        <PassageList race={race} />
      </Left>
      {isFinished || isSummary ? (
        <>
          <Main>
            <Summary
              race={race}
              figures={figures}
              isFinished={isFinished}
              onBack={() => setSummary(false)}
              onFinish={() => void finish()}
              onResume={() => void race.resume().then(() => setSummary(false))}
              onLeave={leave}
            />
          </Main>
          <Aside tabIndex={0} aria-label={say('The job so far')}>
            <JobSoFar race={race} figures={figures} />
          </Aside>
        </>
      ) : isAsking ? (
        <Main>
          <StorageNote />
          <WhoIsThere job={job} on={race.on} by={hand?.by} onSaid={saidBy} />
        </Main>
      ) : (
        <Capture race={race} figures={figures} settingsOf={settingsOf} onLeave={leave} />
      )}
      <Foot>
        {isFinished || isSummary ? (
          <span>{say('{seen} {seen, plural, one {animal} other {animals}} through', { seen })}</span>
        ) : (
          <>
            <span data-hint>
              <Key>{say('Enter')}</Key> {say('goes on')}
            </span>
            <span data-hint>
              <Key>↑</Key> <Key>↓</Key> {say('among numbers')}
            </span>
            {job.stations.includes('sort') ? (
              <span data-hint>
                <Key>←</Key> <Key>↓</Key> <Key>→</Key> {say('gate')}
              </span>
            ) : null}
            <span data-hint>
              <Key>{say('Backspace')}</Key> {say('takes back the last animal')}
            </span>
            <span>
              <Key>{say('F1')}</Key> {say('all keys')}
            </span>
            <span style={{ marginLeft: 'auto' }}>
              <Key>{say('Esc')}</Key> {say('leaves, everything is kept')}
            </span>
            <Button onPress={() => setSummary(true)}>{say('Finish')}</Button>
          </>
        )}
      </Foot>
    </Frame>
  );
}
