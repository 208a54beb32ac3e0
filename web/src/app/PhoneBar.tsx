import { Fence, Menu, Sprout, Sun, Tag, VenusAndMars, type LucideIcon } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { NavLink } from 'react-router';
import styled from 'styled-components';
import { LanguageButtons } from '../parts/LanguageButton';
import { colour, space } from '../theme/tokens';
import { HandLink } from './HandLink';
import { KeptCount, PlaceLinks, ThemeButton } from './Rail';
import { useWaiting } from './useWaiting';
import { say } from '@yaylak/contract';

const Sheet = lazy(async () => ({ default: (await import('../parts/Sheet')).Sheet }));

/** Places one goes to with a phone in the hand; the others are in the menu. */
const AT_HAND: readonly { readonly to: string; readonly name: string; readonly Icon: LucideIcon }[] = [
  { to: '/', name: say('Today'), Icon: Sun },
  { to: '/race', name: say('Race'), Icon: Fence },
  { to: '/mating', name: say('Mating'), Icon: VenusAndMars },
  { to: '/births', name: say('Births'), Icon: Sprout },
  { to: '/animals', name: say('Animals'), Icon: Tag },
];

/** Five places and the menu of all, at the foot of a phone. */
export function PhoneBar() {
  const [isOpen, setOpen] = useState(false);
  const waiting = useWaiting();
  return (
    <div className="no-print">
      <KeptStrip>
        <KeptCount />
      </KeptStrip>
      <Bar aria-label={say('Places at hand')}>
        {AT_HAND.map(({ to, name, Icon }) => (
          <NavLink key={to} to={to} end={to === '/'}>
            <Icon size={20} aria-hidden />
            <span>
              {name}
              {to === '/' && waiting > 0 ? <b aria-label={say('{waiting} waiting', { waiting })}> {waiting}</b> : null}
            </span>
          </NavLink>
        ))}
        <button type="button" aria-haspopup="dialog" onClick={() => setOpen(true)}>
          <Menu size={20} aria-hidden />
          <span>{say('Menu')}</span>
        </button>
      </Bar>
      {isOpen ? (
        <Suspense fallback={null}>
          <Sheet isForLooking title={say('All places')} isOpen onClose={() => setOpen(false)}>
            <HandLink />
            <PlaceLinks onGo={() => setOpen(false)} />
            <ThemeButton />
            <LanguageButtons />
          </Sheet>
        </Suspense>
      ) : null}
    </div>
  );
}

const KeptStrip = styled.div`
  background: ${colour('rail')};
  padding: 0 ${space(3)};
`;
const Bar = styled.nav`
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  background: ${colour('rail')};
  border-top: 1px solid ${colour('line')};
  padding-bottom: env(safe-area-inset-bottom);
  a,
  button {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 2px;
    min-height: 56px;
    border: 0;
    border-top: 3px solid transparent;
    background: none;
    color: ${colour('ink')};
    font-size: 13px;
    text-decoration: none;
    cursor: pointer;
  }
  .active {
    background: ${colour('panel')};
    border-top-color: ${colour('madder')};
    font-weight: 700;
  }
  b {
    color: ${colour('madder')};
  }
`;
