import {
  fromKg,
  scaleUnit,
  type ParentageFault,
  type ParentRole,
  type ElectronicRefusal,
  type PairRefusal,
  type Refusal,
  type Relation,
  type ScaleUnit,
  type WeightUnit,
  type ChangeRefusal,
  type SexEvidence,
  type TooSmall,
  type Species,
} from '@yaylak/core';
import { birthQuestionText } from './birthWords';
import { femaleReasonText, maleReasonText } from './matingWords';
import { tooSoonText } from './pregnancyWords';
import { dayText, momentText } from './dayText';
import { percentText } from './shares';
import { say } from './say/say';
import { told } from './say/told';
import { SPECIES_WORDS } from './speciesWords';
import { fixedText, shortFigure } from './say/figures';
import { capital } from './say/letters';

/** How an animal of a refusal is named; ids mean nothing to people. */
export type NameOf = (animalId: string) => string;

/** A refusal as a person reads it: what is wrong with which value, and what to do. */
export function refusalText(
  refusal: Refusal | ChangeRefusal,
  nameOf: NameOf = () => say('another animal'),
  unit: WeightUnit = 'kg',
): string {
  const { value } = refusal;
  switch (refusal.code) {
    case 'unknown-animal':
      return say('This animal is not in the book. Add it first.');
    case 'animal-known':
      return say('This animal is already recorded.');
    case 'unknown-group':
      return say('There is no such group. Choose one of the holding’s groups.');
    case 'unknown-identifier':
      return say('This animal never had that tag.');
    case 'identifier-ended':
      return say('That tag is already recorded as lost or removed.');
    case 'in-future':
      return say('{date} is in the future. Enter today or earlier.', { date: dayText(value) });
    case 'empty':
      return say('A number needs at least one letter or digit.');
    case 'before-birth':
      return say('{date} is before its birth on {date2}. Check the date, or the birth date.', {
        date: dayText(value),
        date2: dayText(refusal.bornOn),
      });
    case 'born-too-long-ago':
      return say('{name} do not live {oldestYears} years: {date} is a slip of the year.', {
        name: SPECIES_WORDS[refusal.species].name,
        oldestYears: refusal.oldestYears,
        date: dayText(refusal.value),
      });
    case 'born-after-arrival':
      return say('Born {date}, after it came on {date2}. Check the two dates.', {
        date: dayText(value),
        date2: dayText(refusal.on),
      });
    case 'entry-before-birth':
      return say(
        'Born {date} would be after its first entry on {date2}. Correct the date, or delete that entry first.',
        { date: dayText(value), date2: dayText(refusal.on) },
      );
    case 'young-not-younger':
      return say('Born {date} would not be before {name}, its young, born {date2}. Correct the date.', {
        date: dayText(value),
        name: nameOf(refusal.youngId),
        date2: dayText(refusal.on),
      });
    case 'sex-contradicted':
      return say('It is on record with {evidence}. Delete or correct those first if they are wrong.', {
        evidence: evidenceText(refusal.evidence),
      });
    case 'gone':
      return say('It left the holding on {date}. If that is wrong, delete it first.', {
        date: dayText(refusal.goneOn),
      });
    case 'reserved':
      return say('It is kept for {value}{value2}. Let that go first.', {
        value,
        value2: refusal.until === undefined ? '' : ` ${say('until {date}', { date: dayText(refusal.until) })}`,
      });
    case 'unknown-reservation':
      return say('There is no such reservation of this animal. Look at its page again.');
    case 'reservation-ended':
      return say('That reservation was let go already. There is nothing more to do.');
    case 'deposit-over-price':
      return say('A deposit of {value} is more than the price. Correct one of them.', { value });
    case 'under-label':
      return say('{tooSmall} Leave it out; if your vet ordered it, record it off the label with the vet’s days.', {
        tooSmall: tooSmallText(refusal.small, unit),
      });
    case 'far-from-label':
      return say('{value} {unit} is {times} the label’s {number} {unit}. Correct the amount, or give the reason.', {
        value,
        unit: refusal.unit,
        times: timesText(refusal.times),
        number: shortFigure(refusal.exact, 3),
      });
    case 'castrated':
      return say('It was castrated on {date}. If that is wrong, delete it first.', { date: dayText(refusal.on) });
    case 'meat-withheld':
      return say('Its meat is withheld to the end of {date}. It may go for slaughter from {date2}.', {
        date: dayText(refusal.until),
        date2: dayText(refusal.clearOn),
      });
    case 'buyer-not-told':
      return say('Meat or milk is withheld to the end of {date}. Tell the buyer, and tick that you did.', {
        date: dayText(refusal.until),
      });
    case 'weight-not-positive':
      return say('A weight of {shown} is not possible. Enter the scale reading.', {
        shown: shown(Number(value), unit),
      });
    case 'weight-too-high':
      return say(
        '{shown} is heavier than {plural} here should be (limit {shown2}). Check the figure, or raise the limit under Holding.',
        {
          shown: shown(Number(value), scaleUnit(refusal.species, unit)),
          plural: SPECIES_WORDS[refusal.species].plural,
          shown2: shown(refusal.heaviestKg, scaleUnit(refusal.species, unit)),
        },
      );
    case 'unknown-job':
      return say('The job this was recorded in is not in the book. Start a job, or record it outside one.');
    case 'unknown-product':
      return say('This product is not on the list. Add it under Remedies with what its label says.');
    case 'amount-not-positive':
      return say('An amount of {value} is not possible. Enter how much was given.', { value });
    case 'withdrawal-needed':
      return say(
        'The withdrawal for meat is missing. Enter the label’s days, 0 if it says none; off the label, the days your vet gave.',
      );
    case 'not-sold':
      return say(
        'A buyer, an outlet, a price or a weight at the sale is said of one that was sold or slaughtered. Leave it out, or choose how it left.',
      );
    case 'not-killed':
      return refusal.left
        ? say('It {value} on {date}, and was not killed. Look at the tag: another one may be meant.', {
            value: refusal.left.how === 'died' ? say('died') : say('was lost'),
            date: dayText(refusal.left.on),
          })
        : say('It has not left to be killed. Record that it left first, or look at the tag: another one may be meant.');
    case 'carcass-known':
      return say('Its result of {date} is already recorded. If that is wrong, delete it first.', {
        date: dayText(refusal.on),
      });
    case 'result-of-another-time':
      return say('It left on {date}, so a result of {date2} is not its own. Check the day, or the tag.', {
        date: dayText(refusal.goneOn),
        date2: dayText(value),
      });
    case 'carcass-over-live':
      return say('A carcass of {shown} is not possible: it weighed {shown2} alive. Check the figure, or the tag.', {
        shown: shown(Number(value), unit),
        shown2: shown(refusal.liveKg, unit),
      });
    case 'deducted-over-price':
      return say('More is taken off than was paid. Check the two figures.');
    case 'nothing-felt':
      return say('Neither shape nor fat was given. Feel the tail-head, loin, ribs or brisket, or look at the shape.');
    case 'not-a-class':
      return say('{value} is not a step of the classes. They go in thirds from 1 (P- and 1-) to 15 (E+ and 5+).', {
        value,
      });
    case 'nothing-measured':
      return say('Nothing was measured. Give the height, the length or the girth, in centimetres.');
    case 'measure-not-believed':
      return say(
        '{value} cm is not a body measure of {plural} (over 0, up to {longestCm}). Read the stick again, or raise the limit under Holding.',
        { value, plural: SPECIES_WORDS[refusal.species].plural, longestCm: refusal.longestCm },
      );
    case 'nothing-looked-at':
      return say('Nothing was looked over. Give at least one standard.');
    case 'not-a-dam':
      return say('A litter is recorded with its dam, and this animal is not a female.');
    case 'not-a-score':
      return say(
        'A score of {value} is not possible. Scores go from 1 to 5 by halves or quarters, such as 2.5 or 3.25.',
        { value },
      );
    case 'tube-taken':
      return say('Tube {value} is {name}’s already. Check the tube and re-enter its number.', {
        value,
        name: nameOf(refusal.animalId),
      });
    case 'number-worn':
      return say('{value}{value2} is already on {name}, which is here. Choose another number or colour.', {
        value: refusal.colour ? `${capital(refusal.colour)} ` : '',
        value2: value,
        name: nameOf(refusal.wearerId),
      });
    case 'electronic':
      return electronicText(refusal.reason, value, refusal.length);
    case 'reared-more-than-born':
      return say('Reared as one of {value}, but born as one of {born}. Check the two figures.', {
        value,
        born: refusal.born,
      });
    case 'not-a-female':
      return say('Only a female comes on heat and is served. Choose another animal, or correct its sex first.');
    case 'not-a-male':
      return say('{name} is not a male. Choose another, or correct its sex first.', { name: nameOf(value) });
    case 'no-sire':
      return say('Say who served her: a male of the holding, the code of a straw, or a male from elsewhere.');
    case 'unknown-male':
      return say('That male is not in the book. Add him first.');
    case 'male-of-other-species':
      return say('{name} is of another species.', { name: nameOf(value) });
    case 'male-gone':
      return say('{name} left the holding on {date}. Choose another, or check the day.', {
        name: nameOf(value),
        date: dayText(refusal.goneOn),
      });
    case 'unknown-stay':
      return say('He was never put in with that group. Record that first.');
    case 'stay-ended':
      return say('He was taken out already.');
    case 'time-of-other-day':
      return say('{moment} is not on {date}. Check the day and the hour.', {
        moment: momentText(value),
        date: dayText(refusal.on),
      });
    case 'pair':
      return say('{pair} Choose another male, or give the reason.', { pair: pairText(refusal, nameOf(value)) });
    case 'later-than-now':
      return say('{moment} is later than now. Correct the day or the time.', { moment: momentText(value) });
    case 'held-back':
      return say('{word} is not ready to mate: {list}. Choose another, or give a reason.', {
        word: capital(nameOf(value)),
        list: refusal.reasons.map((r) => femaleReasonText(r, unit)).join('; '),
      });
    case 'male-held-back':
      return say('{word} is not ready to be used: {list}. Choose another, or give a reason.', {
        word: capital(nameOf(value)),
        list: refusal.reasons.map((r) => maleReasonText(r, unit)).join('; '),
      });
    case 'not-with-these':
      return say(
        '{word} should not run with {listed}: too closely related, or too young. Move them out first, or give a reason.',
        { word: capital(nameOf(value)), listed: listed(refusal.femaleIds.map(nameOf)) },
      );
    case 'does-not-carry':
      return say('Only a female carries young. Choose another animal, or correct its sex first.');
    case 'young-of-empty':
      return say('An empty female has no young to count or age. Mark her in young, or leave the figure blank.');
    case 'age-too-high':
      return say('Foetal age {value} days is longer than a pregnancy (about {mostDays} days at most). Check the age.', {
        value,
        mostDays: refusal.mostDays,
      });
    case 'no-such-test':
      return say('{name} are not tested that way here. Choose another, or set it up under Holding.', {
        name: SPECIES_WORDS[refusal.species].name,
      });
    case 'unknown-sample':
      return say('No such tube was filled from this animal. Look at the number on the tube.');
    case 'tube-answered':
      return say('This tube is answered already. If the first result is wrong, delete it.');
    case 'test-too-soon':
      return say('{tooSoon} Wait until then, or give the reason; its result then counts as doubtful.', {
        tooSoon: tooSoonText(refusal.test),
      });
    case 'gives-no-birth':
      return say('Only a female gives birth and rears young. Choose another animal, or correct its sex first.');
    case 'nobody-born':
      return say('Nobody was born. Count at least one, alive or dead; record an abortion under Carrying.');
    case 'more-dead-than-told':
      return say('You described more dead young than you counted. Count again.');
    case 'birth-known':
      return say('Her birth of {date} is already recorded. If it is wrong, delete it there, or add the young to it.', {
        date: dayText(refusal.on),
      });
    case 'no-birth-before':
      return say('No birth of hers is on record shortly before {date}. Record the birth first.', {
        date: dayText(value),
      });
    case 'no-age':
      return say('No birth date on record. Add it on its page first.');
    case 'too-old-for-colostrum':
      return say(
        'It was {ageDays} days old then; colostrum can only be recorded in the first three days. Check the day.',
        { ageDays: refusal.ageDays },
      );
    case 'own-mother':
      return say('An animal cannot be its own dam. Choose its dam.');
    case 'ends-before-it-begins':
      return say('It begins on {date}, which is not before its last day. Check the two days.', {
        date: dayText(value),
      });
    case 'already-weaned':
      return say('It is weaned already. If that is wrong, delete it first.');
    case 'dam-gone':
      return say('{name} is no longer on the holding. Choose another dam.', { name: nameOf(value) });
    case 'birth-questioned':
      return say('{list} Check, or give the reason.', { list: refusal.questions.map(birthQuestionText).join(' ') });
    case 'parentage':
      return parentageText(refusal.fault, refusal.role, nameOf(value));
  }
}

/** `The label is for animals from 30 days old; this one is 2 days old.` */
export function tooSmallText(small: TooSmall, unit: WeightUnit): string {
  if (small.reason === 'too-young')
    return say(
      'The label is for animals from {fromDays} days old; this one is {ageDays} {ageDays, plural, one {day} other {days}} old.',
      { fromDays: small.fromDays, ageDays: small.ageDays },
    );
  return say('The label is for animals from {shown}; this one is {shown2}.', {
    shown: shown(small.fromKg, unit),
    shown2: shown(small.kg, unit),
  });
}

/** `2.5 times`, with fewer digits the more it is. */
export const timesText = (times: number): string =>
  say('{value} times', { value: times >= 10 ? Math.round(times) : fixedText(times, times < 1 ? 2 : 1) });

/** Two that are not put together. */
export interface PairRefused {
  readonly refusal: PairRefusal;
  readonly inbreeding: number;
  readonly species: Species;
}

/** Why two are not put together, with the figure. */
export function pairText({ refusal, inbreeding, species }: PairRefused, male: string): string {
  const young = SPECIES_WORDS[species].young.unknown;
  const theirs = say('their {value} would be {percent} inbred', { value: young[1], percent: percentText(inbreeding) });
  switch (refusal.code) {
    case 'relation':
      return say('{word} is her {relation}: {theirs}.', {
        word: capital(male),
        relation: RELATION_WORDS[refusal.relation],
        theirs,
      });
    case 'inbreeding':
      return say('{word} is too closely related: {theirs}, and the limit is {percent}.', {
        word: capital(male),
        theirs,
        percent: percentText(refusal.most),
      });
    case 'carriers':
      return say('Both may carry {gene}: one {value} in {n} would be affected.', {
        gene: refusal.gene,
        value: young[0],
        n: Math.max(1, Math.round(1 / refusal.affected)),
      });
  }
}

export const RELATION_WORDS: Readonly<Record<Relation, string>> = told({
  parent: 'sire',
  young: 'son',
  'full-sib': 'full brother',
  'half-sib': 'half-brother',
  grandparent: 'grandsire',
  grandyoung: 'grandson',
});

const shown = (kg: number, unit: ScaleUnit): string => `${Math.round(fromKg(kg, unit) * 100) / 100}\u00a0${unit}`;

/** Why an electronic number was not taken. */
export function electronicText(reason: ElectronicRefusal, typed: string, length?: number): string {
  switch (reason) {
    case 'empty':
      return say('An electronic number has 15 digits. Scan or type them.');
    case 'letters':
      return say('“{typed}” has something else than digits in it. An electronic number is 15 digits.', { typed });
    case 'wrong-length':
      return say('“{typed}” has {n} digits; an electronic number has 15. Scan it again.', {
        typed,
        n: length ?? say('the wrong number of'),
      });
    case 'national-too-high':
      return say(
        '“{typed}” is above the highest number there can be (274 877 906 943 after the first three digits). Scan it again.',
        { typed },
      );
    case 'no-such-prefix':
      return say('“{typed}” begins with 000, which is neither a country nor a maker. Scan it again.', { typed });
    case 'not-an-animals':
      return say('“{typed}” is not an animal’s number: its animal bit is not set.', { typed });
  }
}

function parentageText(fault: ParentageFault, role: ParentRole, name: string): string {
  switch (fault.code) {
    case 'unknown-parent':
      return say('The {role} is not in the book. Add {value} first.', {
        role,
        value: role === 'dam' ? say('her') : say('him'),
      });
    case 'parent-of-other-species':
      return say('{name} is of another species and cannot be the {role}.', { name, role });
    case 'parent-of-wrong-sex':
      return say('{name} is {value} and cannot be the {role}. Choose another, or correct its sex first.', {
        name,
        value: fault.sex === 'unknown' ? say('of unknown sex') : fault.sex,
        role,
      });
    case 'parent-not-older':
      return say('{name} is not older than this animal and cannot be the {role}. Check the birth dates.', {
        name,
        role,
      });
    case 'own-ancestor':
      return say('{name} descends from this animal, or is it. An animal cannot be its own ancestor.', { name });
  }
}

/** The first few by name, the others counted: `a, b and c`, `a, b, c, d and 3 more`. */
export function listed(names: readonly string[]): string {
  const more = names.length - NAMED;
  if (more > 0) return say('{list} and {more} more', { list: names.slice(0, NAMED).join(', '), more });
  return [names.slice(0, -1).join(', '), ...names.slice(-1)].filter((part) => part !== '').join(` ${say('and')} `);
}
const NAMED = 4;

function evidenceText({ births, services, young, asMale }: SexEvidence): string {
  const counts: readonly (readonly [number, string, string])[] = [
    [births, say('birth'), say('births')],
    [services, say('service'), say('services')],
    [young, say('young'), say('young')],
    [asMale, say('use or check as a male'), say('uses or checks as a male')],
  ];
  return counts.flatMap(([count, one, many]) => (count > 0 ? [`${count} ${count === 1 ? one : many}`] : [])).join(', ');
}
