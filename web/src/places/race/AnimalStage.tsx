import { useEffect, useRef, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { colour, fonts, phone, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { reservedText } from '../../words/reserved';
import { AnimalAtHand } from './AnimalAtHand';
import { typed, type Draft } from './draft';
import { fieldsAt, type AtHand, type LetteredToggle } from './stations';
import { BornAsKeys, SexKeys, StationList } from './stations/StationList';
import { say } from '@yaylak/contract';

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  /** Of a young one: under whom it is added. */
  readonly damName: string | undefined;
  /** How many were born together, for all the young of this dam. */
  readonly bornAs: number | undefined;
  readonly onBornAs: (count: number) => void;
  readonly toggles: readonly LetteredToggle[];
  readonly lineKgPerDay: number | undefined;
  readonly groupName: (id: string) => string;
  readonly onChange: (draft: Draft) => void;
  /** A key beside the fields' own. @returns whether it was taken */
  readonly onKey: (key: string, field: HTMLInputElement | undefined) => boolean;
}

/** The animal at hand and the stations it passes. */
export function AnimalStage({
  draft,
  at,
  damName,
  bornAs,
  onBornAs,
  toggles,
  lineKgPerDay,
  groupName,
  onChange,
  onKey,
}: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const first = fieldsAt(at)[0];
  // Focus is outside React: once the animal is known its first field has the keyboard, or the frame itself.
  useEffect(() => {
    const field = first === undefined ? undefined : document.getElementById(`race-${first}`);
    (field ?? frame.current)?.focus();
    if (field instanceof HTMLInputElement) field.select();
  }, [first, draft.animalId]);
  return (
    <Stage
      ref={frame}
      role="group"
      aria-label={say('The animal at hand')}
      tabIndex={-1}
      onKeyDown={(e: KeyboardEvent<HTMLDivElement>) => {
        if (e.ctrlKey || e.altKey || e.metaKey) return;
        const field = e.target instanceof HTMLInputElement ? e.target : undefined;
        if (onKey(e.key, field)) e.preventDefault();
      }}
    >
      {at.animal ? (
        <AnimalAtHand animal={at.animal} on={at.job.on} unit={at.unit} settings={at.settings} />
      ) : (
        <Unknown>
          {damName === undefined
            ? say('{number}: unknown, taken in and asked later', { number: draft.number })
            : say('Young of {damName}, added under her', { damName })}
        </Unknown>
      )}
      {at.animal?.withheld.map((w) => (
        <Withheld key={w.of}>
          {say('{value} withheld to the end of {date}: {product}', {
            value: w.of === 'meat' ? say('Meat') : say('Milk'),
            date: fullDate(w.until),
            product: w.product,
          })}
        </Withheld>
      ))}
      {at.animal?.tag.reserved ? (
        <Reserved>{say('It is {reserved}', { reserved: reservedText(at.animal.tag.reserved) })}</Reserved>
      ) : null}
      {damName !== undefined && !at.animal ? (
        <>
          <SexKeys draft={draft} at={at} onChoose={(sex) => onChange(typed(draft, { sex }))} />
          <BornAsKeys species={at.species} chosen={bornAs} onChoose={onBornAs} />
        </>
      ) : null}
      <StationList
        draft={draft}
        at={at}
        toggles={toggles}
        lineKgPerDay={lineKgPerDay}
        groupName={groupName}
        onChange={onChange}
      />
    </Stage>
  );
}

/** On a phone what is measured stands under the tag; its numbers and what was known before come behind. */
const Stage = styled.div`
  outline: none;
  ${phone} {
    display: flex;
    flex-direction: column;
    > [data-station='identify'] {
      order: 1;
    }
    > [data-known] {
      order: 2;
    }
  }
`;
const Unknown = styled.p`
  padding: ${space(4)} ${space(5)};
  font: 700 22px ${fonts.heading};
`;
const Withheld = styled.p`
  margin: ${space(2)} ${space(5)} 0;
  padding: ${space(1)} ${space(3)};
  border-left: 5px solid ${colour('plum')};
  background: ${colour('plumWash')};
  color: ${colour('ink')};
  font-weight: 600;
`;
const Reserved = styled(Withheld)`
  border-left-color: ${colour('indigo')};
  background: ${colour('indigoWash')};
`;
