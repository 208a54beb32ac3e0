import { useQuery } from '@tanstack/react-query';
import {
  AFTERBIRTH_WORDS,
  birthQuestionText,
  chanceText,
  EASE_WORDS,
  ENTRY_CLASSES,
  MOTHERING_WORDS,
  PRESENTATION_WORDS,
  type DamView,
  type RosterView,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import {
  AFTERBIRTHS,
  EASES,
  MOTHERINGS,
  PRESENTATIONS,
  scaleUnit,
  type Species,
  type SpeciesSettings,
} from '@yaylak/core';
import { useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { damQuery, holdingQuery, rosterQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FindOne } from '../../parts/FindOne';
import { FormBigKeys, FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { bornText } from '../../words/births';
import { useWeightUnit } from '../../words/useHolding';
import { Asked } from '../../parts/Asked';
import { aBirth, birthEntries, birthWeightDoubts, countsOf, sureSire, type BirthTyped } from './birthDraft';
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
    <Sheet title={say('A birth')} isOpen onClose={onClose} width={800}>
      {done ? <p role="status">{say('{done}. The next dam, or close.', { done })}</p> : null}
      {dam === undefined ? (
        <FindOne key={done} label={say('Tag of the dam')} autoFocus onChoose={setDam} />
      ) : (
        <BirthForm key={dam} damId={dam} listed={species} today={today} hour={hour} onDone={next} />
      )}
      <Row style={{ justifyContent: 'space-between' }}>
        <Small>
          {say(
            'Gloves and clean arms; pull only with her pains, and fetch the vet in time. Who is pregnant keeps away from births.',
          )}
        </Small>
        {dam === undefined ? <Button onPress={onClose}>{say('Close')}</Button> : null}
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
  const [asked, setAsked] = useState<string>();
  const write = useWrite();
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const { data: first } = useQuery(damQuery(damId, {}));
  // In a shed without a network the device knows her all the same; what speaks against the birth is asked later.
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: Infinity });
  const species = first?.species ?? roster?.animals.find((a) => a.tag.animalId === damId)?.species;
  const isByCount = holding !== undefined && species !== undefined && isCounted(holding.species[species]);
  const known = first ?? damKept(roster, damId);
  const entriesOf = (typed: BirthTyped): ReturnType<typeof birthEntries> =>
    known
      ? birthEntries(
          { ...typed, sireId: typed.sireId ?? sureSire(known) },
          { dam: known, unit, isByCount, species: listed ?? known.species },
        )
      : say('She is not here yet. Wait a moment and record it again.');
  const form = useTypedForm<BirthTyped>({
    start: aBirth(today, hour),
    made: (typed) => {
      const entries = entriesOf(typed);
      return typeof entries === 'string' ? [] : entries.map((e) => madeEntry(ENTRY_CLASSES[e.type], e));
    },
    words: { on: say('Give the day of the birth.'), alive: say('Count those alive.'), dead: say('Count those dead.') },
    also: (typed): Against => {
      const entries = entriesOf(typed);
      return typeof entries === 'string' ? { root: entries } : {};
    },
  });
  const { control } = form;
  const [on, young, alive, dead, ease, sireTyped] = useWatch({
    control,
    name: ['on', 'young', 'alive', 'dead', 'ease', 'sireId'],
  });
  const counts = countsOf({ young, alive, dead }, isByCount);
  const { data: now } = useQuery({
    ...damQuery(damId, { on, ...counts, ...(listed ? { species: listed } : {}) }),
    placeholderData: (before) => before,
  });
  const dam = now ?? known;
  if (!dam || !holding) return null;
  const sireId = sireTyped ?? sureSire(dam);
  const questions = counts && counts.alive + counts.dead > 0 ? dam.questions : [];
  const words = SPECIES_WORDS[dam.species];
  const saidOf = (typed: BirthTyped): string => {
    const born = countsOf(typed, isByCount);
    return `${dam.tag.name ?? dam.tag.text}: ${bornText(born?.alive ?? 0, born?.dead ?? 0, dam.species)}`;
  };
  const send = async (typed: BirthTyped): Promise<readonly string[] | 'asked'> => {
    const entries = entriesOf(typed);
    if (typeof entries === 'string') return [entries];
    const { species: of } = dam;
    const doubts = birthWeightDoubts(entries, { species: of, unit, settings: holding.species[of] }).join(' ');
    if (doubts !== '' && doubts !== asked) {
      setAsked(doubts);
      return 'asked';
    }
    return write(entries, say('Recorded {birth} of {said}', { birth: words.birth, said: saidOf(typed) }));
  };
  return (
    <SendForm form={form} send={send} onDone={(typed) => onDone(saidOf(typed))} submit={say('Record birth')} isTall>
      <FieldRow $gap={3}>
        <Tag tag={dam.tag} isStatic />
        <FormField name="on" label={say('On')} type="date" />
        <FormField name="hour" label={say('At')} type="time" />
        <Small>{dam.young === null ? say('not scanned') : say('{young} counted before', { young: dam.young })}</Small>
      </FieldRow>
      {isByCount ? (
        <FieldRow $gap={3}>
          <FormField name="alive" label={say('Alive')} inputMode="numeric" style={{ width: 90 }} autoFocus />
          <FormField name="dead" label={say('Dead')} inputMode="numeric" style={{ width: 90 }} />
          <FormField
            name="together"
            label={say('Live ones together, {scaleUnit}', { scaleUnit: scaleUnit(dam.species, unit) })}
            inputMode="decimal"
            style={{ width: 190 }}
          />
        </FieldRow>
      ) : (
        <Controller
          control={control}
          name="young"
          render={({ field }) => (
            <YoungKeys species={dam.species} unit={unit} young={field.value} onChange={field.onChange} />
          )}
        />
      )}
      <FormBigKeys name="ease" label={say('How it went')} isNeeded options={EASES.map((e) => [e, EASE_WORDS[e]])} />
      {ease === 'alone' ? null : (
        <FieldRow $gap={3}>
          <FormChoice
            name="presentation"
            label={say('How it lay')}
            options={[['', say('not said')], ...PRESENTATIONS.map((p) => [p, PRESENTATION_WORDS[p]] as const)]}
          />
          <FormField name="help" label={say('What help')} style={{ flex: '1 1 220px' }} />
        </FieldRow>
      )}
      <Row $gap={5} style={{ alignItems: 'flex-start' }}>
        <FormBigKeys
          name="mothering"
          label={say('Mothering')}
          options={MOTHERINGS.map((m) => [m, MOTHERING_WORDS[m]])}
        />
        <FormBigKeys
          name="afterbirth"
          label={say('Afterbirth')}
          options={AFTERBIRTHS.map((a) => [a, AFTERBIRTH_WORDS[a]])}
        />
      </Row>
      <Choice
        label={say('Sire')}
        value={sireId}
        options={[
          [
            '',
            dam.otherSire ?? (dam.sires.length === 0 ? say('no service on record') : say('not sure: leave it open')),
          ],
          ...dam.sires.map(
            (s) => [s.tag.animalId, `${s.tag.name ?? s.tag.text}: ${chanceText(s.probability)}`] as const,
          ),
        ]}
        onChange={(id) => form.setValue('sireId', id)}
      />
      {questions.length > 0 ? (
        <NotePanel $tone="weld" role="status">
          {questions.map((q) => (
            <p key={q.code}>{birthQuestionText(q)}</p>
          ))}
          <FormField name="reason" label={say('What happened?')} isRequired style={{ marginTop: 8 }} />
        </NotePanel>
      ) : null}
      <Asked
        questions={asked === undefined ? [] : [asked]}
        again={say('Correct it, or press again to keep it as it is.')}
      />
    </SendForm>
  );
}
