import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { Sheet } from './Sheet';
import { useWindowKey } from './useWindowKey';

type Keys = readonly (readonly [key: string, what: string])[];

/** Keys that do the same in every place. */
const EVERYWHERE: Keys = [
  ['0-9 or /', 'Find an animal by any part of its number or name, by colour or kind, or by a tube or note'],
  ['Alt+1 to Alt+0', 'Go to one of the first ten places, in the order of the rail'],
  ['Ctrl+Z', 'Take back the last thing done'],
  ['Shift+Enter in the finder', 'Open the record of a female’s litters, to be printed as her card'],
  ['Arrow keys', 'Along the year band; up and down a list'],
  ['Enter', 'Open what is chosen'],
  ['? or F1', 'The keys of this place; F1 also while a field has the keyboard'],
];
/** Keys of a place, by the beginning of its address; the longest that fits is the place. */
const BY_PLACE: readonly (readonly [path: string, name: string, keys: Keys])[] = [
  [
    '/animals',
    'Animals',
    [
      ['N', 'Add animals'],
      ['Space', 'Tick a row'],
    ],
  ],
  ['/births', 'Births', [['N', 'Record a birth']]],
  [
    '/choosing',
    'Choosing',
    [
      ['K, S, X', 'Keep, second string, sell'],
      ['[ and ]', 'Move the line up and down'],
    ],
  ],
  ['/mating', 'Mating', [['Letters', 'When looking for heat: tick a sign']]],
  ['/race', 'At the race, before a job', [['N', 'To the button that starts the job']]],
  [
    '/race/',
    'At the race',
    [
      ['Enter', 'Goes on: from the number to the animal, and to the next one'],
      ['↑ ↓', 'Among the numbers that fit'],
      ['← ↓ →', 'The gate'],
      ['Letters', 'What stands beside them on the keys: a mark, a standard, a remedy left out'],
      ['0 to 4, ?', 'Scanning: empty, how many young, doubtful; after a blank their age in days'],
      ['F, M', 'Young under their dam: female, male'],
      ['Backspace', 'With nothing typed: takes the last animal back'],
      ['Ctrl+Z', 'With no number typed: takes back what was done last, and what was done before it'],
      ['Esc', 'Leaves; everything is kept'],
      ['F1', 'These keys'],
    ],
  ],
];

/** `?` shows the keys of the place one is in; F1 as well while something is typed. */
export function KeysHelp() {
  const [isOpen, setOpen] = useState(false);
  const { pathname } = useLocation();
  useWindowKey((event) => {
    if (event.key === '?') setOpen(true);
  });
  // The keyboard is outside React: F1 is nobody’s letter, and is heard in a field too.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'F1') return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const [path, name, own] = BY_PLACE.findLast(([begin]) => pathname.startsWith(begin)) ?? ['', '', []];
  return (
    <Sheet isForLooking title={name === '' ? 'Keys' : `Keys: ${name}`} isOpen={isOpen} onClose={() => setOpen(false)}>
      <KeyList keys={own} />
      {path === '/race/' ? null : (
        <>
          {own.length > 0 ? <h3>Everywhere</h3> : null}
          <KeyList keys={EVERYWHERE} />
        </>
      )}
    </Sheet>
  );
}

const KeyList = ({ keys }: { readonly keys: Keys }) => (
  <List>
    {keys.map(([key, what]) => (
      <div key={key}>
        <dt>
          <Key>{key}</Key>
        </dt>
        <dd>{what}</dd>
      </div>
    ))}
  </List>
);

export const Key = styled.kbd`
  border: 1px solid ${colour('lineStrong')};
  border-bottom-width: 2px;
  border-radius: 4px;
  padding: 1px 6px;
  font-size: 13px;
  background: ${colour('panel')};
  color: ${colour('ink')};
`;
const List = styled.dl`
  margin: 0;
  div {
    display: flex;
    gap: ${space(4)};
    padding: ${space(1)} 0;
  }
  dt {
    width: 130px;
    flex: none;
  }
  dd {
    margin: 0;
  }
`;
