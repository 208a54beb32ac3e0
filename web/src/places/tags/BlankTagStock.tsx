import { useQuery } from '@tanstack/react-query';
import type { BlankTags } from '@yaylak/contract';
import { blanksIn, blanksLeft, normalised } from '@yaylak/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Panel, Small } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { colour, space, TAG_FILLS } from '../../theme/tokens';
import { PlainList } from '../../parts/PlainList';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { BagForm } from './BagForm';

const LOW = 10;

/** Blank tags in the drawer, by colour and number, less what has been fitted. */
export function BlankTagStock() {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const save = useSaveHolding();
  const [isAdding, setAdding] = useState(false);
  const [problem, setProblem] = useState<string>();
  const used = useMemo(() => new Set((identifiers ?? []).map((i) => normalised(i.text))), [identifiers]);
  const bags = holding?.blankTags ?? [];
  const keep = (blankTags: readonly BlankTags[]): Promise<string | undefined> => save({ blankTags: [...blankTags] });
  return (
    <Panel>
      <h2>{say('Blank tags')}</h2>
      {bags.length === 0 ? (
        <Small>{say('Record the bags in the drawer, and what is left of them is counted.')}</Small>
      ) : null}
      <List aria-label={say('Blank tags')}>
        {bags.map((b) => {
          const left = blanksLeft(b.first, b.last, used);
          return (
            <li key={b.id}>
              <i aria-hidden style={{ background: TAG_FILLS[b.colour] }} />
              <span>
                {say(b.colour)} {say(b.shape)}, {SPECIES_WORDS[b.species].plural}
                <Small>{say('{first} to {last}', { first: b.first, last: b.last })}</Small>
                <b data-low={left.length <= LOW || undefined}>{leftText(left, blanksIn(b.first, b.last) ?? 0)}</b>
              </span>
              <Button
                kind="quiet"
                aria-label={say('Take out the bag {first} to {last}', { first: b.first, last: b.last })}
                onPress={() => void keep(bags.filter((x) => x.id !== b.id)).then(setProblem)}
              >
                {say('Take out')}
              </Button>
            </li>
          );
        })}
      </List>
      {isAdding ? (
        <BagForm keep={(bag) => keep([...bags, bag])} onClose={() => setAdding(false)} />
      ) : (
        <Button onPress={() => setAdding(true)}>{say('Add a bag')}</Button>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

function leftText([next, ...others]: readonly string[], all: number): string {
  return next === undefined
    ? say('none of {all} left', { all })
    : say('{n} of {all} left, next {next}', { n: others.length + 1, all, next });
}

const List = styled(PlainList)`
  margin: ${space(2)} 0;
  li {
    display: grid;
    grid-template-columns: 18px minmax(0, 1fr) auto;
    gap: ${space(2)};
    align-items: center;
    padding: ${space(2)} 0;
    border-top: 1px solid ${colour('line')};
  }
  i {
    width: 16px;
    height: 16px;
    border-radius: 3px 6px 6px 3px;
    border: 1px solid #0000004d;
  }
  b {
    font-size: 14px;
  }
  b[data-low] {
    color: ${colour('weld')};
  }
`;
