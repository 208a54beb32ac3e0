import { MOBS, type Mob } from '@yaylak/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { FigureTable } from '../../parts/FigureTable';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { TagRow } from '../../parts/TagRow';
import { MobBoxes } from '../../shared/condition/MobBoxes';
import { MOB_WORDS } from '../../words/condition';
import { jobMobs } from './jobMobs';
import type { Race } from './useRace';
import { say } from '@yaylak/contract';

/** Head counts of the feed mobs so far, a line each. */
export function MobCounts({ race: { job, passages, animals } }: { readonly race: Race }) {
  const mobs = useMemo(() => jobMobs(passages, animals), [passages, animals]);
  if (!job?.stations.includes('score')) return null;
  return (
    <FigureTable $isSum aria-label={say('Feed mobs so far')}>
      <tbody>
        {MOBS.map((mob) => (
          <tr key={mob}>
            <th scope="row">{MOB_WORDS[mob]}</th>
            <td>{mobs[mob].length}</td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}

/** The feed mobs of a job: how many of each, the spray that shows them, and the list to print. */
export function Mobs({ race }: { readonly race: Race }) {
  const { job, passages, animals } = race;
  if (!job?.stations.includes('score')) return null;
  const mobs = jobMobs(passages, animals);
  const place = job.settings?.score?.place ?? '';
  const spray = (mob: Mob) => job.settings?.score?.sprays.find((s) => s.mob === mob)?.colour;
  return (
    <section aria-label={say('Feed mobs')}>
      <h3>{say('Feed mobs')}</h3>
      <MobBoxes
        words={(mob) => MOB_WORDS[mob]}
        count={(mob) => mobs[mob].length}
        note={(mob) => (
          <Small>
            {spray(mob) ? say('spray {n} on the {place}', { n: spray(mob) ?? '', place }) : say('no spray')}
          </Small>
        )}
      />
      {mobs.thin.length > 0 ? <TagRow tags={mobs.thin.map((m) => m.animal.tag)} first={40} isStatic /> : null}
      <Row style={{ marginTop: 8 }}>
        <LinkButton as={Link} to={`/race/${job.id}/mobs`}>
          {say('Print the mobs')}
        </LinkButton>
        <LinkButton as={Link} to={`/race/${job.id}/mobs?mob=thin`}>
          {say('Print the thin list')}
        </LinkButton>
      </Row>
    </section>
  );
}
