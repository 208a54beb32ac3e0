import { useQuery } from '@tanstack/react-query';
import type { Entry, RosterAnimal, StationSettings } from '@yaylak/contract';
import {
  addDays,
  dayOf,
  fromKg,
  isoOf,
  normalised,
  readDeviceLine,
  scaleUnit,
  SPECIES_TABLE,
  type SpeciesSettings,
} from '@yaylak/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { deviceMoment } from '../../api/deviceClock';
import { groupsQuery, holdingQuery } from '../../api/queries';
import { strikesOf, type EntryDraft } from '../../outbox/useRecord';
import { asDraft, type WayBack } from '../../outbox/wayBack';
import { Panel } from '../../parts/Panel';
import { StorageNote } from '../../parts/StorageNote';
import { useUndo } from '../../parts/Undo';
import { useReadings } from '../../adapters/readings/useReadings';
import { numbersForOf } from '../../shared/tags/numbersFor';
import { colour, phone, radius, space } from '../../theme/tokens';
import { hourOf } from '../../words/hourOf';
import { useWeightUnit } from '../../words/useHolding';
import { AnimalStage } from './AnimalStage';
import { matchesFor, raceNumbers } from './answers';
import { AsideReadings } from './AsideReadings';
import {
  afterwards,
  chooseAnimal,
  enterNumber,
  FRESH,
  isBegun,
  readNumber,
  readWeight,
  STRANGER,
  typed,
  takeUp,
  typedField,
  type Draft,
  type Entered,
  type FieldName,
} from './draft';
import { GateKeys } from './GateKeys';
import { kindOf, type JobFigures } from './jobFigures';
import { JobSoFar } from './JobSoFar';
import { keepDraft, keptDraft } from './keptDraft';
import { Keypad } from './Keypad';
import { NumberStation } from './NumberStation';
import { markedGates } from './stations/sort';
import { Aside, KEYS_HIGH, Main, Scrolling } from './raceFrame';
import { buzz, tick } from './sounds';
import { fieldsAt, finishAnimal, fieldText, isReady, proposedAt, togglesAt, type AtHand, type Fact } from './stations';
import { keepPan, keptPan, PanLine, type Pan } from './PanLine';
import { meatHeld, suggestedGate } from './stations/sort';
import { heldText } from '../../words/withheld';
import { pressToggle } from './stations/StationList';
import { addYoung, takeIn, type Race } from './useRace';
import { untaggedYoung, youngAtHandText } from './youngOfDam';
import { say, fieldWord } from '@yaylak/contract';

interface Props {
  readonly race: Race;
  readonly figures: JobFigures;
  readonly settingsOf: (animal: RosterAnimal) => SpeciesSettings;
  readonly onLeave: () => void;
}

/** So long an animal that came at hand by itself is not recorded by Enter. */
const QUIET_MS = 500;
const clock = (): number => Date.now();

/** Stands for a young one that is being added under its dam. */
const YOUNG = 'young';
const ARROWS: Readonly<Record<string, 'left' | 'down' | 'right'>> = {
  ArrowLeft: 'left',
  ArrowDown: 'down',
  ArrowRight: 'right',
};
const NOT_WRITTEN = say(
  'This device could not record it: its storage is full or shut. It is still on the screen; make room and press Enter again.',
);

/** The animal at hand: number, Enter, its stations, Enter, next. */
export function Capture({ race, figures, settingsOf, onLeave }: Props) {
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const { data: groups } = useQuery(groupsQuery);
  const undo = useUndo();
  const { job, on, by, animals, listed, passages, roster } = race;
  const [left] = useState(() => keptDraft(job?.id, (id) => animals.has(id) || id === STRANGER || id === YOUNG));
  const [draft, setDraft] = useState<Draft>(left?.draft ?? FRESH);
  const [damId, setDamId] = useState(left?.damId);
  const [bornAs, setBornAs] = useState(left?.bornAs);
  const [lastField, setLastField] = useState<FieldName>();
  const listedIds = useMemo(() => new Set(job?.animalIds ?? []), [job?.animalIds]);
  const numbers = useMemo(() => raceNumbers([...animals.values()], listedIds), [animals, listedIds]);
  const numbersFor = useMemo(
    () =>
      holding &&
      numbersForOf(holding, [...[...animals.values()].flatMap(visualsOf), ...roster.gone.map((g) => g.text)]),
    [holding, animals, roster.gone],
  );
  const written = useMemo(() => writtenIn(passages, animals), [passages, animals]);
  const quietUntil = useRef(0);
  const isNumber = draft.animalId === undefined;
  const matches = isNumber ? matchesFor(numbers, draft.number) : [];
  const through = { passages, listedIds, unit, gone: roster.gone };
  const [ownPan, setOwnPan] = useState(() => keptPan(job?.id));
  const jobSettings = withPan(job?.settings ?? {}, ownPan);
  const isYoungJob = jobSettings.subject === 'young';
  const dam = damId === undefined ? undefined : animals.get(damId);

  const gates = job ? markedGates(job, holding?.decisionMarks ?? {}) : [];

  const atHand = (of: Draft): AtHand => {
    const animal = of.animalId === undefined ? undefined : animals.get(of.animalId);
    const species = animal?.species ?? dam?.species ?? listed[0]?.species ?? 'sheep';
    const youngAge = dam && !animal ? (jobSettings.young?.ageDays ?? 2) : undefined;
    return {
      job: { stations: job?.stations ?? [], gates: [...gates], on, settings: jobSettings },
      animal,
      species,
      sex: animal?.sex ?? of.sex ?? 'unknown',
      ageDays: animal?.bornOn ? dayOf(on) - dayOf(animal.bornOn) : youngAge,
      settings: animal ? settingsOf(animal) : (holding?.species ?? SPECIES_TABLE)[species],
      unit,
      standards: holding?.standards ?? [],
      roster,
      now: hourOf(on, holding?.now ?? deviceMoment()),
      weighedBy: by,
      wearerOf(text) {
        const plain = normalised(text);
        const other = numbers.find((n) => n.isWorn && n.plain === plain && n.animalId !== of.animalId);
        return other && animals.get(other.animalId)?.tag;
      },
      formerWearerOf(text) {
        const plain = normalised(text);
        const lost = numbers.find((n) => !n.isWorn && n.plain === plain && n.animalId !== of.animalId);
        if (lost) return { name: animals.get(lost.animalId)?.tag.text ?? text, isGone: false };
        const gone = roster.gone.find((g) => normalised(g.text) === plain);
        return gone && { name: gone.name, isGone: true };
      },
      nextNumbers: ({ count, colour: ring }) =>
        numbersFor?.({ species, sex: animal?.sex ?? of.sex ?? 'unknown', bornOn: animal?.bornOn, count, colour: ring })
          .numbers ?? [],
      ...written,
    };
  };
  const at = atHand(draft);
  const toggles = togglesAt(at, isYoungJob ? ['f', 'm'] : []);

  // What is typed, and readings without an animal, outlive a closed lid; the browser's storage is outside React.
  useEffect(() => keepDraft(job?.id, { draft, damId, bornAs }), [job?.id, draft, damId, bornAs]);

  // The keyboard is outside React: Escape leaves from wherever the focus is.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') onLeave();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onLeave]);

  const type = (change: Partial<Draft>): void => setDraft((d) => typed(d, change));
  /** A gate mends what the gate was wanted for; what was said of the weight was heard all the same. */
  const chooseGate = (gate: string): void => setDraft((d) => ({ ...d, gate, message: undefined }));
  const tell = (message: string): void => setDraft((d) => ({ ...d, message, asked: [] }));
  const take = ({ draft: next, isRefused }: Entered): void => {
    if (isRefused) buzz();
    setDraft(underDam(next));
  };
  /** At a job of young the animal scanned is the dam; what is written down comes under her. */
  const underDam = (next: Draft): Draft => {
    if (!isYoungJob || damId !== undefined || next.animalId === undefined) return next;
    const scanned = animals.get(next.animalId);
    if (scanned?.sex !== 'female') {
      const what = scanned ? say('is a {field}', { field: fieldWord(scanned, undefined) }) : say('is not in the book');
      return {
        ...next,
        animalId: undefined,
        message: say('{number} {what}. Scan or type the dam.', { number: next.number, what }),
        asked: [],
      };
    }
    setDamId(scanned.tag.animalId);
    return youngOf(scanned.tag.animalId, next) ?? { ...next, animalId: YOUNG };
  };

  /** The next of her young that stand in the book since their birth and wear nothing yet. */
  const youngOf = (of: string, next: Draft, but?: string): Draft | undefined => {
    const [first, ...more] = untaggedYoung(of, animals, passages, on).filter((y) => y.tag.animalId !== but);
    return first && { ...next, animalId: first.tag.animalId, message: youngAtHandText(first, more.length), asked: [] };
  };

  const entriesOf = (of: Draft, facts: readonly Fact[]): readonly EntryDraft[] => {
    const bornOn = isoOf(addDays(dayOf(on), -(jobSettings.young?.ageDays ?? 2)));
    const before =
      of.animalId === STRANGER
        ? takeIn(of.number, listed[0], on)
        : of.animalId === YOUNG && dam
          ? addYoung({ dam, sex: of.sex ?? 'unknown', bornOn, on, bornAs })
          : [];
    const arrival = before[0];
    const animalId = arrival?.type === 'arrival' ? arrival.animalId : (of.animalId ?? '');
    // The dam has been through with the first of her young.
    const damPassage =
      isYoungJob && dam && !passages.some((p) => p.animalId === dam.tag.animalId)
        ? [{ type: 'passage', animalId: dam.tag.animalId, on } as const]
        : [];
    return [...damPassage, ...before, ...facts.map((fact) => ({ ...fact, animalId, on }) as EntryDraft)];
  };
  /** What comes after an animal: the one that was read meanwhile is at hand at once, or the number is asked for. */
  const nextOf = (before: Draft): Draft => {
    const next = afterwards(before);
    // At a job of young the dam is scanned first: her number waits in its field.
    if (before.next === undefined || isYoungJob) return next;
    const exact = matchesFor(numbers, before.next).filter((m) => m.rank === 'exact');
    quietUntil.current = clock() + QUIET_MS;
    return enterNumber(next, exact, through).draft;
  };
  const write = async (facts: readonly Fact[]): Promise<void> => {
    const before = draft;
    const left = before.animalId === YOUNG || damId === undefined ? undefined : youngOf(damId, FRESH, before.animalId);
    if (!left && isYoungJob && before.animalId !== YOUNG) {
      setDamId(undefined);
      setBornAs(undefined);
    }
    // The next animal may come at once; only a device that cannot write brings the old one back.
    setDraft(
      before.animalId === YOUNG
        ? {
            ...FRESH,
            aside: before.aside,
            number: before.number,
            animalId: YOUNG,
            message: say('Recorded. The next of her young, or Enter for the next dam.'),
          }
        : left
          ? { ...left, aside: before.aside, number: before.number }
          : nextOf(before),
    );
    tick();
    try {
      const written = await race.pass(entriesOf(before, facts));
      undo.keep(
        ofPassage(written, say('Recorded {n}', { n: animals.get(before.animalId ?? '')?.tag.text ?? before.number })),
      );
    } catch {
      buzz();
      setDraft({ ...before, message: NOT_WRITTEN, asked: [] });
    }
  };
  const nextDam = (): void => {
    setDamId(undefined);
    setBornAs(undefined);
    setDraft({ ...afterwards(draft), message: say('Scan or type the next dam.') });
  };
  const enterAnimal = (): void => {
    // Enter pressed twice for one animal does not record the one that came at hand in between.
    if (clock() < quietUntil.current) return;
    const text = draft.fields.weight ?? '';
    // A reader that types sends its number and Enter into whichever field has the keyboard.
    const wedge = text.length >= 12 ? readDeviceLine(text) : undefined;
    if (wedge?.kind === 'number') return onNumberRead(wedge.digits, typedField(draft, 'weight', ''));
    if (draft.animalId === YOUNG) {
      if (!isBegun(draft) && draft.sex === undefined) return nextDam();
      if (draft.sex === undefined) return take(refusal(say('Female or male? Press F or M.')));
    }
    const finished = finishAnimal(draft, at);
    if (finished.kind === 'write') return void write(finished.facts);
    take(refusal(finished.message, finished.asked));
    if (finished.field) document.getElementById(`race-${finished.field}`)?.focus();
  };
  const refusal = (message: string, asked: readonly string[] = []): Entered => ({
    draft: { ...draft, message, asked },
    isRefused: true,
  });
  const enter = (): void => (isNumber ? take(enterNumber(draft, matches, through)) : enterAnimal());

  const onNumberRead = (digits: string, of: Draft = draft): void => {
    const isFitting = job?.stations.includes('identify') ?? false;
    const found = matchesFor(numbers, digits);
    const isReadyNow = of.animalId !== undefined && of.animalId !== YOUNG && isReady(of, atHand(of));
    take(readNumber(of, { digits, matches: found, isFitting, isReady: isReadyNow }, through));
  };
  useReadings({
    onNumber: (digits) => onNumberRead(digits),
    onBadNumber: (text) =>
      take(refusal(say('The reader sent “{text}”, which is not an animal number. Read the tag again.', { text }))),
    onWeight: (kg) => {
      if (job?.stations.includes('weigh')) {
        const typedIn = scaleUnit(at.species, unit);
        take(readWeight(draft, String(Number(fromKg(kg, typedIn).toFixed(2))), typedIn));
      }
    },
  });

  const way = (drafts: readonly EntryDraft[]): WayBack => ({ kind: 'race', jobId: job?.id ?? '', by, drafts });
  /** A passage as something to take back: the newest deed to an animal takes the place of the one before. */
  const ofPassage = (entries: readonly Entry[], done: string) => ({
    done,
    undo: way(strikesOf(entries, say('taken back at the race'))),
    key: `${entries[0]?.writtenAt ?? ''} ${job?.id ?? ''}`,
  });
  /** Taken back by mistake, it is written down anew: a strike itself cannot be struck. */
  const again = (entries: readonly Entry[]): WayBack => way(entries.map(asDraft));

  const takeBackLast = (): void => {
    const last = passages.at(-1);
    if (!last) {
      buzz();
      return tell(say('Nobody has been through yet.'));
    }
    const name = animals.get(last.animalId)?.tag.text ?? say('the last one');
    void race.takeBack(last).then(() => {
      tell(say('Taken back: {name}.', { name }));
      undo.offer({ ...ofPassage(last.entries, say('Taken back {name}', { name })), undo: again(last.entries) });
    });
  };
  const onAnimalKey = (key: string, field: HTMLInputElement | undefined): boolean => {
    const isWords = field?.dataset.words !== undefined;
    const arrow = ARROWS[key];
    const gate = arrow && !isWords ? job?.gates.find((g) => g.key === arrow) : undefined;
    const letter = /^[a-zA-Z]$/.test(key) && !isWords ? key.toLowerCase() : undefined;
    const toggle = letter === undefined ? undefined : toggles.find((t) => t.letter === letter);
    if (key === 'Enter') enter();
    else if (gate && job?.stations.includes('sort')) chooseGate(gate.name);
    else if (letter === 'f' && isYoungJob) type({ sex: 'female' });
    else if (letter === 'm' && isYoungJob) type({ sex: 'male' });
    else if (toggle) setDraft(pressToggle(draft, at, toggle));
    else if (key === 'Backspace' && (field?.value ?? '') === '' && !isBegun(draft)) back();
    else return false;
    return true;
  };
  const held = job?.stations.includes('sort') && !isNumber ? meatHeld(draft, at) : undefined;
  const back = (): void => {
    setDamId(undefined);
    setBornAs(undefined);
    setDraft({ ...FRESH, aside: draft.aside, number: draft.number });
  };

  const unnumbered = useMemo(
    () => (isYoungJob || !job?.stations.includes('identify') ? [] : unnumberedOf(listed, passages)),
    [isYoungJob, job?.stations, listed, passages],
  );
  const field: FieldName | 'number' | undefined = isNumber ? 'number' : (lastField ?? fieldsAt(at)[0]);
  const padText =
    field === undefined ? '' : field === 'number' ? draft.number : fieldText(draft, field, proposedAt(at));
  const padType = (text: string): void => {
    if (field === 'number') type({ number: text, marked: undefined });
    else if (field) setDraft(typedField(draft, field, text));
  };

  return (
    <>
      <Main>
        <StorageNote />
        <Panel
          style={{ padding: 0, paddingBottom: 16 }}
          onFocus={(e) => {
            const name = /^race-(.+)$/.exec((e.target as HTMLElement).id)?.[1];
            setLastField(fieldsAt(at).find((f) => f === name));
          }}
        >
          {isNumber ? (
            <NumberStation
              draft={draft}
              unnumbered={unnumbered}
              on={on}
              matches={matches}
              animals={animals}
              label={isYoungJob ? say('Number of the next dam') : say('Number of the next animal')}
              onType={type}
              onChoose={(animalId) => setDraft(underDam(chooseAnimal(draft, animalId, through)))}
              onEnter={enter}
              onTakeBack={takeBackLast}
            />
          ) : (
            <AnimalStage
              draft={draft}
              at={at}
              damName={dam?.tag.text}
              bornAs={bornAs}
              onBornAs={setBornAs}
              toggles={toggles}
              lineKgPerDay={kindOf(figures, at.species)?.lineKgPerDay}
              groupName={(id) => groups?.find((g) => g.id === id)?.name ?? say('a group')}
              onChange={setDraft}
              onKey={onAnimalKey}
            />
          )}
          {isPanUsed(job) ? (
            <PanLine
              pan={jobSettings.weigh ?? {}}
              scale={scaleUnit(at.species, unit)}
              onChange={(pan) => {
                keepPan(job?.id, pan);
                setOwnPan(pan);
              }}
            />
          ) : null}
          <AsideReadings
            readings={draft.aside}
            isNumber={isNumber}
            onTake={(reading) => setDraft(takeUp(draft, reading))}
            onDrop={(reading) => setDraft({ ...draft, aside: draft.aside.filter((a) => a !== reading) })}
          />
          <InSight>
            <Message role="alert" data-shown={draft.message !== undefined || undefined}>
              {draft.message}
            </Message>
            {job?.stations.includes('sort') && !isNumber ? (
              <GateKeys
                gates={gates}
                chosen={draft.gate}
                suggested={suggestedGate(draft, at)}
                held={held && heldText(held)}
                unit={unit}
                counts={figures.gates}
                onChoose={chooseGate}
              />
            ) : null}
          </InSight>
        </Panel>
      </Main>
      <Aside aria-label={say('The job so far')}>
        <Scrolling tabIndex={0} role="group" aria-label={say('Figures of the job')}>
          <JobSoFar race={race} figures={figures} />
        </Scrolling>
        <Keypad
          onDigit={(digit) => padType(padText + digit)}
          onErase={() => padType(padText.slice(0, -1))}
          onEnter={enter}
          onTakeBack={takeBackLast}
        />
      </Aside>
    </>
  );
}

/** Those on the list that wear nothing and have not been through, group by group, the young of one dam together. */
function unnumberedOf(listed: readonly RosterAnimal[], passages: Race['passages']): RosterAnimal[] {
  const seen = new Set(passages.map((p) => p.animalId));
  const key = (a: RosterAnimal): string => `${a.groupName ?? ''} ${a.dam ?? ''} ${a.bornOn ?? ''}`;
  return listed
    .filter((a) => a.worn.length === 0 && !seen.has(a.tag.animalId))
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
}

/** The numbers it wears and wore that are read by eye. */
const visualsOf = ({ worn, formerly }: RosterAnimal): readonly string[] => [
  ...worn.flatMap(([text, , kind]) => (kind === 'visual' ? [text] : [])),
  ...formerly,
];

/** A pan stands on a scale; a crate, a tape and an eye have none. */
const isPanUsed = (job: Race['job']): boolean =>
  job?.stations.includes('litter') === true ||
  (job?.stations.includes('weigh') === true && (job.settings?.weigh?.method ?? 'scale') === 'scale');

/** The job's settings with the pan that was taken since. */
function withPan(settings: StationSettings, pan: Pan | undefined): StationSettings {
  if (!pan) return settings;
  const { tareKg: _, tareName: __, ...weigh } = settings.weigh ?? { method: 'scale' as const };
  return { ...settings, weigh: { ...weigh, ...pan } };
}

/** Numbers fitted and tubes filled in this job so far: the next ones follow from them. */
function writtenIn(
  passages: Race['passages'],
  animals: Race['animals'],
): Pick<AtHand, 'fitted' | 'tubes' | 'isPouredOn'> {
  const fitted: string[] = [];
  const tubes = new Map<string, { tube: string; animalId: string; name: string }>();
  let isPouredOn = false;
  for (const { animalId, entries } of passages)
    for (const entry of entries) {
      if (entry.type === 'treatment' && entry.route === 'pour-on') isPouredOn = true;
      if (entry.type === 'identifier') fitted.push(entry.text);
      if (entry.type === 'sample') {
        const name = animals.get(animalId)?.tag.text ?? say('another');
        tubes.set(normalised(entry.tube), { tube: entry.tube, animalId, name });
      }
    }
  return { fitted, tubes, isPouredOn };
}

/** However many stations there are, what is to be said and the gates stay in sight. */
const InSight = styled.div`
  position: sticky;
  /* As far down as the room around the animal goes, so that nothing shows below it. */
  bottom: -${space(4)};
  background: ${colour('panel')};
  ${phone} {
    bottom: ${KEYS_HIGH}px;
    z-index: 1;
  }
`;
const Message = styled.p`
  margin: 0 ${space(5)};
  ${phone} {
    margin: 0 ${space(2)};
  }
  &[data-shown] {
    padding: ${space(2)} ${space(3)};
    background: ${colour('weldWash')};
    border-left: 5px solid ${colour('weldFill')};
    border-radius: ${radius};
    font-weight: 600;
  }
`;
