import { dayOf, FAT_CLASSES, SHAPE_CLASSES } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../../parts/Button';
import { PlainList } from '../../../parts/PlainList';
import { Sheet } from '../../../parts/Sheet';
import { FinishGuide } from '../../../shared/finish/FinishGuide';
import { colour, space } from '../../../theme/tokens';
import { FAT_PLACE_WORDS, boxTodayText } from '../../../words/selling';

import type { Draft, FieldName } from '../draft';
import { FINISH_FIELDS, outletsToday } from './finish';
import type { AtHand } from './atHand';
import { Count, SmallField, StationRow } from './parts';
import { say } from '@yaylak/contract';

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly onType: (name: FieldName) => (text: string) => void;
}

const SIGNS = ['−', '+'] as const;

/** Shape by eye and fat by hand, typed or pressed; between them, in sight at once, what each outlet says to it. */
export function FinishFields({ draft, at, onType }: Props) {
  const [inHand, setInHand] = useState<(typeof FINISH_FIELDS)[number]>('shape');
  const text = (draft.fields[inHand] ?? '').trim();
  const classes = inHand === 'shape' ? SHAPE_CLASSES : FAT_CLASSES;
  const outlets = outletsToday(draft, at);
  const feedFrom = at.animal?.feedFrom;
  const [isLearning, setLearning] = useState(false);
  return (
    <>
      <StationRow name={say('Finish')}>
        {FINISH_FIELDS.map((field) => (
          <Above key={field} onFocus={() => setInHand(field)} data-in-hand={field === inHand || undefined}>
            <SmallField
              id={`race-${field}`}
              label={field === 'shape' ? say('Shape') : say('Fat, {fat}', { fat: FAT_PLACE_WORDS[field] })}
              width={84}
              value={draft.fields[field] ?? ''}
              onType={onType(field)}
            />
          </Above>
        ))}
      </StationRow>
      {outlets.length > 0 ? (
        <StationRow name={say('Ready')}>
          <Says aria-live="polite">
            {outlets.map(({ name, box }) => (
              <li key={name} data-ready={box?.isReady || undefined}>
                <b>{name}</b>: {boxTodayText(box)}
              </li>
            ))}
          </Says>
          {feedFrom === undefined ? null : (
            <Small>
              {say('{n} {n, plural, one {day} other {days}} on feed.', {
                n: Math.max(0, dayOf(at.job.on) - dayOf(feedFrom)),
              })}
            </Small>
          )}
        </StationRow>
      ) : null}
      <StationRow name={say('Keys, {value}', { value: inHand === 'shape' ? say('shape') : FAT_PLACE_WORDS[inHand] })}>
        {classes.map((c) => (
          <Count
            key={c}
            type="button"
            tabIndex={-1}
            aria-pressed={text.charAt(0).toUpperCase() === c}
            onClick={() => onType(inHand)(c)}
          >
            {c}
          </Count>
        ))}
        {SIGNS.map((sign) => (
          <Count
            key={sign}
            type="button"
            tabIndex={-1}
            aria-label={sign === '+' ? say('a third more') : say('a third less')}
            aria-pressed={text.endsWith(sign)}
            disabled={text === ''}
            onClick={() => onType(inHand)(text.endsWith(sign) ? text.charAt(0) : `${text.charAt(0)}${sign}`)}
          >
            {sign}
          </Count>
        ))}
        <Hint>
          {inHand === 'shape'
            ? say('From behind: the round of the leg, the fill of the loin.')
            : say('Flat of the hand, no more than it bears. Stand beside, not behind; mind the gate.')}
          <Button kind="quiet" onPress={() => setLearning(true)}>
            {say('What each feels like')}
          </Button>
        </Hint>
      </StationRow>
      <Sheet
        title={say('What each class feels like')}
        isOpen={isLearning}
        isForLooking
        width={900}
        onClose={() => setLearning(false)}
      >
        {isLearning ? <FinishGuide /> : null}
      </Sheet>
    </>
  );
}

/** A label over its field: five of them stand in a row. */
const Above = styled.span`
  label {
    flex-direction: column;
    align-items: flex-start;
    gap: 2px;
    font-size: 13px;
  }
`;
const Small = styled.span`
  color: ${colour('inkSoft')};
  font-size: 13px;
`;
const Hint = styled(Small)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
`;
const Says = styled(PlainList)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(4)};
  li[data-ready] {
    color: ${colour('moss')};
  }
`;
