import { electronicText, type GoneNumber, type RosterAnimal, say } from '@yaylak/contract';
import {
  normalised,
  readElectronicNumber,
  type BodyMeasure,
  type FatPlace,
  type DepartureWay,
  type LookGrade,
  type Match,
  type Mob,
  type ScaleUnit,
  type Sex,
  type WeightUnit,
} from '@yaylak/core';
import { fullDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { answerTag, type RaceNumber } from './answers';
import type { Passage } from './raceLog';

/** Stands for the animal of a number nobody wears. */
export const STRANGER = 'unknown';

/** What is typed at the stations, by the field it is typed in. */
export type FieldName =
  | 'weight'
  | 'score'
  | 'score2'
  | BodyMeasure
  | 'shape'
  | FatPlace
  | 'litterKg'
  | 'litterCount'
  | 'scan'
  | 'learnerAge'
  | 'tube'
  /** Why she is tested before the test can tell. */
  | 'reason'
  /** Why it passes without what the job is for. */
  | 'why'
  | 'note'
  | 'visual'
  | 'electronic';

/** A reading that found no animal: a number nobody wears, or a weight no number came with. It stays until it is used. */
export interface AsideReading {
  readonly kind: 'number' | 'weight';
  readonly text: string;
}

/** What is being typed and chosen of the animal at hand. */
export interface Draft {
  readonly number: string;
  readonly marked: number | undefined;
  readonly animalId: string | undefined;
  /** A field that is not here holds what was proposed for it. */
  readonly fields: Readonly<Partial<Record<FieldName, string>>>;
  /** Amounts typed over those proposed, by product. */
  readonly amounts: Readonly<Record<string, string>>;
  readonly grades: Readonly<Record<string, LookGrade>>;
  /** What of the job is not done to this one. */
  readonly leftOut: readonly string[];
  /** Works that hurt are done only where they were pressed for this one. */
  readonly pressed: readonly string[];
  /** Entries of identifiers it has lost. */
  readonly lost: readonly string[];
  /** What was found on her: marks of males, and what a scan showed. */
  readonly marks: readonly string[];
  /** Of a young one that is added. */
  readonly sex: Sex | undefined;
  readonly gate: string | undefined;
  /** Chosen over what the score suggests. */
  readonly mob: Mob | undefined;
  /** The weight stood in the crate and was not typed. */
  readonly isFromCrate: boolean;
  /** A number read while this one is at hand: it comes next. */
  readonly next: string | undefined;
  readonly aside: readonly AsideReading[];
  readonly message: string | undefined;
  /** What a second Enter would confirm. */
  readonly asked: readonly string[];
}

export const FRESH: Draft = {
  number: '',
  marked: undefined,
  animalId: undefined,
  fields: {},
  amounts: {},
  grades: {},
  leftOut: [],
  pressed: [],
  lost: [],
  marks: [],
  sex: undefined,
  gate: undefined,
  mob: undefined,
  isFromCrate: false,
  next: undefined,
  aside: [],
  message: undefined,
  asked: [],
};

/** The draft after something was typed or chosen: what was said before no longer holds. */
export const typed = (draft: Draft, change: Partial<Draft>): Draft => ({
  ...draft,
  message: undefined,
  asked: [],
  ...change,
});

export const typedField = (draft: Draft, name: FieldName, text: string): Draft =>
  typed(draft, {
    fields: { ...draft.fields, [name]: text },
    ...(name === 'weight' ? { isFromCrate: false } : {}),
  });

/** Puts something of the job off for this one, or on again. */
export const toggled = (list: readonly string[], key: string): string[] =>
  list.includes(key) ? list.filter((k) => k !== key) : [...list, key];

/** What one Enter or one reading led to; a refused one is heard as well as read. */
export interface Entered {
  readonly draft: Draft;
  readonly isRefused: boolean;
}
export const goOn = (draft: Draft): Entered => ({ draft, isRefused: false });
export const refuse = (draft: Draft, message: string, asked: readonly string[] = []): Entered => ({
  draft: { ...draft, message, asked },
  isRefused: true,
});

export interface Through {
  readonly passages: readonly Passage[];
  readonly listedIds: ReadonlySet<string>;
  readonly unit: WeightUnit;
  readonly gone: readonly GoneNumber[];
}

/** The draft with its animal known: seen before or not on the list, it says so. A weight that stood in the crate stays. */
export function chooseAnimal(draft: Draft, animalId: string, { passages, listedIds, unit }: Through): Draft {
  const again = passages.findLast((p) => p.animalId === animalId);
  const chosen: Draft = { ...draft, animalId, asked: [], message: undefined };
  if (again) {
    const at = again.kg === undefined ? '' : ` ${say('at {weight}', { weight: weightText(again.kg, unit) })}`;
    return { ...chosen, message: say('Seen before{at}. Enter records it a second time.', { at }) };
  }
  if (!listedIds.has(animalId)) return { ...chosen, message: say('Not on the list. It will be recorded anyway.') };
  return chosen;
}

/** Enter on a number. */
export function enterNumber(draft: Draft, matches: readonly Match<RaceNumber>[], through: Through): Entered {
  const answer = answerTag(matches, draft.number, draft.marked);
  switch (answer.kind) {
    case 'animal':
      return goOn(chooseAnimal(draft, answer.animalId, through));
    case 'several':
      return refuse(
        draft,
        answer.isWorn
          ? say('{n} animals wear “{number}”. Choose with the arrow keys: the colour tells them apart.', {
              n: answer.animalIds.length,
              number: draft.number,
            })
          : say('{n} animals fit “{number}”. Type more, or choose with the arrow keys.', {
              n: answer.animalIds.length,
              number: draft.number,
            }),
      );
    case 'unknown': {
      const slip = electronicSlip(answer.number);
      if (slip !== undefined) return refuse(draft, slip);
      return draft.asked.includes('unknown')
        ? goOn({
            ...draft,
            number: answer.number,
            animalId: STRANGER,
            marked: undefined,
            message: undefined,
            asked: [],
          })
        : refuse(draft, unknownWords(answer.number, through.gone), ['unknown']);
    }
    case 'nothing-typed':
      return goOn(draft);
  }
}

/** A long row of digits is meant as an electronic number: one that cannot be read as such is a slip, and no animal. */
function electronicSlip(number: string): string | undefined {
  if (number.replace(/\D/g, '').length < LONG_DIGITS || /[a-wyz]/i.test(number)) return undefined;
  const read = readElectronicNumber(number);
  return read.kind === 'refused' ? electronicText(read.reason, number, read.length) : undefined;
}
const LONG_DIGITS = 12;

const LEFT_WORDS: Readonly<Record<DepartureWay, string>> = {
  died: say('died'),
  lost: say('was lost'),
  sold: say('was sold'),
  slaughtered: say('was slaughtered'),
  elsewhere: say('was recorded as a parent'),
};

/** Nobody here wears it: who did, if one did, so that a tag found in the grass is not taken for an animal. */
function unknownWords(number: string, gone: readonly GoneNumber[]): string {
  const plain = normalised(number);
  const left = gone.filter((g) => normalised(g.text) === plain).sort((a, b) => (a.on < b.on ? 1 : -1))[0];
  if (!left)
    return say('No animal here is tagged “{number}”. Enter again takes it in and asks later who it is.', { number });
  const what = LEFT_WORDS[left.how];
  return say(
    '“{number}” is {name}’s, who {what} on {date}. Read the tag again. If it stands here, Enter again takes it in and asks later who it is.',
    { number, name: left.name, what, date: fullDate(left.on) },
  );
}

/** Whether anything but the number has been typed or chosen for the animal at hand. */
export const isBegun = (d: Draft): boolean =>
  Object.values(d.fields).some((text) => text !== '') ||
  Object.keys(d.grades).length > 0 ||
  Object.keys(d.amounts).length > 0 ||
  d.leftOut.length > 0 ||
  d.pressed.length > 0 ||
  d.lost.length > 0 ||
  d.marks.length > 0 ||
  d.sex !== undefined ||
  d.mob !== undefined ||
  d.gate !== undefined;

const ELECTRONIC = /^\d{15}$/;

export interface NumberRead {
  readonly digits: string;
  /** Whom the number means, as the race looks it up. */
  readonly matches: readonly Match<RaceNumber>[];
  /** The job fits electronic tags: a number nobody wears is the one just fitted. */
  readonly isFitting: boolean;
  /** The animal at hand could be recorded as it stands: in a job of treating there is nothing to type. */
  readonly isReady: boolean;
}

/**
 * A number from a stick. With an animal at hand it is that animal again, the tag just fitted, a wrong animal read (if
 * nothing was typed yet and something has to be), or the next one in the race, which then waits its turn: no reading is
 * dropped.
 */
export function readNumber(draft: Draft, read: NumberRead, through: Through): Entered {
  const { digits, matches, isFitting, isReady } = read;
  const exact = matches.filter((m) => m.rank === 'exact');
  if (draft.animalId === undefined) {
    // A number that was read and not taken up yet: nobody wears it, or it came while another animal was at hand.
    const isRead = draft.asked.includes('unknown') || ELECTRONIC.test(draft.number);
    const isWaiting = isRead && draft.number !== digits;
    const kept = isWaiting ? putAside(draft, { kind: 'number', text: draft.number }) : draft;
    return enterNumber(typed(kept, { number: digits, marked: undefined }), exact, through);
  }
  const wearer = exact[0]?.found.animalId;
  if (wearer === draft.animalId) return goOn(draft);
  if (wearer === undefined && isFitting) return goOn(typedField(draft, 'electronic', digits));
  if (isBegun(draft) || isReady || wearer === undefined)
    return refuse(
      {
        ...(draft.next && draft.next !== digits ? putAside(draft, { kind: 'number', text: draft.next }) : draft),
        next: digits,
      },
      say('Another animal was read: {n}. Finish this one with Enter; the other comes next.', {
        n: exact[0]?.found.text ?? digits,
      }),
    );
  const next = chooseAnimal({ ...FRESH, aside: draft.aside, number: digits }, wearer, through);
  return {
    draft: {
      ...next,
      message: say('Another animal was read, so this one is not recorded. {n}', { n: next.message ?? '' }).trim(),
    },
    isRefused: true,
  };
}

/** A weight that has settled in the crate. It fills itself in, before or after the number. */
export function readWeight(draft: Draft, text: string, unit: ScaleUnit): Entered {
  const isTyped = (draft.fields.weight ?? '') !== '' && !draft.isFromCrate;
  if (isTyped && draft.fields.weight !== text)
    return refuse(
      draft,
      say('The crate says {text} {unit}; {n} was typed and stays. Empty the field to take the crate’s.', {
        text,
        unit,
        n: draft.fields.weight ?? '',
      }),
    );
  const before = draft.fields.weight ?? '';
  const isLoose = draft.animalId === undefined && before !== '' && before !== text;
  const kept = isLoose ? putAside(draft, { kind: 'weight', text: before }) : draft;
  const filled = { ...typedField(kept, 'weight', text), isFromCrate: true };
  if (draft.animalId !== undefined) return goOn(filled);
  return {
    draft: {
      ...filled,
      message: say('{text} {unit} stand in the crate and no number was read. Scan or type it.', { text, unit }),
    },
    isRefused: false,
  };
}

/** What the next animal starts with: the number read meanwhile, if one was. */
export const afterwards = (draft: Draft): Draft => ({ ...FRESH, aside: draft.aside, number: draft.next ?? '' });

const putAside = (draft: Draft, reading: AsideReading): Draft => ({ ...draft, aside: [...draft.aside, reading] });

/** Takes a reading that was kept aside up again: a weight into the field, a number into the race. */
export function takeUp(draft: Draft, reading: AsideReading): Draft {
  const rest = { ...draft, aside: draft.aside.filter((a) => a !== reading) };
  if (reading.kind === 'weight') return { ...typedField(rest, 'weight', reading.text), isFromCrate: true };
  return typed(rest, { number: reading.text, marked: undefined });
}

/** An animal not in the book yet, as the race shows it. */
export const nobody = (
  a: Pick<RosterAnimal, 'species' | 'sex' | 'bornOn' | 'tag'> & Partial<RosterAnimal>,
): RosterAnimal => ({
  birthType: null,
  rearingType: null,
  dam: null,
  damId: null,
  sire: null,
  groupId: null,
  groupName: null,
  weights: [],
  worn: [],
  formerly: [],
  withheld: [],
  given: [],
  scores: [],
  mob: null,
  femaleKind: 'usual',
  points: null,
  ...a,
});
