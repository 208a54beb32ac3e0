import { useQuery } from '@tanstack/react-query';
import { mayRole, say } from '@yaylak/contract';
import { Moon, Sun } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { Link, NavLink } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../api/queries';
import { useOutboxState } from '../outbox/useOutbox';
import { keysOf, PLACES } from '../shared/nav/placeList';
import { LanguageButtons } from '../parts/LanguageButton';
import { QuietButton } from '../parts/QuietButton';
import { colour, lowWindow, radius, space, touch } from '../theme/tokens';
import { useTheme } from '../theme/useTheme';

import { useWaiting } from './useWaiting';

/** Nobody needs it where nobody logs in. */
const HandLink = lazy(async () => ({ default: (await import('./HandLink')).HandLink }));

/** Every place there is, in the order of the year; what waits stands beside a place. */
export function PlaceLinks({ onGo }: { readonly onGo?: () => void }) {
  const waiting = useWaiting();
  const role = useQuery(holdingQuery).data?.writer?.role;
  return (
    <Links aria-label={say('Places')}>
      {PLACES.filter(({ to }) => to !== '/selling' || mayRole(role, 'trade')).map((place) => (
        <Step key={place.to} $begins={place.under !== undefined}>
          {place.under ? <Under>{place.under}</Under> : null}
          <RailLink to={place.to} end={place.to === '/'} aria-keyshortcuts={keysOf(place)} onClick={onGo}>
            {place.name}
            {place.to === '/' && waiting > 0 ? (
              <Count aria-label={say('{waiting} waiting', { waiting })}>{waiting}</Count>
            ) : null}
          </RailLink>
        </Step>
      ))}
    </Links>
  );
}

/** The theme of this device, under its other one’s name. */
export function ThemeButton({ isShort = false }: { readonly isShort?: boolean }) {
  const [theme, setTheme] = useTheme();
  const isLight = theme === 'light';
  const other = isLight ? say('Barn theme') : say('Light theme');
  return (
    <QuietButton
      type="button"
      {...(isShort ? { 'aria-label': other } : {})}
      onClick={() => setTheme(isLight ? 'barn' : 'light')}
    >
      {isLight ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
      {isShort ? null : other}
    </QuietButton>
  );
}

/** How many entries wait here for the server, and how many it did not take. */
export function KeptCount() {
  const { waiting, refused } = useOutboxState();
  if (waiting === 0 && refused.length === 0) return null;
  return (
    <Kept>
      {waiting > 0 ? (
        <p role="status">
          <Link to="/kept">
            {say('{waiting} {waiting, plural, one {entry} other {entries}} kept here', { waiting })}
          </Link>
          <span className="unseen">{say(', not yet on the server')}</span>
        </p>
      ) : null}
      {refused.length > 0 ? (
        <p role="status">
          <Link to="/kept">{say('{n} not taken', { n: refused.length })}</Link>
          <span className="unseen"> {say('by the book')}</span>
        </p>
      ) : null}
    </Kept>
  );
}

/** The rail on the left: all places, and at its foot, always in sight, what is kept here and the theme. */
export function Rail() {
  const hasHands = useQuery(holdingQuery).data?.writer != null;
  return (
    <Side className="no-print">
      <PlaceLinks />
      <Foot>
        <KeptCount />
        <OwnWays>
          {hasHands ? (
            <Suspense fallback={null}>
              <HandLink />
            </Suspense>
          ) : null}
          <ThemeButton isShort={hasHands} />
          <LanguageButtons isShort />
        </OwnWays>
      </Foot>
    </Side>
  );
}

const Side = styled.div`
  background: ${colour('rail')};
  border-right: 1px solid ${colour('line')};
  display: flex;
  flex-direction: column;
  min-height: 0;
`;
const Links = styled.nav`
  flex: 1 1 auto;
  overflow: auto;
  padding: 0 ${space(2)};
`;
const Step = styled.div<{ readonly $begins: boolean }>`
  ${lowWindow} {
    border-top: ${({ $begins }) => ($begins ? `1px solid ${colour('lineStrong')}` : '0')};
  }
`;
const Under = styled.p`
  font-size: 13px;
  color: ${colour('inkSoft')};
  padding: 0 ${space(3)};
  line-height: 20px;
  ${lowWindow} {
    display: none;
  }
`;
const RailLink = styled(NavLink)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  padding: 0 ${space(3)};
  border-radius: ${radius};
  border-left: 4px solid transparent;
  color: ${colour('ink')};
  text-decoration: none;
  white-space: nowrap;
  &.active {
    background: ${colour('panel')};
    border-left-color: ${colour('madder')};
    font-weight: 700;
  }
`;
const Count = styled.span`
  color: ${colour('madder')};
  font-weight: 700;
`;
const Foot = styled.div`
  flex: none;
  padding: 0 ${space(3)};
  font-size: 13px;
  border-top: 1px solid ${colour('line')};
`;
const Kept = styled.div`
  font-size: 13px;
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space(3)};
  padding-block: ${space(1)};
`;
/** What whoever sits here likes: beside one another, as there is no room below. */
const OwnWays = styled.div`
  display: flex;
  flex-wrap: wrap;
  ${lowWindow} {
    flex-wrap: nowrap;
  }
  justify-content: space-between;
  button + button {
    justify-content: center;
    border-left: 1px solid ${colour('line')};
  }
`;
