import { Moon, Sun } from 'lucide-react';
import { Link, NavLink } from 'react-router';
import styled from 'styled-components';
import { useOutboxState } from '../outbox/useOutbox';
import { keysOf, PLACES } from '../shared/nav/placeList';
import { LanguageButtons } from '../parts/LanguageButton';
import { QuietButton } from '../parts/QuietButton';
import { colour, radius, space, touch } from '../theme/tokens';
import { useTheme } from '../theme/useTheme';

import { useWaiting } from './useWaiting';
import { say } from '@yaylak/contract';

/** Every place there is, in the order of the year; what waits stands beside a place. */
export function PlaceLinks({ onGo }: { readonly onGo?: () => void }) {
  const waiting = useWaiting();
  return (
    <Links aria-label={say('Places')}>
      {PLACES.map((place) => (
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
export function ThemeButton() {
  const [theme, setTheme] = useTheme();
  const isLight = theme === 'light';
  return (
    <QuietButton type="button" onClick={() => setTheme(isLight ? 'barn' : 'light')}>
      {isLight ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
      {isLight ? say('Barn theme') : say('Light theme')}
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
  return (
    <Side className="no-print">
      <PlaceLinks />
      <Foot>
        <KeptCount />
        <OwnWays>
          <ThemeButton />
          <LanguageButtons isShort />
        </OwnWays>
      </Foot>
    </Side>
  );
}

/** A window too low for all of it: the words between the places give way to a line. */
const low = '@media (max-height: 829px)';

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
  ${low} {
    border-top: ${({ $begins }) => ($begins ? `1px solid ${colour('lineStrong')}` : '0')};
  }
`;
const Under = styled.p`
  font-size: 13px;
  color: ${colour('inkSoft')};
  padding: 0 ${space(3)};
  line-height: 20px;
  ${low} {
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
  justify-content: space-between;
  button + button {
    justify-content: center;
    border-left: 1px solid ${colour('line')};
  }
`;
