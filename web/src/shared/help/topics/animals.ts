import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const ANIMALS_HELP: HelpTopic = {
  id: 'animals',
  at: '/animals',
  title: say('Animals'),
  forWhat: say('Every animal there is or was: find, sort, mark, move and open them.'),
  steps: [
    say('Type any part of a number, name, old tag or electronic number. A colour beside it narrows it: “red 17”.'),
    say(
      'Tick rows, or all that the filter shows, then move, mark, treat, sell or record a death for all of them at once.',
    ),
    say(
      'Open one for its whole life: weights with its group as a band, scores, services, births, remedies, family, and why it stayed.',
    ),
    say(
      'Photos are taken with the phone or chosen from files on the animal’s page. They are made small on the device, kept beside the book, and go with the passport and the whole book.',
    ),
    say('A wrong entry is struck out and stays to be seen; Ctrl+Z takes back the last thing done.'),
  ],
  cautions: [say('A number once worn is never given again, so that two records are never mixed up.')],
  keys: [
    ['N', say('Add animals')],
    [say('Space'), say('Tick a row')],
  ],
};
