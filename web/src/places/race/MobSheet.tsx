import { listed } from '@yaylak/contract';
import { MOBS, type Mob } from '@yaylak/core';
import { useParams, useSearchParams } from 'react-router';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Small } from '../../parts/Panel';
import { Empty, Loading } from '../../parts/States';
import { MOB_WORDS, scoreText } from '../../words/condition';
import { countText, fullDate } from '../../words/format';
import { jobMobs } from './jobMobs';
import { useRace } from './useRace';

/** The feed mobs of a job on paper, to take to the gate: who, what was felt, what it is marked with. */
export function MobSheet() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const race = useRace(id);
  const { job } = race;
  if (!job)
    return race.isMissing ? <Empty title="This job is not here">It may be on another device.</Empty> : <Loading />;
  const mobs = jobMobs(race.passages, race.animals);
  const only = MOBS.find((m) => m === search.get('mob'));
  const shown: readonly Mob[] = only ? [only] : MOBS;
  const heading = only ? `The ${MOB_WORDS[only]} mob` : 'Feed mobs';
  return (
    <PaperSheet>
      <PaperHead title={`${heading}: ${job.name}`} back={{ to: `/race/${id}`, words: 'Back to the job' }} />
      <p>
        {fullDate(job.on)}, scored by {listed(job.settings?.score?.scorers ?? []) || job.startedBy}.
      </p>
      {shown.map((mob) => (
        <section key={mob}>
          {only ? null : (
            <h2>
              {MOB_WORDS[mob].charAt(0).toUpperCase()}
              {MOB_WORDS[mob].slice(1)}, {countText(mobs[mob].length, 'animal', 'animals')}
            </h2>
          )}
          {mobs[mob].length === 0 ? (
            <Small>Nobody.</Small>
          ) : (
            <LineTable>
              <thead>
                <tr>
                  <th>Number</th>
                  <th>Name</th>
                  <th>Score</th>
                  <th>Before</th>
                  <th>Group</th>
                  <th>Marked</th>
                  <th>Through the gate</th>
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
                    <td>{before === undefined ? 'first' : scoreText(before)}</td>
                    <td>{animal.groupName ?? ''}</td>
                    <td>{spray ?? ''}</td>
                    <td>
                      <TickBox says={`${animal.tag.text} through the gate`} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </LineTable>
          )}
        </section>
      ))}
      <Small>
        A score put on takes 60 to 90 days in practice. Who stays thin in spite of feed has a reason: look at teeth,
        worms, feet, age and health.
      </Small>
    </PaperSheet>
  );
}
