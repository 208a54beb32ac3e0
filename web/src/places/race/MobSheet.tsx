import { listed, say } from '@yaylak/contract';
import { MOBS, type Mob } from '@yaylak/core';
import { useParams, useSearchParams } from 'react-router';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Small } from '../../parts/Panel';
import { Empty, Loading } from '../../parts/States';
import { MOB_WORDS, scoreText } from '../../words/condition';
import { fullDate } from '../../words/dates';
import { jobMobs } from './jobMobs';
import { useRace } from './useRace';

/** The feed mobs of a job on paper, to take to the gate: who, what was felt, what it is marked with. */
export function MobSheet() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const race = useRace(id);
  const { job } = race;
  if (!job)
    return race.isMissing ? (
      <Empty title={say('This job is not here')}>{say('It may be on another device.')}</Empty>
    ) : (
      <Loading />
    );
  const mobs = jobMobs(race.passages, race.animals);
  const only = MOBS.find((m) => m === search.get('mob'));
  const shown: readonly Mob[] = only ? [only] : MOBS;
  const heading = only ? say('The {mob} mob', { mob: MOB_WORDS[only] }) : say('Feed mobs');
  return (
    <PaperSheet>
      <PaperHead title={`${heading}: ${job.name}`} back={{ to: `/race/${id}`, words: say('Back to the job') }} />
      <p>
        {say('{date}, scored by {n}.', {
          date: fullDate(job.on),
          n: listed(job.settings?.score?.scorers ?? []) || job.startedBy,
        })}
      </p>
      {shown.map((mob) => (
        <section key={mob}>
          {only ? null : (
            <h2>
              {MOB_WORDS[mob].charAt(0).toUpperCase()}
              {MOB_WORDS[mob].slice(1)}, {say('{n} {n, plural, one {animal} other {animals}}', { n: mobs[mob].length })}
            </h2>
          )}
          {mobs[mob].length === 0 ? (
            <Small>{say('Nobody.')}</Small>
          ) : (
            <LineTable>
              <thead>
                <tr>
                  <th>{say('Number')}</th>
                  <th>{say('Name')}</th>
                  <th>{say('Score')}</th>
                  <th>{say('Before')}</th>
                  <th>{say('Group')}</th>
                  <th>{say('Marked')}</th>
                  <th>{say('Through the gate')}</th>
                </tr>
              </thead>
              <tbody>
                {mobs[mob].map(({ animal, score, before, spray }) => (
                  <tr key={animal.tag.animalId}>
                    <td>
                      <b>{animal.tag.text}</b>
                    </td>
                    <td>{animal.tag.name ?? ''}</td>
                    <td>{score === undefined ? '' : scoreText(score)}</td>
                    <td>{before === undefined ? say('first') : scoreText(before)}</td>
                    <td>{animal.groupName ?? ''}</td>
                    <td>{spray ?? ''}</td>
                    <td>
                      <TickBox says={say('{text} through the gate', { text: animal.tag.text })} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </LineTable>
          )}
        </section>
      ))}
      <Small>
        {say(
          'A score put on takes 60 to 90 days in practice. Who stays thin in spite of feed has a reason: look at teeth, worms, feet, age and health.',
        )}
      </Small>
    </PaperSheet>
  );
}
