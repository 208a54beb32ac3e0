import { useQuery } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, todayQuery } from '../api/queries';
import { useOutboxState } from '../outbox/useOutbox';
import { useOpenJobs } from '../shared/jobs/useJobs';
import { Loading } from '../parts/States';
import { TagFinder } from '../parts/TagFinder';
import { YearBand } from '../parts/YearBand';
import { KeysHelp } from '../parts/KeysHelp';
import { useTheme } from '../theme/useTheme';
import { colour, fonts, phone, radius, space, touch } from '../theme/tokens';
import { usePhone } from '../theme/usePhone';
import { countText } from '../words/format';
import { AwayNote } from './AwayNote';
import { ClockNote, DayApartNote } from './DayApartNote';
import { StorageNote } from '../parts/StorageNote';
import { useKeepForOffline } from './useKeepForOffline';

interface Place {
  readonly to: string;
  readonly name: string;
  readonly under?: string;
}

/** The places there are so far, in the order of the year. */
const PLACES: readonly Place[] = [
  { to: '/', name: 'Today' },
  { to: '/race', name: 'At the race' },
  { to: '/year', name: 'Year plan', under: 'The year' },
  { to: '/condition', name: 'Condition' },
  { to: '/mating', name: 'Mating' },
  { to: '/carrying', name: 'Carrying' },
  { to: '/births', name: 'Births' },
  { to: '/rearing', name: 'Rearing' },
  { to: '/choosing', name: 'Choosing', under: 'Judging' },
  { to: '/selling', name: 'Selling' },
  { to: '/animals', name: 'Animals', under: 'Always' },
  { to: '/remedies', name: 'Remedies' },
  { to: '/tags', name: 'Tags' },
  { to: '/holding', name: 'Holding' },
];

/** Band, rail and place. */
export function Shell() {
  const { data: holding, isPending } = useQuery(holdingQuery);
  const { data: today } = useQuery(todayQuery);
  const outbox = useOutboxState();
  const openJobs = useOpenJobs();
  const [theme, setTheme] = useTheme();
  const isPhone = usePhone();
  const waiting = today
    ? today.due.filter((d) => d.isOpen).length +
      today.heats.length +
      openJobs.length +
      today.lookAt.length +
      today.more.lookAt +
      outbox.refused.length
    : 0;
  usePlaceKeys();
  useKeepForOffline();
  const foot = (
    <Foot className="no-print">
      {outbox.waiting > 0 ? (
        <p role="status">
          <Link to="/kept">{countText(outbox.waiting, 'entry', 'entries')} kept here</Link>, not yet on the server
        </p>
      ) : null}
      {outbox.refused.length > 0 ? (
        <p role="status">
          <Link to="/kept">{outbox.refused.length} not taken</Link> by the book
        </p>
      ) : null}
      <button type="button" onClick={() => setTheme(theme === 'light' ? 'barn' : 'light')}>
        {theme === 'light' ? 'Barn theme (dark)' : 'Light theme'}
      </button>
    </Foot>
  );
  return (
    <Frame>
      <a className="skip" href="#place">
        To the page
      </a>
      <Band className="no-print">
        <Brand>
          <b>Yaylak</b>
          <span>{holding?.name ?? ''} holding</span>
        </Brand>
        <YearBand />
      </Band>
      <Rail aria-label="Places" className="no-print">
        {PLACES.map((place) => (
          <div key={place.to}>
            {place.under ? <Under>{place.under}</Under> : null}
            <RailLink to={place.to} end={place.to === '/'}>
              {place.name}
              {place.to === '/' && waiting > 0 ? <Count aria-label={`${waiting} waiting`}>{waiting}</Count> : null}
            </RailLink>
          </div>
        ))}
        {isPhone ? null : foot}
      </Rail>
      <Main id="place" tabIndex={-1}>
        <DayApartNote />
        <ClockNote />
        <AwayNote />
        <StorageNote />
        <Suspense fallback={<Loading />}>
          {/* The day and the settings first: a sheet opened before them would be one without a date. */}
          {isPending ? <Loading /> : <Outlet />}
        </Suspense>
      </Main>
      {isPhone ? foot : null}
      <TagFinder />
      <KeysHelp />
    </Frame>
  );
}

/** Alt with a digit goes to a place in the order of the rail. */
function usePlaceKeys(): void {
  const navigate = useNavigate();
  // The keyboard is outside React.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      // As on the keyboard, 0 stands for the tenth.
      const place = event.altKey && /^\d$/.test(event.key) ? PLACES[(Number(event.key) + 9) % 10] : undefined;
      if (!place) return;
      event.preventDefault();
      void navigate(place.to);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);
}

const Frame = styled.div`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 164px minmax(0, 1fr);
  height: 100%;
  .skip {
    position: absolute;
    left: -999px;
  }
  .skip:focus {
    left: 8px;
    top: 8px;
    z-index: 40;
    background: ${colour('panel')};
    padding: 8px;
  }
  ${phone} {
    grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`;
const Band = styled.header`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 144px minmax(0, 1fr);
  background: ${colour('band')};
  padding: ${space(1)} ${space(4)} ${space(3)} ${space(5)};
  ${phone} {
    grid-template-columns: 1fr;
    padding: ${space(2)} ${space(3)};
  }
`;
const Brand = styled.div`
  color: ${colour('bandInk')};
  padding-top: ${space(3)};
  b {
    font: 700 24px/1.1 ${fonts.heading};
    display: block;
  }
  span {
    font-size: 13px;
    color: ${colour('bandSoft')};
  }
  ${phone} {
    padding: 0;
  }
`;
const Rail = styled.nav`
  background: ${colour('rail')};
  border-right: 1px solid ${colour('line')};
  padding: ${space(1)} ${space(2)};
  display: flex;
  flex-direction: column;
  overflow: auto;
  ${phone} {
    flex-direction: row;
    padding: ${space(1)};
  }
`;
const Under = styled.p`
  font-size: 13px;
  color: ${colour('inkSoft')};
  padding: ${space(1)} ${space(3)} 0;
  ${phone} {
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
  margin-top: auto;
  padding: 0 ${space(3)};
  font-size: 13px;
  button {
    border: 0;
    background: none;
    padding: ${space(2)} 0;
    min-height: 44px;
    color: ${colour('indigo')};
    text-decoration: underline;
    cursor: pointer;
  }
  ${phone} {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 ${space(4)};
    padding: 0 ${space(3)};
    background: ${colour('rail')};
    border-top: 1px solid ${colour('line')};
  }
`;
const Main = styled.main`
  overflow: auto;
  outline: none;
  @media print {
    overflow: visible;
  }
`;
