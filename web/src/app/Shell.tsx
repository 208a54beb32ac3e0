import { useQuery } from '@tanstack/react-query';
import { CircleQuestionMark, Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Navigate, Outlet, useNavigate } from 'react-router';
import styled from 'styled-components';
import { OutsideError } from '../api/client';
import { holdingQuery } from '../api/queries';
import { HelpDoor } from '../parts/helpDoor';
import { Loading } from '../parts/States';
import { StorageNote } from '../parts/StorageNote';
import { YearBand } from '../parts/YearBand';
import { HelpBeside, HelpSheet } from '../shared/help/HelpPanel';
import { useHelp } from '../shared/help/useHelp';
import { holdingText } from '../shared/nav/holdingName';
import { placeOfKeys } from '../shared/nav/placeList';
import { colour, fonts, phone, radius, space, touch } from '../theme/tokens';
import { useNarrow, usePhone } from '../theme/usePhone';
import { AwayNote } from './AwayNote';
import { ClockNote, DayApartNote } from './DayApartNote';
import { TagFinder } from './finder/TagFinder';
import { Rail } from './Rail';
import { useArrival } from './useArrival';
import { useKeepForOffline } from './useKeepForOffline';
import { say } from '@yaylak/contract';

/** Nobody needs it where nobody logs in. */
const RoleNote = lazy(async () => ({ default: (await import('./RoleNote')).RoleNote }));
/** A laptop never needs it. */
const PhoneBar = lazy(async () => ({ default: (await import('./PhoneBar')).PhoneBar }));

/** Band, rail and place. */
export function Shell() {
  const { data: holding, isPending, error } = useQuery(holdingQuery);
  const isPhone = usePhone();
  const [finding, setFinding] = useState<string>();
  const place = useRef<HTMLElement>(null);
  const help = useHelp();
  const isNarrow = useNarrow();
  const isBeside = help.isOpen && !isNarrow;
  usePlaceKeys();
  useArrival(place);
  useKeepForOffline();
  // Nothing was read here yet: there is nothing to see before somebody logs in.
  if (!holding && error instanceof OutsideError && error.isLogIn) return <Navigate to="/log-in" replace />;
  return (
    <HelpDoor value={help.open}>
      <Frame $isBeside={isBeside}>
        <a className="skip" href="#place">
          {say('To the page')}
        </a>
        <Band className="no-print">
          <Brand>
            <div>
              <b>{say('Yaylak')}</b>
              <span>{holding ? holdingText(holding.name) : ''}</span>
            </div>
            <AtHand>
              <button type="button" aria-haspopup="dialog" onClick={() => setFinding('')}>
                <Search size={16} aria-hidden /> {say('Find')}
              </button>
              <button
                type="button"
                aria-expanded={help.isOpen}
                onClick={() => (help.isOpen ? help.close() : help.open())}
              >
                <CircleQuestionMark size={16} aria-hidden /> {say('Help')}
              </button>
            </AtHand>
          </Brand>
          <YearBand />
        </Band>
        {isPhone ? null : <Rail />}
        <Main id="place" tabIndex={-1} ref={place}>
          <DayApartNote />
          <ClockNote />
          <AwayNote />
          {holding?.writer ? (
            <Suspense fallback={null}>
              <RoleNote />
            </Suspense>
          ) : null}
          <StorageNote />
          <Suspense fallback={<Loading />}>
            {/* The day and the settings first: a sheet opened before them would be one without a date. */}
            {isPending ? <Loading /> : <Outlet />}
          </Suspense>
        </Main>
        {isBeside ? <HelpBeside help={help} /> : null}
        {isPhone ? (
          <Suspense fallback={null}>
            <PhoneBar />
          </Suspense>
        ) : null}
        <TagFinder typed={finding} onType={setFinding} />
        {isNarrow ? <HelpSheet help={help} /> : null}
      </Frame>
    </HelpDoor>
  );
}

/** Alt with a digit goes to a place in the order of the rail; Shift as well to those after the tenth. */
function usePlaceKeys(): void {
  const navigate = useNavigate();
  // The keyboard is outside React.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const place = placeOfKeys(event);
      if (!place) return;
      event.preventDefault();
      void navigate(place.to);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);
}

const Frame = styled.div<{ readonly $isBeside: boolean }>`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 164px minmax(0, 1fr) ${({ $isBeside }) => ($isBeside ? '340px' : '')};
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
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
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
  padding: ${space(1)} ${space(4)} ${space(1)} ${space(5)};
  ${phone} {
    grid-template-columns: 1fr;
    padding: ${space(2)} ${space(3)};
  }
`;
const Brand = styled.div`
  color: ${colour('bandInk')};
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  padding-top: ${space(1)};
  b {
    font: 700 22px/1.1 ${fonts.heading};
    display: block;
  }
  span {
    font-size: 13px;
    color: ${colour('bandSoft')};
  }
  ${phone} {
    flex-direction: row;
    align-items: center;
    padding: 0;
  }
`;
const AtHand = styled.div`
  display: flex;
  gap: ${space(1)};
  button {
    display: flex;
    align-items: center;
    gap: 5px;
    min-height: ${touch};
    padding: 0 6px;
    border: 1px solid ${colour('bandLine')};
    border-radius: ${radius};
    background: none;
    color: ${colour('bandInk')};
    font-size: 14px;
    cursor: pointer;
  }
  button:focus-visible {
    outline-color: ${colour('bandInk')};
  }
`;
const Main = styled.main`
  container: place / inline-size;
  overflow: auto;
  outline: none;
  @media print {
    overflow: visible;
  }
`;
