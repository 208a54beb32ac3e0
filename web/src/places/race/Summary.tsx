import { Link } from 'react-router';
import styled from 'styled-components';
import { scaleUnit, type WeightUnit } from '@yaylak/core';
import { Button } from '../../parts/Button';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { TagRow } from '../../parts/TagRow';
import { useFirst } from '../../parts/useFirst';
import { LinkButton } from '../../parts/LinkButton';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { gainText, perDayText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { judged, kindOf, type JobFigures } from './jobFigures';
import { JobMeans } from './JobMeans';
import { Mobs } from './Mobs';
import { Pens } from './Pens';
import { Tally } from './Tally';
import type { Race } from './useRace';
import { say } from '@yaylak/contract';

interface Props {
  readonly race: Race;
  readonly figures: JobFigures;
  readonly isFinished: boolean;
  readonly onBack: () => void;
  readonly onFinish: () => void;
  readonly onResume: () => void;
  readonly onLeave: () => void;
}

/** What the job brought: counts that must agree, who was missed, who stands out. */
export function Summary({ race, figures, isFinished, onBack, onFinish, onResume, onLeave }: Props) {
  const unit = useWeightUnit();
  const { listed, passages, animals } = race;
  const seen = new Set(passages.map((p) => p.animalId));
  const missed = listed.filter((a) => !seen.has(a.tag.animalId));
  const listedIds = new Set(listed.map((a) => a.tag.animalId));
  const others = [...seen].filter((id) => !listedIds.has(id));
  const slow = figures.points.filter(
    (p) => p.gain && judged(p.gain, kindOf(figures, p.species)?.lineKgPerDay) === 'below',
  );
  const counts = new Map<string, number>();
  for (const { animalId } of passages) counts.set(animalId, (counts.get(animalId) ?? 0) + 1);
  const twice = [...seen].flatMap((id) => (counts.get(id) === 1 ? [] : [passages.filter((p) => p.animalId === id)]));
  const firstTwice = useFirst(twice, 20);
  const refused = passages.filter((p) => p.refusedBecause);
  const tags = (ids: readonly string[]) => (
    <TagRow tags={ids.flatMap((id) => animals.get(id)?.tag ?? [])} first={60} isStatic />
  );
  return (
    <Panel>
      <Stack>
        <h2>{isFinished ? say('Finished') : say('Finish this job?')}</h2>
        <p>
          <b>{say('{n} of {n2} on the list came through', { n: listed.length - missed.length, n2: listed.length })}</b>
          {say('{value}. {n} {n, plural, one {animal} other {animals}} before; {n2} seen and {n3} not seen make {n}.', {
            value: others.length > 0 ? say(', and {n} who were not on it', { n: others.length }) : '',
            n: listed.length,
            n2: listed.length - missed.length,
            n3: missed.length,
          })}
        </p>
        <Figures>
          {race.job?.stations.includes('weigh') ? <JobMeans figures={figures} none={say('none')} /> : null}
        </Figures>
        <Pens race={race} />
        <Mobs race={race} />
        <Tally race={race} />
        {missed.length > 0 ? (
          <section>
            <h3>{say('Not seen ({n})', { n: missed.length })}</h3>
            {tags(missed.map((a) => a.tag.animalId))}
          </section>
        ) : null}
        {others.length > 0 ? (
          <section>
            <h3>{say('Not on the list ({n})', { n: others.length })}</h3>
            {tags(others)}
          </section>
        ) : null}
        {slow.length > 0 ? (
          <section>
            <h3>{say('Surely under the line{lines}', { lines: linesText(figures, unit) })}</h3>
            {slow.map((p) => {
              const a = animals.get(p.animalId);
              return (
                <Row key={p.animalId} style={{ marginTop: 4 }}>
                  {a ? <Tag tag={a.tag} isStatic /> : null} {p.gain ? gainText(p.gain, scaleUnit(p.species, unit)) : ''}
                </Row>
              );
            })}
          </section>
        ) : null}
        {twice.length > 0 ? (
          <section>
            <h3>{say('Recorded twice ({n})', { n: twice.length })}</h3>
            <Small>{say('By two devices, or twice through the race. Take back the one that is wrong.')}</Small>
            {firstTwice.shown.flat().map((p) => (
              <Row key={p.writtenAt + p.animalId} style={{ marginTop: 4 }}>
                {animals.get(p.animalId)?.tag.text}
                {say(', {part} by', { part: p.writtenAt.slice(11, 16) })} {p.entries[0]?.writtenBy}:{' '}
                {p.kg === undefined ? say('no weight') : weightText(p.kg, unit)} {p.gate ?? ''}
                <Button
                  kind="quiet"
                  aria-label={say('Take back {n} of {part}', {
                    n: animals.get(p.animalId)?.tag.text ?? '',
                    part: p.writtenAt.slice(11, 16),
                  })}
                  onPress={() => void race.takeBack(p)}
                >
                  {say('Take back')}
                </Button>
              </Row>
            ))}
            {firstTwice.more}
          </section>
        ) : null}
        {refused.length > 0 ? (
          <section>
            <h3>{say('Needs a look ({n})', { n: refused.length })}</h3>
            {refused.map((p) => (
              <p key={p.writtenAt}>
                {animals.get(p.animalId)?.tag.text}: {p.refusedBecause}
              </p>
            ))}
          </section>
        ) : null}
        <Row>
          {isFinished ? (
            <Button onPress={onResume}>{say('Open it again')}</Button>
          ) : (
            <>
              <Button kind="main" onPress={onFinish}>
                {say('Finish the job')}
              </Button>
              <Button onPress={onBack}>{say('Continue')}</Button>
            </>
          )}
          {passages.some((p) => p.entries.some((e) => e.type === 'sample')) ? (
            <LinkButton as={Link} to={`/race/${race.job?.id ?? ''}/tubes`}>
              {say('Tube sheet')}
            </LinkButton>
          ) : null}
          <Button onPress={onLeave}>{say('Leave the race')}</Button>
        </Row>
      </Stack>
    </Panel>
  );
}

/** ` of 71 g/day`; of more than one species nothing, each has its own. */
function linesText({ kinds }: JobFigures, unit: WeightUnit): string {
  const [one, ...others] = kinds;
  return one?.lineKgPerDay === undefined || others.length > 0
    ? ''
    : ` ${say('of {perDay}', { perDay: perDayText(one.lineKgPerDay, scaleUnit(one.species, unit)) })}`;
}

const Figures = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(6)};
  b {
    font-size: 20px;
    color: ${colour('ink')};
  }
`;
