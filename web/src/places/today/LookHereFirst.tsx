import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Panel, Small } from '../../parts/Panel';
import { space, touch } from '../../theme/tokens';
import { DEMO_STOPS } from './demoStops';
import { say } from '@yaylak/contract';

const KEY = 'yaylak-demo-path';
const CLOSED = 'closed';

const visitedBefore = (): ReadonlySet<string> => new Set((localStorage.getItem(KEY) ?? '').split(' '));

/** In the demo: eight stops for a newcomer, ticked as they are visited, until it is closed. */
export function LookHereFirst() {
  const { data: holding } = useQuery(holdingQuery);
  const [visited, setVisited] = useState(visitedBefore);
  const keep = (next: ReadonlySet<string>): void => {
    localStorage.setItem(KEY, [...next].join(' '));
    setVisited(next);
  };
  if (!holding?.about.isDemo || visited.has(CLOSED)) return null;
  const seen = DEMO_STOPS.filter((stop) => visited.has(stop.to)).length;
  return (
    <Panel aria-label={say('Look here first')}>
      <h2>{say('Look here first')}</h2>
      <Small>
        {say(
          'This is a made-up holding. Eight stops show what Yaylak does; {seen} seen. Try whatever you like: no animal is real.',
          { seen },
        )}
      </Small>
      <Stops>
        {DEMO_STOPS.map((stop, i) => (
          <li key={stop.to}>
            <b aria-hidden>{visited.has(stop.to) ? '✓' : i + 1}</b>
            <div>
              <Link to={stop.to} onClick={() => keep(new Set([...visited, stop.to]))}>
                {stop.name}
              </Link>
              {visited.has(stop.to) ? <span className="unseen"> {say('(seen)')}</span> : null}
              <Small>{stop.see}</Small>
            </div>
          </li>
        ))}
      </Stops>
      <Button kind="quiet" onPress={() => keep(new Set([...visited, CLOSED]))}>
        {say('Close this')}
      </Button>
    </Panel>
  );
}

const Stops = styled.ol`
  list-style: none;
  margin: ${space(2)} 0 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr);
    gap: ${space(2)};
    padding: ${space(1)} 0;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: ${touch};
  }
  b {
    line-height: ${touch};
  }
`;
