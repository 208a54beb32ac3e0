import { afterbirth } from './afterbirth';
import { arrival } from './arrival';
import { birth } from './birth';
import { carcass } from './carcass';
import { care } from './care';
import { carryingStep } from './carryingStep';
import { check } from './check';
import { choice } from './choice';
import { colostrum } from './colostrum';
import { departure } from './departure';
import { feed } from './feed';
import { finish } from './finish';
import { fostering } from './fostering';
import { geneTest } from './geneTest';
import { harness } from './harness';
import { heat } from './heat';
import { identifier } from './identifier';
import { identifierEnd } from './identifierEnd';
import { litterWeight } from './litterWeight';
import { look } from './look';
import { loss } from './loss';
import { maleCheck } from './maleCheck';
import { mark } from './mark';
import { measure } from './measure';
import { mob } from './mob';
import { move } from './move';
import { note } from './note';
import { photo } from './photo';
import { passage } from './passage';
import { penStage } from './penStage';
import { pregnancyTest } from './pregnancyTest';
import { sample } from './sample';
import { score } from './score';
import { service } from './service';
import { stay } from './stay';
import { release } from './release';
import { reservation } from './reservation';
import { stayEnd } from './stayEnd';
import { treatment } from './treatment';
import { wayOn } from './wayOn';
import { weaning } from './weaning';
import { weight } from './weight';

/**
 * The kinds of entry, by the name each has on the wire. Lists of facts, rules and what an entry touches are read from
 * here; a new kind is a file beside this one and a line in it (CONTRIBUTING names the other places).
 */
export const KINDS = {
  arrival,
  identifier,
  'identifier-end': identifierEnd,
  move,
  weight,
  mark,
  passage,
  choice,
  departure,
  carcass,
  note,
  photo,
  'litter-weight': litterWeight,
  treatment,
  look,
  measure,
  finish,
  sample,
  care,
  score,
  mob,
  check,
  heat,
  service,
  stay,
  reservation,
  release,
  'stay-end': stayEnd,
  harness,
  'male-check': maleCheck,
  'gene-test': geneTest,
  'pregnancy-test': pregnancyTest,
  loss,
  'way-on': wayOn,
  'carrying-step': carryingStep,
  birth,
  afterbirth,
  colostrum,
  fostering,
  weaning,
  'pen-stage': penStage,
  feed,
} as const;
export type Kinds = typeof KINDS;
export type KindName = keyof Kinds;
