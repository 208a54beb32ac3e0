import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { SPECIES_TABLE, type SpeciesSettings } from '@yaylak/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Panel } from '../../parts/Panel';
import { colour, radius, space } from '../../theme/tokens';
import { useWeightUnit } from '../../words/useUnits';
import { matchesFor, raceNumbers } from './answers';
import { chooseAnimal, enterNumber, enterWeight, FRESH, STRANGER, typed, type Draft, type Entered } from './draft';
import { GateKeys } from './GateKeys';
import type { JobFigures } from './jobFigures';
import { Keypad } from './Keypad';
import { NumberStation } from './NumberStation';
import { buzz, tick } from './sounds';
import { takeIn, type Race } from './useRace';
import { WeightStation } from './WeightStation';

interface Props {
  readonly race: Race;
  readonly figures: JobFigures;
  readonly settingsOf: (animal: RosterAnimal) => SpeciesSettings;
  readonly onLeave: () => void;
}

const ARROWS: Readonly<Record<string, 'left' | 'down' | 'right'>> = {
  ArrowLeft: 'left',
  ArrowDown: 'down',
  ArrowRight: 'right',
};
const NOT_WRITTEN =
  'This device could not write it down: its storage is full or shut. It is still on the screen; make room and press Enter again.';

/** The animal at hand: number, Enter, weight, Enter, next. */
export function Capture({ race, figures, settingsOf, onLeave }: Props) {
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const [draft, setDraft] = useState<Draft>(FRESH);
  const { job, animals, listed, passages } = race;
  const listedIds = useMemo(() => new Set(job?.animalIds ?? []), [job?.animalIds]);
  const numbers = useMemo(() => raceNumbers([...animals.values()], listedIds), [animals, listedIds]);
  const isNumber = draft.animalId === undefined;
  const matches = isNumber ? matchesFor(numbers, draft.number) : [];
  const animal = isNumber ? undefined : animals.get(draft.animalId ?? '');
  const species = animal?.species ?? listed[0]?.species ?? 'sheep';
  const settings = animal ? settingsOf(animal) : (holding?.species ?? SPECIES_TABLE)[species];
  const isSorting = job?.stations.includes('sort') ?? false;
  const on = job?.on ?? '';
  const through = { passages, listedIds, unit };

  // The keyboard is outside React: Escape leaves from wherever the focus is.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') onLeave();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onLeave]);

  const type = (change: Partial<Draft>): void => setDraft((d) => typed(d, change));
  const say = (message: string): void => setDraft((d) => ({ ...d, message, asked: undefined }));
  const write = async (kg: number): Promise<void> => {
    const before = draft;
    const stranger = draft.animalId === STRANGER ? takeIn(draft.number, listed[0], on) : undefined;
    // The next animal may come at once; only a device that cannot write brings the old one back.
    setDraft(FRESH);
    tick();
    try {
      await race.pass({
        animalId: stranger?.animalId ?? draft.animalId ?? '',
        kg,
        ...(stranger ? { before: stranger.before } : {}),
        ...(draft.gate === undefined ? {} : { gate: draft.gate }),
      });
    } catch {
      buzz();
      setDraft({ ...before, message: NOT_WRITTEN, asked: undefined });
    }
  };
  const take = (entered: Entered): void => {
    if (entered.kind === 'write') return void write(entered.kg);
    if (entered.isRefused) buzz();
    setDraft(entered.draft);
  };
  const enter = (): void =>
    take(
      isNumber
        ? enterNumber(draft, matches, through)
        : enterWeight(draft, { animal, species, settings, unit, on, isSorting }),
    );
  const takeBackLast = (): void => {
    const last = passages.at(-1);
    if (!last) {
      buzz();
      return say('Nobody has been through yet.');
    }
    void race.takeBack(last).then(() => say(`Taken back: ${animals.get(last.animalId)?.tag.text ?? 'the last one'}.`));
  };
  const onWeightKey = (key: string): boolean => {
    const arrow = ARROWS[key];
    const gate = isSorting && arrow ? job?.gates.find((g) => g.key === arrow) : undefined;
    if (key === 'Enter') enter();
    else if (gate) type({ gate: gate.name });
    else if (key === 'Backspace' && draft.weight === '') setDraft({ ...FRESH, number: draft.number });
    else return false;
    return true;
  };
  const field = isNumber ? 'number' : 'weight';

  return (
    <Panel style={{ padding: 0 }}>
      {isNumber ? (
        <NumberStation
          draft={draft}
          matches={matches}
          animals={animals}
          onType={type}
          onChoose={(animalId) => setDraft((d) => chooseAnimal(d, animalId, through))}
          onEnter={enter}
          onTakeBack={takeBackLast}
        />
      ) : (
        <WeightStation
          draft={draft}
          animal={animal}
          settings={settings}
          unit={unit}
          on={on}
          lineKgPerDay={figures.lineKgPerDay}
          onType={(weight) => type({ weight })}
          onKey={onWeightKey}
        />
      )}
      <Message role="alert" data-shown={draft.message !== undefined || undefined}>
        {draft.message}
      </Message>
      {isSorting && !isNumber ? (
        <GateKeys
          gates={job?.gates ?? []}
          chosen={draft.gate}
          counts={figures.gates}
          onChoose={(gate) => type({ gate })}
        />
      ) : null}
      <Keypad
        onDigit={(digit) => type({ [field]: draft[field] + digit, marked: undefined })}
        onErase={() => type({ [field]: draft[field].slice(0, -1) })}
        onEnter={enter}
        onTakeBack={takeBackLast}
      />
    </Panel>
  );
}

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
