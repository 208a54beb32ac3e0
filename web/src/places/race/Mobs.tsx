import { MOBS, type Mob } from '@yaylak/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { FigureTable } from '../../parts/FigureTable';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, fonts, space } from '../../theme/tokens';
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
      <Three>
        {MOBS.map((mob) => (
          <div key={mob} data-mob={mob}>
            <span>{MOB_WORDS[mob]}</span>
            <b>{mobs[mob].length}</b>
            <Small>
              {spray(mob) ? say('spray {n} on the {place}', { n: spray(mob) ?? '', place }) : say('no spray')}
            </Small>
          </div>
        ))}
      </Three>
      {mobs.thin.length > 0 ? (
        <Row>
          {mobs.thin.slice(0, 40).map((m) => (
            <Tag key={m.animal.tag.animalId} tag={m.animal.tag} isStatic />
          ))}
        </Row>
      ) : null}
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

const Three = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  margin: ${space(2)} 0;
  div {
    min-width: 120px;
    padding: ${space(2)} ${space(3)};
    border: 1px solid ${colour('line')};
    border-left-width: 5px;
    border-radius: 8px;
  }
  div[data-mob='thin'] {
    border-left-color: ${colour('madder')};
  }
  div[data-mob='fit'] {
    border-left-color: ${colour('moss')};
  }
  div[data-mob='fat'] {
    border-left-color: ${colour('plum')};
  }
  b {
    display: block;
    font: 700 26px ${fonts.heading};
  }
`;
