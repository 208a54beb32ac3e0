import {
  fromKg,
  scaleUnit,
  SPECIES_WORDS,
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

/** How an animal of a refusal is named; ids mean nothing to people. */
export type NameOf = (animalId: string) => string;

/** A refusal as a person reads it: what is wrong with which value, and what to do. */
export function refusalText(
  refusal: Refusal | ChangeRefusal,
  nameOf: NameOf = () => 'another animal',
  unit: WeightUnit = 'kg',
): string {
  const { value } = refusal;
  switch (refusal.code) {
    case 'unknown-animal':
      return 'This animal is not in the book. Add it first.';
    case 'animal-known':
      return 'This animal is already recorded.';
    case 'unknown-group':
      return 'There is no such group. Choose one of the holding’s groups.';
    case 'unknown-identifier':
      return 'This animal never had that tag.';
    case 'identifier-ended':
      return 'That tag is already recorded as lost or removed.';
    case 'in-future':
      return `${dayText(value)} is in the future. Enter today or earlier.`;
    case 'empty':
      return 'A number needs at least one letter or digit.';
    case 'before-birth':
      return `${dayText(value)} is before its birth on ${dayText(refusal.bornOn)}. Check the date, or the birth date.`;
    case 'born-too-long-ago':
      return `${SPECIES_WORDS[refusal.species].name} do not live ${refusal.oldestYears} years: ${dayText(refusal.value)} is a slip of the year.`;
    case 'born-after-arrival':
      return `Born ${dayText(value)}, after it came on ${dayText(refusal.on)}. Check the two dates.`;
    case 'entry-before-birth':
      return `Born ${dayText(value)} would be after its first entry on ${dayText(refusal.on)}. Correct the date, or delete that entry first.`;
    case 'young-not-younger':
      return `Born ${dayText(value)} would not be before ${nameOf(refusal.youngId)}, its young, born ${dayText(refusal.on)}. Correct the date.`;
    case 'sex-contradicted':
      return `It is on record with ${evidenceText(refusal.evidence)}. Delete or correct those first if they are wrong.`;
    case 'gone':
      return `It left the holding on ${dayText(refusal.goneOn)}. If that is wrong, delete it first.`;
    case 'reserved':
      return `It is kept for ${value}${refusal.until === undefined ? '' : ` until ${dayText(refusal.until)}`}. Let that go first.`;
    case 'unknown-reservation':
      return 'There is no such reservation of this animal. Look at its page again.';
    case 'reservation-ended':
      return 'That reservation was let go already. Nothing more is to be done.';
    case 'deposit-over-price':
      return `A deposit of ${value} is more than the price. Correct one of them.`;
    case 'under-label':
      return `${tooSmallText(refusal.small, unit)} Leave it out; if your vet ordered it, record it off the label with the vet’s days.`;
    case 'far-from-label':
      return `${value} ${refusal.unit} is ${timesText(refusal.times)} the label’s ${Number(refusal.exact.toFixed(3))} ${refusal.unit}. Correct the amount, or give the reason.`;
    case 'castrated':
      return `It was castrated on ${dayText(refusal.on)}. If that is wrong, delete it first.`;
    case 'meat-withheld':
      return `Its meat is withheld to the end of ${dayText(refusal.until)}. It may go for slaughter from ${dayText(refusal.clearOn)}.`;
    case 'buyer-not-told':
      return `Meat or milk is withheld to the end of ${dayText(refusal.until)}. Tell the buyer, and tick that you did.`;
    case 'weight-not-positive':
      return `A weight of ${shown(Number(value), unit)} is not possible. Enter the scale reading.`;
    case 'weight-too-high':
      return `${shown(Number(value), scaleUnit(refusal.species, unit))} is heavier than ${SPECIES_WORDS[refusal.species].plural} here should be (limit ${shown(refusal.heaviestKg, scaleUnit(refusal.species, unit))}). Check the figure, or raise the limit under Holding.`;
    case 'unknown-job':
      return 'The job this was recorded in is not in the book. Start a job, or record it outside one.';
    case 'unknown-product':
      return 'This product is not on the list. Add it under Remedies with what its label says.';
    case 'amount-not-positive':
      return `An amount of ${value} is not possible. Enter how much was given.`;
    case 'withdrawal-needed':
      return 'The withdrawal for meat is missing. Enter the label’s days, 0 if it says none; off the label, the days your vet gave.';
    case 'not-sold':
      return 'A buyer, an outlet, a price or a weight at the sale is said of one that was sold or slaughtered. Leave it out, or choose how it left.';
    case 'not-killed':
      return refusal.left
        ? `It ${refusal.left.how === 'died' ? 'died' : 'was lost'} on ${dayText(refusal.left.on)}, and was not killed. Look at the tag: another one may be meant.`
        : 'It has not left to be killed. Record that it left first, or look at the tag: another one may be meant.';
    case 'carcass-known':
      return `Its result of ${dayText(refusal.on)} is already recorded. If that is wrong, delete it first.`;
    case 'result-of-another-time':
      return `It left on ${dayText(refusal.goneOn)}, so a result of ${dayText(value)} is not its own. Check the day, or the tag.`;
    case 'carcass-over-live':
      return `A carcass of ${shown(Number(value), unit)} is not possible: it weighed ${shown(refusal.liveKg, unit)} alive. Check the figure, or the tag.`;
    case 'deducted-over-price':
      return 'More is taken off than was paid. Check the two figures.';
    case 'nothing-felt':
      return 'Neither shape nor fat was given. Feel the tail-head, loin, ribs or brisket, or look at the shape.';
    case 'not-a-class':
      return `${value} is not a step of the classes. They go in thirds from 1 (P- and 1-) to 15 (E+ and 5+).`;
    case 'nothing-measured':
      return 'Nothing was measured. Give the height, the length or the girth, in centimetres.';
    case 'measure-not-believed':
      return `${value} cm is not a body measure of ${SPECIES_WORDS[refusal.species].plural} (over 0, up to ${refusal.longestCm}). Read the stick again, or raise the limit under Holding.`;
    case 'nothing-looked-at':
      return 'Nothing was looked over. Give at least one standard.';
    case 'not-a-dam':
      return 'A litter is recorded with its dam, and this animal is not a female.';
    case 'not-a-score':
      return `A score of ${value} is not possible. Scores go from 1 to 5 by halves or quarters, such as 2.5 or 3.25.`;
    case 'tube-taken':
      return `Tube ${value} is ${nameOf(refusal.animalId)}’s already. Check the tube and re-enter its number.`;
    case 'number-worn':
      return `${refusal.colour ? `${capital(refusal.colour)} ` : ''}${value} is already on ${nameOf(refusal.wearerId)}, which is here. Choose another number or colour.`;
    case 'electronic':
      return electronicText(refusal.reason, value, refusal.length);
    case 'reared-more-than-born':
      return `Reared as one of ${value}, but born as one of ${refusal.born}. Check the two figures.`;
    case 'not-a-female':
      return 'Only a female comes on heat and is served. Choose another animal, or correct its sex first.';
    case 'not-a-male':
      return `${nameOf(value)} is not a male. Choose another, or correct its sex first.`;
    case 'no-sire':
      return 'Say who served her: a male of the holding, the code of a straw, or a male from elsewhere.';
    case 'unknown-male':
      return 'That male is not in the book. Add him first.';
    case 'male-of-other-species':
      return `${nameOf(value)} is of another species.`;
    case 'male-gone':
      return `${nameOf(value)} left the holding on ${dayText(refusal.goneOn)}. Choose another, or check the day.`;
    case 'unknown-stay':
      return 'He was never put in with that group. Record that first.';
    case 'stay-ended':
      return 'He was taken out already.';
    case 'time-of-other-day':
      return `${momentText(value)} is not on ${dayText(refusal.on)}. Check the day and the hour.`;
    case 'pair':
      return `${pairText(refusal, nameOf(value))} Choose another male, or give the reason.`;
    case 'later-than-now':
      return `${momentText(value)} is later than now. Correct the day or the time.`;
    case 'held-back':
      return `${capital(nameOf(value))} is not ready to mate: ${refusal.reasons.map((r) => femaleReasonText(r, unit)).join('; ')}. Choose another, or give a reason.`;
    case 'male-held-back':
      return `${capital(nameOf(value))} is not ready to be used: ${refusal.reasons.map((r) => maleReasonText(r, unit)).join('; ')}. Choose another, or give a reason.`;
    case 'not-with-these':
      return `${capital(nameOf(value))} should not run with ${listed(refusal.femaleIds.map(nameOf))}: too closely related, or too young. Move them out first, or give a reason.`;
    case 'does-not-carry':
      return 'Only a female carries young. Choose another animal, or correct its sex first.';
    case 'young-of-empty':
      return 'An empty female has no young to count or age. Mark her in young, or leave the figure blank.';
    case 'age-too-high':
      return `Foetal age ${value} days is longer than a pregnancy (about ${refusal.mostDays} days at most). Check the age.`;
    case 'no-such-test':
      return `${SPECIES_WORDS[refusal.species].name} are not tested that way here. Choose another, or set it up under Holding.`;
    case 'unknown-sample':
      return 'No such tube was filled from this animal. Look at the number on the tube.';
    case 'tube-answered':
      return 'This tube is answered already. If the first result is wrong, delete it.';
    case 'test-too-soon':
      return `${tooSoonText(refusal.test)} Wait until then, or give the reason; its result then counts as doubtful.`;
    case 'gives-no-birth':
      return 'Only a female gives birth and rears young. Choose another animal, or correct its sex first.';
    case 'nobody-born':
      return 'Nobody was born. Count at least one, alive or dead; record an abortion under Carrying.';
    case 'more-dead-than-told':
      return 'You described more dead young than you counted. Count again.';
    case 'birth-known':
      return `Her birth of ${dayText(refusal.on)} is already recorded. If it is wrong, delete it there, or add the young to it.`;
    case 'no-birth-before':
      return `No birth of hers is on record shortly before ${dayText(value)}. Record the birth first.`;
    case 'no-age':
      return 'No birth date on record. Add it on its page first.';
    case 'too-old-for-colostrum':
      return `It was ${refusal.ageDays} days old then; colostrum can only be recorded in the first three days. Check the day.`;
    case 'own-mother':
      return 'An animal cannot be its own dam. Choose its dam.';
    case 'ends-before-it-begins':
      return `It begins on ${dayText(value)}, which is not before its last day. Check the two days.`;
    case 'already-weaned':
      return 'It is weaned already. If that is wrong, delete it first.';
    case 'dam-gone':
      return `${nameOf(value)} is no longer on the holding. Choose another dam.`;
    case 'birth-questioned':
      return `${refusal.questions.map(birthQuestionText).join(' ')} Check, or give the reason.`;
    case 'parentage':
      return parentageText(refusal.fault, refusal.role, nameOf(value));
  }
}

/** `The label is for animals from 30 days old; this one is 2 days old.` */
export function tooSmallText(small: TooSmall, unit: WeightUnit): string {
  if (small.reason === 'too-young')
    return `The label is for animals from ${small.fromDays} days old; this one is ${small.ageDays} ${small.ageDays === 1 ? 'day' : 'days'} old.`;
  return `The label is for animals from ${shown(small.fromKg, unit)}; this one is ${shown(small.kg, unit)}.`;
}

/** `2.5 times`, with fewer digits the more it is. */
export const timesText = (times: number): string =>
  `${times >= 10 ? Math.round(times) : times.toFixed(times < 1 ? 2 : 1)} times`;

/** Two that are not put together. */
export interface PairRefused {
  readonly refusal: PairRefusal;
  readonly inbreeding: number;
  readonly species: Species;
}

/** Why two are not put together, with the figure. */
export function pairText({ refusal, inbreeding, species }: PairRefused, male: string): string {
  const young = SPECIES_WORDS[species].young.unknown;
  const theirs = `their ${young[1]} would be ${percentText(inbreeding)} inbred`;
  switch (refusal.code) {
    case 'relation':
      return `${capital(male)} is her ${RELATION_WORDS[refusal.relation]}: ${theirs}.`;
    case 'inbreeding':
      return `${capital(male)} is too closely related: ${theirs}, and the limit is ${percentText(refusal.most)}.`;
    case 'carriers':
      return `Both may carry ${refusal.gene}: one ${young[0]} in ${Math.max(1, Math.round(1 / refusal.affected))} would be affected.`;
  }
}

export const RELATION_WORDS: Readonly<Record<Relation, string>> = {
  parent: 'sire',
  young: 'son',
  'full-sib': 'full brother',
  'half-sib': 'half-brother',
  grandparent: 'grandsire',
  grandyoung: 'grandson',
};

const shown = (kg: number, unit: ScaleUnit): string => `${Math.round(fromKg(kg, unit) * 100) / 100}\u00a0${unit}`;
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** Why an electronic number was not taken. */
export function electronicText(reason: ElectronicRefusal, typed: string, length?: number): string {
  switch (reason) {
    case 'empty':
      return 'An electronic number has 15 digits. Scan or type them.';
    case 'letters':
      return `“${typed}” has something else than digits in it. An electronic number is 15 digits.`;
    case 'wrong-length':
      return `“${typed}” has ${length ?? 'the wrong number of'} digits; an electronic number has 15. Scan it again.`;
    case 'national-too-high':
      return `“${typed}” is above the highest number there can be (274 877 906 943 after the first three digits). Scan it again.`;
    case 'no-such-prefix':
      return `“${typed}” begins with 000, which is neither a country nor a maker. Scan it again.`;
    case 'not-an-animals':
      return `“${typed}” is not an animal’s number: its animal bit is not set.`;
  }
}

function parentageText(fault: ParentageFault, role: ParentRole, name: string): string {
  switch (fault.code) {
    case 'unknown-parent':
      return `The ${role} is not in the book. Add ${role === 'dam' ? 'her' : 'him'} first.`;
    case 'parent-of-other-species':
      return `${name} is of another species and cannot be the ${role}.`;
    case 'parent-of-wrong-sex':
      return `${name} is ${fault.sex === 'unknown' ? 'of unknown sex' : fault.sex} and cannot be the ${role}. Choose another, or correct its sex first.`;
    case 'parent-not-older':
      return `${name} is not older than this animal and cannot be the ${role}. Check the birth dates.`;
    case 'own-ancestor':
      return `${name} descends from this animal, or is it. An animal cannot be its own ancestor.`;
  }
}

/** The first few by name, the others counted: `a, b and c`, `a, b, c, d and 3 more`. */
export function listed(names: readonly string[]): string {
  const more = names.length - NAMED;
  if (more > 0) return `${names.slice(0, NAMED).join(', ')} and ${more} more`;
  return [names.slice(0, -1).join(', '), ...names.slice(-1)].filter((part) => part !== '').join(' and ');
}
const NAMED = 4;

function evidenceText({ births, services, young, asMale }: SexEvidence): string {
  const counts: readonly (readonly [number, string, string])[] = [
    [births, 'birth', 'births'],
    [services, 'service', 'services'],
    [young, 'young', 'young'],
    [asMale, 'use or check as a male', 'uses or checks as a male'],
  ];
  return counts.flatMap(([count, one, many]) => (count > 0 ? [`${count} ${count === 1 ? one : many}`] : [])).join(', ');
}
