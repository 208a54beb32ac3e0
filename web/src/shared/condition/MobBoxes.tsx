import { MOBS, type Mob } from '@yaylak/core';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour, fonts, radius, space } from '../../theme/tokens';

interface Props {
  /** What is said of a mob above and below its number. */
  readonly words: (mob: Mob) => string;
  readonly count: (mob: Mob) => number;
  readonly note?: (mob: Mob) => ReactNode;
  /** Those in no mob. */
  readonly others?: { readonly words: string; readonly count: number } | undefined;
}

/** The feed mobs, a box each in the colour of the mob, with how many there are. */
export function MobBoxes({ words, count, note, others }: Props) {
  return (
    <Boxes>
      {MOBS.map((mob) => (
        <div key={mob} data-mob={mob}>
          <span>{words(mob)}</span>
          <b>{count(mob)}</b>
          {note?.(mob)}
        </div>
      ))}
      {others ? (
        <div>
          <span>{others.words}</span>
          <b>{others.count}</b>
        </div>
      ) : null}
    </Boxes>
  );
}

const Boxes = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  margin: ${space(2)} 0;
  div {
    flex: 1 1 150px;
    padding: ${space(2)} ${space(3)};
    border: 1px solid ${colour('line')};
    border-left: 5px solid ${colour('lineStrong')};
    border-radius: ${radius};
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
