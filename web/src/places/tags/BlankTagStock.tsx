import { useQuery } from '@tanstack/react-query';
import type { BlankTags } from '@yaylak/contract';
import { blanksIn, blanksLeft, normalised, SPECIES, TAG_COLOURS, TAG_SHAPES } from '@yaylak/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { colour, space, TAG_FILLS } from '../../theme/tokens';
import { newId } from '../../words/ids';
import { PlainList } from '../../parts/PlainList';
import { say, SPECIES_WORDS } from '@yaylak/contract';

const LOW = 10;
type BagDraft = Omit<BlankTags, 'id'>;
const NEW_BAG: BagDraft = { species: 'sheep', colour: 'yellow', shape: 'flag', first: '', last: '' };

/** Blank tags in the drawer, by colour and number, less what has been fitted. */
export function BlankTagStock() {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const save = useSaveHolding();
  const [bag, setBag] = useState<BagDraft>();
  const [problem, setProblem] = useState<string>();
  const used = useMemo(() => new Set((identifiers ?? []).map((i) => normalised(i.text))), [identifiers]);
  const bags = holding?.blankTags ?? [];
  const keep = async (blankTags: readonly BlankTags[]): Promise<void> => {
    const refused = await save({ blankTags: [...blankTags] });
    setProblem(refused);
    if (refused === undefined) setBag(undefined);
  };
  const set = (change: Partial<BagDraft>): void => {
    setProblem(undefined);
    setBag({ ...(bag ?? NEW_BAG), ...change });
  };
  const count = bag ? blanksIn(bag.first, bag.last) : undefined;
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
                <b data-low={left.length <= LOW || undefined}>
                  {say('{n} of', { n: left.length })} {blanksIn(b.first, b.last)}{' '}
                  {say('left{value}', { value: left[0] ? say(', next {value}', { value: left[0] }) : '' })}
                </b>
              </span>
              <Button
                kind="quiet"
                aria-label={say('Take out the bag {first} to {last}', { first: b.first, last: b.last })}
                onPress={() => void keep(bags.filter((x) => x.id !== b.id))}
              >
                {say('Take out')}
              </Button>
            </li>
          );
        })}
      </List>
      {bag ? (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void keep([...bags, { id: newId(), ...bag, first: bag.first.trim(), last: bag.last.trim() }]);
          }}
        >
          <Stack $gap={2}>
            <Row>
              <Choice
                label={say('For')}
                value={bag.species}
                options={SPECIES.map((s) => [s, SPECIES_WORDS[s].plural])}
                onChange={(species) => set({ species })}
              />
              <Choice
                label={say('Tag colour')}
                value={bag.colour}
                options={TAG_COLOURS.map((c) => [c, say(c)])}
                onChange={(tagColour) => set({ colour: tagColour })}
              />
              <Choice
                label={say('Shape')}
                value={bag.shape}
                options={TAG_SHAPES.map((s) => [s, s])}
                onChange={(shape) => set({ shape })}
              />
            </Row>
            <Field label={say('First number')} value={bag.first} onChange={(first) => set({ first })} />
            <Field label={say('Last number')} value={bag.last} onChange={(last) => set({ last })} />
            <Small>
              {count === undefined
                ? say('The same text before a running number, such as 26-0001 to 26-0080.')
                : say('{count} tags', { count })}
            </Small>
            <Row>
              <Button kind="main" type="submit" isDisabled={count === undefined}>
                {say('Put it in')}
              </Button>
              <Button onPress={() => setBag(undefined)}>{say('Not now')}</Button>
            </Row>
          </Stack>
        </form>
      ) : (
        <Button onPress={() => setBag(NEW_BAG)}>{say('Add a bag')}</Button>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
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
