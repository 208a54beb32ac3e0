import { useQuery } from '@tanstack/react-query';
import { SPECIES_TABLE } from '@yaylak/core';
import type { RosterAnimal } from '@yaylak/contract';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { useOutbox } from '../../outbox/useOutbox';
import { Button } from '../../parts/Button';
import { Key } from '../../parts/KeysHelp';
import { Empty, Loading } from '../../parts/States';
import { colour, narrow, phone, space } from '../../theme/tokens';
import { countText } from '../../words/format';
import { STATION_WORDS } from '../../words/stations';
import { Capture } from './Capture';
import { gainsBefore, jobFigures } from './jobFigures';
import { JobSoFar } from './JobSoFar';
import { PassageList } from './PassageList';
import { areSoundsOn, setSoundsOn } from './sounds';
import { Summary } from './Summary';
import { useRace } from './useRace';

/** The race, full screen: who came and who is missing, the animal at hand, the job so far. */
export function RacePage() {
  const { id = '' } = useParams();
  const race = useRace(id);
  const outbox = useOutbox();
  const navigate = useNavigate();
  const { data: holding } = useQuery(holdingQuery);
  const [isSummary, setSummary] = useState(false);
  const [hasSounds, setSounds] = useState(areSoundsOn);
  const { job, passages, listed, animals } = race;
  const settingsOf = useMemo(
    () => (a: RosterAnimal) => (holding?.species ?? SPECIES_TABLE)[a.species],
    [holding?.species],
  );
  const before = useMemo(() => gainsBefore(listed, settingsOf), [listed, settingsOf]);
  const figures = useMemo(
    () => jobFigures(passages, before, animals, job?.on ?? '', settingsOf),
    [passages, before, animals, job?.on, settingsOf],
  );
  const isFinished = job?.finishedAt != null;

  // What this device kept of a job that is over and sent is not needed any more; the outbox is outside React.
  useEffect(() => {
    if (isFinished && race.keptHere === 0) void outbox.forgetJob(id);
  }, [isFinished, race.keptHere, outbox, id]);

  if (!job)
    return (
      <div style={{ padding: 24 }}>
        {race.isMissing ? (
          <Empty
            title="This job is not here"
            action={<Button onPress={() => void navigate('/race')}>Start another</Button>}
          >
            It was started on another device and the server is away, or there never was such a job.
          </Empty>
        ) : (
          <Loading />
        )}
      </div>
    );
  const seenIds = new Set(passages.map((p) => p.animalId));
  const seen = listed.filter((a) => seenIds.has(a.tag.animalId)).length;
  const leave = (): void => void navigate('/race');
  return (
    <Frame data-own-keys>
      <Head>
        <h1>{job.name}</h1>
        <span>{job.stations.map((s) => STATION_WORDS[s]).join(' · ')}</span>
        <Right>
          <label>
            <input
              type="checkbox"
              checked={hasSounds}
              onChange={(e) => {
                setSounds(e.target.checked);
                setSoundsOn(e.target.checked);
              }}
            />{' '}
            sounds
          </label>
          {race.keptHere > 0 ? (
            <Kept role="status">{race.keptHere} kept here, not yet on the server</Kept>
          ) : (
            <Kept role="status" data-sent>
              all on the server
            </Kept>
          )}
        </Right>
      </Head>
      <Left tabIndex={0} aria-label="Who came and who is missing">
        <PassageList race={race} />
      </Left>
      <Main>
        {isFinished || isSummary ? (
          <Summary
            race={race}
            figures={figures}
            isFinished={isFinished}
            onBack={() => setSummary(false)}
            onFinish={() => void race.finish().then(() => setSummary(true))}
            onLeave={leave}
          />
        ) : (
          <Capture race={race} figures={figures} settingsOf={settingsOf} onLeave={leave} />
        )}
      </Main>
      <Aside tabIndex={0} aria-label="The job so far">
        <JobSoFar race={race} figures={figures} />
      </Aside>
      <Foot>
        {isFinished || isSummary ? (
          <span>{countText(seen, 'animal', 'animals')} through</span>
        ) : (
          <>
            <span>
              <Key>Enter</Key> goes on
            </span>
            <span>
              <Key>↑</Key> <Key>↓</Key> among numbers
            </span>
            {job.stations.includes('sort') ? (
              <span>
                <Key>←</Key> <Key>↓</Key> <Key>→</Key> gate
              </span>
            ) : null}
            <span>
              <Key>Backspace</Key> takes back the last animal
            </span>
            <span style={{ marginLeft: 'auto' }}>
              <Key>Esc</Key> leaves, everything is kept
            </span>
            <Button onPress={() => setSummary(true)}>Finish</Button>
          </>
        )}
      </Foot>
    </Frame>
  );
}

const Frame = styled.div`
  height: 100%;
  display: grid;
  grid-template:
    'head head head' auto
    'left main aside' minmax(0, 1fr)
    'foot foot foot' auto / 236px minmax(0, 1fr) 290px;
  ${narrow} {
    grid-template:
      'head head' auto
      'main left' minmax(0, 1fr)
      'main aside' minmax(0, 1fr)
      'foot foot' auto / minmax(0, 1fr) 270px;
  }
  ${phone} {
    height: auto;
    grid-template: 'head' auto 'main' auto 'left' auto 'aside' auto 'foot' auto / minmax(0, 1fr);
  }
`;
const Head = styled.header`
  grid-area: head;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(1)} ${space(4)};
  padding: ${space(2)} ${space(5)};
  min-height: 52px;
  background: ${colour('band')};
  color: ${colour('bandInk')};
  h1 {
    font-size: 18px;
  }
  label {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: 36px;
  }
`;
const Right = styled.div`
  margin-left: auto;
  display: flex;
  gap: ${space(4)};
  align-items: center;
`;
const Kept = styled.span`
  &::before {
    content: '';
    display: inline-block;
    width: 10px;
    height: 10px;
    border-radius: 50%;
    margin-right: ${space(2)};
    background: #ebbe62;
  }
  &[data-sent]::before {
    background: #a5cb9b;
  }
`;
const Left = styled.aside`
  grid-area: left;
  padding: ${space(4)};
  padding-right: 0;
  overflow: auto;
  ${narrow} {
    padding: ${space(4)} ${space(4)} 0 0;
  }
  ${phone} {
    padding: ${space(4)};
  }
`;
const Main = styled.main`
  grid-area: main;
  padding: ${space(4)};
  overflow: auto;
`;
const Aside = styled.aside`
  grid-area: aside;
  padding: ${space(4)};
  padding-left: 0;
  overflow: auto;
  ${phone} {
    padding-left: ${space(4)};
  }
`;
const Foot = styled.footer`
  grid-area: foot;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)} ${space(5)};
  padding: ${space(2)} ${space(5)};
  background: ${colour('rail')};
  border-top: 1px solid ${colour('line')};
  font-size: 14px;
`;
