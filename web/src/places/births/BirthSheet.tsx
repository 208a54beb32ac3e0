import { useQuery } from '@tanstack/react-query';
import {
  AFTERBIRTH_WORDS,
  birthQuestionText,
  chanceText,
  EASE_WORDS,
  MOTHERING_WORDS,
  PRESENTATION_WORDS,
  type DamView,
  type RosterView,
} from '@yaylak/contract';
import {
  AFTERBIRTHS,
  EASES,
  MOTHERINGS,
  PRESENTATIONS,
  scaleUnit,
  SPECIES_WORDS,
  type Species,
  type SpeciesSettings,
} from '@yaylak/core';
import { useState } from 'react';
import { damQuery, holdingQuery, rosterQuery } from '../../api/queries';
import { BigKeys } from '../../parts/BigKeys';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { FindOne } from '../../parts/FindOne';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { bornText } from '../../words/births';
import { useWeightUnit } from '../../words/useUnits';
import { aBirth, birthEntries, countsOf, sureSire, type BirthTyped } from './birthDraft';
import { YoungKeys } from './YoungKeys';

interface Props {
  /** Whose birth; nobody named: the tag is typed. */
  readonly damId: string | undefined;
  /** The species of the list it is written from; of all of them where none is chosen. */
  readonly species: Species | undefined;
  readonly today: string;
  readonly hour: string;
  readonly onClose: () => void;
}

/** A birth, by big keys; when it is written down the next dam can be typed at once. */
export function BirthSheet({ damId, species, today, hour, onClose }: Props) {
  const [dam, setDam] = useState(damId);
  const [done, setDone] = useState<string>();
  const next = (words: string): void => {
    setDone(words);
    setDam(undefined);
  };
  return (
    <Sheet title="A birth" isOpen onClose={onClose} width={720}>
      {done ? <p role="status">{done}. The next dam, or close.</p> : null}
      {dam === undefined ? (
        <FindOne key={done} label="Tag of the dam" autoFocus onChoose={setDam} />
      ) : (
        <BirthForm key={dam} damId={dam} listed={species} today={today} hour={hour} onDone={next} />
      )}
      <Row style={{ justifyContent: 'space-between' }}>
        <Small>
          Gloves and clean arms; pull only with her pains, and fetch the vet in time. Who is pregnant keeps away from
          births.
        </Small>
        {dam === undefined ? <Button onPress={onClose}>Close</Button> : null}
      </Row>
    </Sheet>
  );
}

interface FormProps {
  readonly damId: string;
  readonly listed: Species | undefined;
  readonly today: string;
  readonly hour: string;
  readonly onDone: (words: string) => void;
}

/** Young that are many and alike are counted, others are written down one by one. */
const isCounted = ({ rearing }: SpeciesSettings): boolean => rearing.eachDailyDays > 0;

/** A dam as the device keeps her for the race. */
function damKept(roster: RosterView | undefined, damId: string): DamView | undefined {
  const found = roster?.animals.find((a) => a.tag.animalId === damId);
  return found && { ...found, young: null, sires: [], otherSire: null, rears: 0, questions: [] };
}

function BirthForm({ damId, listed, today, hour, onDone }: FormProps) {
  const write = useWrite();
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const [birth, setBirth] = useState<BirthTyped>(() => aBirth(today, hour));
  const [sire, setSire] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const typed = countsOf(birth, true);
  const byKeys = countsOf(birth, false);
  const { data: first } = useQuery(damQuery(damId, {}));
  // In a shed without a network the device knows her all the same; what speaks against the birth is asked later.
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: Infinity });
  const species = first?.species ?? roster?.animals.find((a) => a.tag.animalId === damId)?.species;
  const isByCount = holding !== undefined && species !== undefined && isCounted(holding.species[species]);
  const counts = isByCount ? typed : byKeys;
  const { data: now } = useQuery({
    ...damQuery(damId, { on: birth.on, ...counts, ...(listed ? { species: listed } : {}) }),
    placeholderData: (before) => before,
  });
  const dam = now ?? first ?? damKept(roster, damId);
  if (!dam || !holding) return null;
  const set = (change: Partial<BirthTyped>): void => {
    setProblem(undefined);
    setBirth({ ...birth, ...change });
  };
  const sireId = sire ?? sureSire(dam);
  const questions = counts && counts.alive + counts.dead > 0 ? dam.questions : [];
  const words = SPECIES_WORDS[dam.species];
  const submit = async (): Promise<void> => {
    const entries = birthEntries({ ...birth, sireId }, { dam, unit, isByCount, species: listed ?? dam.species });
    if (typeof entries === 'string') return setProblem(entries);
    const said = `${dam.tag.name ?? dam.tag.text}: ${bornText(counts?.alive ?? 0, counts?.dead ?? 0, dam.species)}`;
    const refused = await write(entries, `Wrote down ${words.birth} of ${said}`);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onDone(said);
  };
  return (
    <>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Tag tag={dam.tag} isStatic />
        <Field label="On" type="date" value={birth.on} onChange={(on) => set({ on })} />
        <Field label="At" type="time" value={birth.hour} onChange={(h) => set({ hour: h })} />
        <Small>{dam.young === null ? 'not counted before' : `${dam.young} counted before`}</Small>
      </Row>
      {isByCount ? (
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field
            label="Alive"
            inputMode="numeric"
            style={{ width: 90 }}
            value={birth.alive}
            onChange={(alive) => set({ alive })}
            autoFocus
          />
          <Field
            label="Dead"
            inputMode="numeric"
            style={{ width: 90 }}
            value={birth.dead}
            onChange={(dead) => set({ dead })}
          />
          <Field
            label={`Live ones together, ${scaleUnit(dam.species, unit)}`}
            inputMode="decimal"
            style={{ width: 190 }}
            value={birth.together}
            onChange={(together) => set({ together })}
          />
        </Row>
      ) : (
        <YoungKeys species={dam.species} unit={unit} young={birth.young} onChange={(young) => set({ young })} />
      )}
      <BigKeys
        label="How it went"
        isNeeded
        value={birth.ease}
        options={EASES.map((e) => [e, EASE_WORDS[e]])}
        onChange={(ease) => set({ ease: ease === '' ? 'alone' : ease })}
      />
      {birth.ease === 'alone' ? null : (
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Choice
            label="How it lay"
            value={birth.presentation}
            options={[['', 'not said'], ...PRESENTATIONS.map((p) => [p, PRESENTATION_WORDS[p]] as const)]}
            onChange={(presentation) => set({ presentation })}
          />
          <Field
            label="What help"
            value={birth.help}
            onChange={(help) => set({ help })}
            style={{ flex: '1 1 220px' }}
          />
        </Row>
      )}
      <Row $gap={5} style={{ alignItems: 'flex-start' }}>
        <BigKeys
          label="Mothering"
          value={birth.mothering}
          options={MOTHERINGS.map((m) => [m, MOTHERING_WORDS[m]])}
          onChange={(mothering) => set({ mothering })}
        />
        <BigKeys
          label="Afterbirth"
          value={birth.afterbirth}
          options={AFTERBIRTHS.map((a) => [a, AFTERBIRTH_WORDS[a]])}
          onChange={(afterbirth) => set({ afterbirth })}
        />
      </Row>
      <Choice
        label="Sire"
        value={sireId}
        options={[
          ['', dam.otherSire ?? (dam.sires.length === 0 ? 'no service on record' : 'not sure: leave it open')],
          ...dam.sires.map(
            (s) => [s.tag.animalId, `${s.tag.name ?? s.tag.text}: ${chanceText(s.probability)}`] as const,
          ),
        ]}
        onChange={setSire}
      />
      {questions.length > 0 ? (
        <NotePanel $tone="weld" role="status">
          {questions.map((q) => (
            <p key={q.code}>{birthQuestionText(q)}</p>
          ))}
          <Field
            label="Why it is so all the same"
            value={birth.reason}
            onChange={(reason) => set({ reason })}
            isRequired
            style={{ marginTop: 8 }}
          />
        </NotePanel>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()} style={{ minHeight: 64 }}>
          Write the birth down
        </Button>
      </Row>
    </>
  );
}
