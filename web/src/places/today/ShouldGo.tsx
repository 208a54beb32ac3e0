import type { TodayView } from '@yaylak/contract';
import { Link } from 'react-router';
import { Panel } from '../../parts/Panel';
import styled from 'styled-components';
import { PlainList } from '../../parts/PlainList';
import { touch } from '../../theme/tokens';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** How many of the grown the rules speak against, and nobody has decided on. */
export function ShouldGo({ rows }: { readonly rows: TodayView['shouldGo'] }) {
  if (rows.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Who should go')}</h2>
      <PlainList>
        {rows.map(({ species, now, seasonEnd }) => (
          <li key={species}>
            <Whole to={`/choosing/going?species=${species}`}>
              {SPECIES_WORDS[species].name}: {now > 0 ? say('{now} now', { now }) : ''}
              {now > 0 && seasonEnd > 0 ? ', ' : ''}
              {seasonEnd > 0 ? say('{seasonEnd} at season’s end', { seasonEnd }) : ''}
            </Whole>
          </li>
        ))}
      </PlainList>
    </Panel>
  );
}

const Whole = styled(Link)`
  display: flex;
  align-items: center;
  min-height: ${touch};
`;
