import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { dayOf, readingBefore, SPECIES_TABLE, type SpeciesSettings } from '@yaylak/core';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Panel } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { fieldLook } from '../../parts/Field';
import { colour, fonts, phone, radius, space, touchRace } from '../../theme/tokens';
import { differenceText, gainText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';
import { AnimalAtHand } from './AnimalAtHand';
import { answerTag, answerWeight, matchesFor, raceNumbers, rosterReadings } from './answers';
import { gainTo, judged, type JobFigures } from './jobFigures';
import { Keypad } from './Keypad';
import { buzz, tick } from './sounds';
import { takeIn, type Race } from './useRace';

interface Props {
  readonly race: Race;
  readonly figures: JobFigures;
  readonly settingsOf: (animal: RosterAnimal) => SpeciesSettings;
  readonly onLeave: () => void;
}

/** What is being typed. `asked` is what a second Enter would confirm. */
interface Draft {
  readonly number: string;
  readonly marked: number | undefined;
  readonly animalId: string | undefined;
  readonly weight: string;
  readonly gate: string | undefined;
  readonly message: string | undefined;
  readonly asked: 'unknown' | 'doubt' | undefined;
}
const FRESH: Draft = {
  number: '',
  marked: undefined,
  animalId: undefined,
  weight: '',
  gate: undefined,
  message: undefined,
  asked: undefined,
};
const ARROWS: Readonly<Record<string, 'left' | 'down' | 'right'>> = {
  ArrowLeft: 'left',
  ArrowDown: 'down',
  ArrowRight: 'right',
};
const GATE_SIGNS = { left: '←', down: '↓', right: '→' } as const;

const VERDICT_WORDS = { above: 'growing', below: 'not growing as it should', 'too-soon': 'too soon to tell' } as const;

/** The animal at hand: number, Enter, weight, Enter, next. */
export function Capture({ race, figures, settingsOf, onLeave }: Props) {
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const [draft, setDraft] = useState<Draft>(FRESH);
  const numberInput = useRef<HTMLInputElement>(null);
  const weightInput = useRef<HTMLInputElement>(null);
  const { job, animals, listed, passages } = race;
  const listedIds = useMemo(() => new Set(job?.animalIds ?? []), [job?.animalIds]);
  const numbers = useMemo(() => raceNumbers([...animals.values()], listedIds), [animals, listedIds]);
  const matches = draft.animalId === undefined ? matchesFor(numbers, draft.number) : [];
  const animal = draft.animalId === undefined ? undefined : animals.get(draft.animalId);
  const settings = animal ? settingsOf(animal) : (holding?.species ?? SPECIES_TABLE).sheep;
  const isSorting = job?.stations.includes('sort') ?? false;
  const on = job?.on ?? '';

  // Focus is outside React: the field that is next is the one that has the keyboard.
  useEffect(() => {
    (draft.animalId === undefined ? numberInput : weightInput).current?.focus();
  }, [draft.animalId]);
  // A number typed while no field is active is a tag.
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent): void => {
      if (event.key === 'Escape') onLeave();
      else if (/^[\d]$/.test(event.key) && !/^(INPUT|TEXTAREA)$/.test((event.target as HTMLElement).tagName))
        numberInput.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onLeave]);

  const put = (change: Partial<Draft>): void =>
    setDraft((d) => ({ ...d, message: undefined, asked: undefined, ...change }));
  const refuse = (message: string, asked?: Draft['asked']): void => {
    buzz();
    setDraft((d) => ({ ...d, message, asked }));
  };
  const write = async (passage: Parameters<Race['pass']>[0], next: Draft = FRESH): Promise<void> => {
    // The next animal may come at once; only a device that cannot write brings the old one back.
    const before = draft;
    setDraft(next);
    tick();
    try {
      await race.pass(passage);
    } catch {
      buzz();
      setDraft({
        ...before,
        message:
          'This device could not write it down: its storage is full or shut. It is still on the screen; make room and press Enter again.',
        asked: undefined,
      });
    }
  };

  const choose = (animalId: string): void => {
    const again = passages.findLast((p) => p.animalId === animalId);
    const isListed = listedIds.has(animalId);
    const hint = again
      ? `Seen before${again.kg === undefined ? '' : ` at ${weightText(again.kg, unit)}`}. Enter writes a second weight.`
      : isListed
        ? undefined
        : 'Not on the list. It is taken in all the same.';
    put({ animalId, ...(hint ? { message: hint } : {}) });
  };

  const enterNumber = (): void => {
    const answer = answerTag(matches, draft.number, draft.marked);
    switch (answer.kind) {
      case 'animal':
        return choose(answer.animalId);
      case 'several':
        return refuse(
          `${answer.animalIds.length} animals fit “${draft.number}”. Type more, or choose with the arrow keys.`,
        );
      case 'unknown':
        if (draft.asked !== 'unknown')
          return refuse(
            `No animal here wears “${answer.number}”. Enter again takes it in and asks later who it is.`,
            'unknown',
          );
        return setDraft({ ...FRESH, number: answer.number, animalId: 'unknown' });
      case 'nothing-typed':
        return;
    }
  };

  const enterWeight = (): void => {
    const species = animal?.species ?? listed[0]?.species ?? 'sheep';
    const before = animal ? readingBefore(rosterReadings(animal), dayOf(on)) : undefined;
    const answer = answerWeight({
      typed: draft.weight,
      unit,
      species,
      before,
      on,
      settings: animal ? settings : (holding?.species ?? SPECIES_TABLE)[species],
    });
    if (answer.kind === 'refused') return refuse(answer.message);
    if (answer.kind === 'doubt' && draft.asked !== 'doubt') {
      const { doubt } = answer;
      return refuse(
        `Check the reading: ${weightText(answer.kg, unit)} after ${weightText(doubt.fromKg, unit)} ${doubt.days} days ago. Enter again keeps it, marked.`,
        'doubt',
      );
    }
    if (isSorting && draft.gate === undefined) return refuse('Choose a gate: ← ↓ →, then Enter.');
    const gate = draft.gate === undefined ? {} : { gate: draft.gate };
    if (draft.animalId === 'unknown') {
      const stranger = takeIn(draft.number, listed[0], on);
      void write({ animalId: stranger.animalId, kg: answer.kg, before: stranger.before, ...gate });
    } else if (draft.animalId !== undefined) void write({ animalId: draft.animalId, kg: answer.kg, ...gate });
  };

  const onNumberKey = (e: KeyboardEvent): void => {
    if (e.key === 'Enter') enterNumber();
    else if (e.key === 'ArrowDown') put({ marked: Math.min(matches.length - 1, (draft.marked ?? -1) + 1) });
    else if (e.key === 'ArrowUp') put({ marked: Math.max(0, (draft.marked ?? 1) - 1) });
    else if (e.key === 'Backspace' && draft.number === '') takeBackLast();
    else return;
    e.preventDefault();
  };
  const onWeightKey = (e: KeyboardEvent): void => {
    const arrow = ARROWS[e.key];
    const gate = arrow && job?.gates.find((g) => g.key === arrow);
    if (e.key === 'Enter') enterWeight();
    else if (isSorting && gate) put({ gate: gate.name });
    else if (e.key === 'Backspace' && draft.weight === '') setDraft({ ...FRESH, number: draft.number });
    else return;
    e.preventDefault();
  };
  const takeBackLast = (): void => {
    const last = passages.at(-1);
    if (!last) return refuse('Nobody has been through yet.');
    void race
      .takeBack(last)
      .then(() => put({ message: `Taken back: ${animals.get(last.animalId)?.tag.text ?? 'the last one'}.` }));
  };

  const typedKg =
    draft.weight === '' || !animal
      ? undefined
      : answerWeight({ typed: draft.weight, unit, species: animal.species, before: undefined, on, settings });
  const gain =
    animal && typedKg?.kind === 'weight'
      ? gainTo(animal, { on: dayOf(on), kg: typedKg.kg, method: 'scale' }, settings)
      : undefined;
  const verdict = gain && judged(gain, figures.lineKgPerDay);
  const lastKg = animal?.weights.at(-1)?.[1];

  return (
    <Panel style={{ padding: 0 }}>
      {draft.animalId === undefined ? (
        <Ask>
          <label htmlFor="race-number">Number of the next animal</label>
          <BigInput
            id="race-number"
            ref={numberInput}
            autoComplete="off"
            inputMode="numeric"
            value={draft.number}
            onChange={(e) => put({ number: e.target.value, marked: undefined })}
            onKeyDown={onNumberKey}
          />
          <Matches role="listbox" aria-label="Animals that fit">
            {matches.map((m, i) => {
              const found = animals.get(m.found.animalId);
              return found ? (
                <li
                  key={m.found.animalId}
                  role="option"
                  aria-selected={i === draft.marked}
                  onClick={() => choose(m.found.animalId)}
                  onKeyDown={() => undefined}
                >
                  <Tag tag={found.tag} isStatic />
                  <span>
                    {found.groupName ?? ''}
                    {m.found.isListed ? '' : ', not on the list'}
                  </span>
                </li>
              ) : null;
            })}
          </Matches>
        </Ask>
      ) : (
        <>
          {animal ? (
            <AnimalAtHand animal={animal} on={on} unit={unit} settings={settings} />
          ) : (
            <Stranger>{draft.number}: unknown, taken in and asked later</Stranger>
          )}
          <Ask>
            <label htmlFor="race-weight">Weight, {unit}</label>
            <WeightRow>
              <BigInput
                id="race-weight"
                ref={weightInput}
                autoComplete="off"
                inputMode="decimal"
                value={draft.weight}
                onChange={(e) => put({ weight: e.target.value })}
                onKeyDown={onWeightKey}
              />
              <span aria-live="polite">
                {lastKg !== undefined && typedKg?.kind === 'weight' ? (
                  <b>{differenceText(typedKg.kg - lastKg, unit)} since last time</b>
                ) : null}
                {gain ? (
                  <em data-verdict={verdict}>
                    {gainText(gain)}
                    {verdict ? `: ${VERDICT_WORDS[verdict]}` : ''}
                  </em>
                ) : null}
              </span>
            </WeightRow>
          </Ask>
        </>
      )}
      <Message role="alert" data-shown={draft.message !== undefined || undefined}>
        {draft.message}
      </Message>
      {isSorting && draft.animalId !== undefined ? (
        <Gates role="group" aria-label="Gate">
          {job?.gates.map((g) => (
            <Gate key={g.key} type="button" aria-pressed={draft.gate === g.name} onClick={() => put({ gate: g.name })}>
              <b>
                {GATE_SIGNS[g.key]} {g.name}
              </b>
              <span>{figures.gates.get(g.name) ?? 0} so far</span>
            </Gate>
          ))}
        </Gates>
      ) : null}
      <Keypad
        onDigit={(d) =>
          draft.animalId === undefined
            ? put({ number: draft.number + d, marked: undefined })
            : put({ weight: draft.weight + d })
        }
        onErase={() =>
          draft.animalId === undefined
            ? put({ number: draft.number.slice(0, -1) })
            : put({ weight: draft.weight.slice(0, -1) })
        }
        onEnter={() => (draft.animalId === undefined ? enterNumber() : enterWeight())}
        onTakeBack={takeBackLast}
      />
    </Panel>
  );
}

const Ask = styled.div`
  padding: ${space(4)} ${space(5)} ${space(2)};
  label {
    display: block;
    color: ${colour('inkSoft')};
    margin-bottom: ${space(1)};
  }
`;
const BigInput = styled.input`
  ${fieldLook}
  width: 100%;
  max-width: 340px;
  height: 84px;
  font: 700 56px/1 ${fonts.mono};
  border-width: 2px;
  ${phone} {
    font-size: 44px;
  }
`;
const WeightRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(4)};
  b,
  em {
    display: block;
    font-style: normal;
    font-size: 17px;
  }
  em[data-verdict='below'] {
    color: ${colour('madder')};
    font-weight: 700;
  }
  em[data-verdict='too-soon'] {
    color: ${colour('weld')};
  }
`;
const Matches = styled.ul`
  list-style: none;
  padding: 0;
  margin: ${space(2)} 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: ${space(1)};
  min-height: 112px;
  align-content: start;
  li {
    display: flex;
    gap: ${space(2)};
    align-items: center;
    min-height: 52px;
    padding: 0 ${space(2)};
    border-radius: ${radius};
    border: 1px solid ${colour('line')};
    cursor: pointer;
    font-size: 13px;
  }
  li[aria-selected='true'] {
    background: ${colour('indigoWash')};
    border-color: ${colour('indigo')};
  }
`;
const Stranger = styled.p`
  padding: ${space(5)};
  font: 700 22px ${fonts.heading};
`;
const Message = styled.p`
  margin: 0 ${space(5)};
  &[data-shown] {
    padding: ${space(2)} ${space(3)};
    background: ${colour('weldWash')};
    border-left: 5px solid ${colour('weldFill')};
    border-radius: ${radius};
    font-weight: 600;
  }
`;
const Gates = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: ${space(3)};
  padding: ${space(3)} ${space(5)} 0;
`;
const Gate = styled.button`
  min-height: ${touchRace};
  border: 2px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('panel')};
  cursor: pointer;
  b {
    display: block;
    font: 700 18px ${fonts.heading};
  }
  &[aria-pressed='true'] {
    border-color: ${colour('indigo')};
    background: ${colour('indigoWash')};
  }
`;
