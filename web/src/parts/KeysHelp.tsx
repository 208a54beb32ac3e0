import { useState } from 'react';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { Sheet } from './Sheet';
import { useWindowKey } from './useWindowKey';

const KEYS: readonly (readonly [key: string, what: string])[] = [
  ['0-9 or /', 'Find an animal by any part of its number or name'],
  ['Alt+1 to Alt+0', 'Go to one of the first ten places, in the order of the rail'],
  ['Ctrl+Z', 'Take back the last thing done'],
  ['N', 'New, in this place (Animals: add; Births: record one; At the race: to the button that starts)'],
  ['Shift+Enter in the finder', 'Open the record of a female’s litters, to be printed as her card'],
  ['Arrow keys', 'Along the year band; up and down a list'],
  ['Enter', 'Open what is chosen'],
  ['Space', 'Tick a row in Animals'],
  ['K, S, X', 'Choosing: keep, second string, sell'],
  ['[ and ]', 'Choosing: move the line up and down'],
  ['Letters', 'Mating, looking for heat: tick a sign'],
  ['0 to 4, ?', 'At the race, scanning: empty, how many young, doubtful; after a blank their age in days'],
  ['?', 'This list'],
];

/** `?` shows the keys. */
export function KeysHelp() {
  const [isOpen, setOpen] = useState(false);
  useWindowKey((event) => {
    if (event.key === '?') setOpen(true);
  });
  return (
    <Sheet isForLooking title="Keys" isOpen={isOpen} onClose={() => setOpen(false)}>
      <List>
        {KEYS.map(([key, what]) => (
          <div key={key}>
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </List>
    </Sheet>
  );
}

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
