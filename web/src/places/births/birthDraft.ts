import type { BirthEntry, DamView } from '@yaylak/contract';
import {
  parseMoment,
  readTypedWeight,
  scaleUnit,
  toKg,
  type Afterbirth,
  type Ease,
  type Mothering,
  type Presentation,
  type Sex,
  doubtForAge,
  doubtLitter,
  type Species,
  type SpeciesSettings,
  type WeightUnit,
} from '@yaylak/core';
import { checkReadingText, litterDoubtText } from '../../words/doubts';
import type { EntryDraft } from '../../outbox/useRecord';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

/** One young as it is typed. */
export interface YoungTyped {
  readonly key: string;
  readonly sex: Sex;
  readonly isDead: boolean;
  /** On the scale, as typed; empty is not weighed. */
  readonly weight: string;
  readonly hasSucked: boolean;
}

/** A birth as it is typed. */
export interface BirthTyped {
  readonly on: string;
  /** `06:10`; empty is not known. */
  readonly hour: string;
  readonly young: readonly YoungTyped[];
  /** Of a litter that is counted and not written down one by one. */
  readonly alive: string;
  readonly dead: string;
  readonly together: string;
  readonly ease: Ease;
  readonly presentation: Presentation | '';
  readonly help: string;
  readonly mothering: Mothering | '';
  readonly afterbirth: Afterbirth | '';
  /** Undefined as long as nobody chose: who is sure is taken. */
  readonly sireId: string | undefined;
  readonly reason: string;
}

export const aBirth = (on: string, hour: string): BirthTyped => ({
  on,
  hour,
  young: [],
  alive: '',
  dead: '0',
  together: '',
  ease: 'alone',
  presentation: '',
  help: '',
  mothering: '',
  afterbirth: '',
  sireId: undefined,
  reason: '',
});

/** A sire is written down with the young from so sure on, unless somebody says otherwise. */
const SURE_FROM = 0.9;
export const sureSire = (dam: Pick<DamView, 'sires'>): string =>
  dam.sires[0] && dam.sires[0].probability >= SURE_FROM ? dam.sires[0].tag.animalId : '';

/** How many alive and dead; undefined where a count is no whole number. */
export function countsOf(
  birth: Pick<BirthTyped, 'young' | 'alive' | 'dead'>,
  isByCount: boolean,
): { readonly alive: number; readonly dead: number } | undefined {
  if (!isByCount) {
    const dead = birth.young.filter((y) => y.isDead).length;
    return { alive: birth.young.length - dead, dead };
  }
  const [alive, dead] = [whole(birth.alive), whole(birth.dead)];
  return alive === undefined || dead === undefined ? undefined : { alive, dead };
}

const whole = (text: string): number | undefined => (/^\d{1,2}$/.test(text.trim()) ? Number(text.trim()) : undefined);

interface Settled {
  readonly dam: DamView;
  readonly unit: WeightUnit;
  readonly isByCount: boolean;
  /** Of which species' list it is written. */
  readonly species: DamView['species'];
}

/** The entries of a birth, the dam's first; or what is missing, in words. */
export function birthEntries(
  birth: BirthTyped,
  { dam, unit, isByCount, species }: Settled,
): readonly EntryDraft[] | string {
  const { on, hour } = birth;
  const damId = dam.tag.animalId;
  const at = hour === '' ? undefined : `${on}T${hour}`;
  if (at !== undefined && parseMoment(at) === undefined) return say('At: give the hour as 06:10, or leave it out.');
  const counts = countsOf(birth, isByCount);
  if (!counts) return say('Alive and dead: count them as whole numbers.');
  if (counts.alive + counts.dead === 0) return say('Nobody yet: press Female, Male or Dead for each that was born.');
  const scale = scaleUnit(dam.species, unit);
  const kgs: (number | undefined)[] = [];
  for (const text of isByCount ? [birth.together] : birth.young.map((y) => y.weight)) {
    const kg = text.trim() === '' ? undefined : readTypedWeight(text, scale);
    if (kg && (kg.kind !== 'number' || !(kg.value > 0)))
      return say('“{text}” is not a weight. Type what the scale says in {scale}, or leave it out.', { text, scale });
    kgs.push(kg?.kind === 'number' ? Number(toKg(kg.value, scale).toFixed(4)) : undefined);
  }
  const dead = birth.young.flatMap((y, i) => (y.isDead ? [{ sex: y.sex, ...maybe('kg', kgs[i]) }] : []));
  const birthEntry: EntryDraft = {
    type: 'birth',
    animalId: damId,
    on,
    ...maybe('at', at),
    ...counts,
    ...(isByCount || dead.length === 0 ? {} : { deadYoung: dead }),
    ease: birth.ease,
    ...maybe('presentation', orNot(birth.presentation)),
    ...maybe('help', orNot(birth.help.trim())),
    ...maybe('mothering', orNot(birth.mothering)),
    ...maybe('afterbirth', orNot(birth.afterbirth)),
    ...(isByCount ? maybe('litterKg', kgs[0]) : {}),
    species,
    ...maybe('reason', orNot(birth.reason.trim())),
  } as Omit<BirthEntry, 'id' | 'writtenAt' | 'writtenBy' | 'source'>;
  const born = isByCount
    ? Array.from({ length: counts.alive }, () => ({ sex: 'unknown' as Sex, kg: undefined, hasSucked: false }))
    : birth.young.flatMap((y, i) => (y.isDead ? [] : [{ sex: y.sex, kg: kgs[i], hasSucked: y.hasSucked }]));
  const litter: EntryDraft[] =
    isByCount && kgs[0] !== undefined && counts.alive > 0
      ? [{ type: 'litter-weight', animalId: damId, on, totalKg: kgs[0], count: counts.alive }]
      : [];
  return [birthEntry, ...litter, ...born.flatMap((y) => youngEntries(y, birth, dam, counts.alive + counts.dead))];
}

/** What is doubtful of the weights of a birth, each in a sentence: no young of the species is born so heavy or so light. */
export const birthWeightDoubts = (
  entries: readonly EntryDraft[],
  {
    species,
    unit,
    settings,
  }: { readonly species: Species; readonly unit: WeightUnit; readonly settings: SpeciesSettings },
): string[] =>
  entries.flatMap((entry) => {
    if (entry.type === 'litter-weight')
      return doubtLitter(entry, { heads: undefined, ageDays: 0 }, settings).map((d) =>
        litterDoubtText(d, unit, species),
      );
    const doubt = entry.type === 'weight' ? doubtForAge(entry.kg, 0, settings) : undefined;
    return doubt && entry.type === 'weight' ? [checkReadingText(entry.kg, doubt, unit, species)] : [];
  });

function youngEntries(
  { sex, kg, hasSucked }: { readonly sex: Sex; readonly kg: number | undefined; readonly hasSucked: boolean },
  { on, hour, sireId }: BirthTyped,
  dam: DamView,
  birthType: number,
): EntryDraft[] {
  const animalId = newId();
  return [
    {
      type: 'arrival',
      animalId,
      on,
      how: 'born',
      species: dam.species,
      sex,
      bornOn: on,
      damId: dam.tag.animalId,
      ...maybe('sireId', orNot(sireId ?? '')),
      birthType,
    },
    ...(dam.groupId === null ? [] : [{ type: 'move', animalId, on, groupId: dam.groupId } as const]),
    ...(kg === undefined ? [] : [{ type: 'weight', animalId, on, kg, method: 'scale' } as const]),
    ...(hasSucked && hour !== ''
      ? [{ type: 'colostrum', animalId, on, at: `${on}T${hour}`, how: 'sucked' } as const]
      : []),
  ];
}

const orNot = <T extends string>(value: T | ''): T | undefined => (value === '' ? undefined : value);
const maybe = <K extends string, T>(key: K, value: T | undefined): Partial<Record<K, T>> =>
  value === undefined ? {} : ({ [key]: value } as Partial<Record<K, T>>);
