import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const START_HELP: HelpTopic = {
  id: 'start',
  at: '/start',
  title: say('First steps'),
  forWhat: say(
    'From an empty book to the first figure you did not know, in about ten minutes. Leave it when you like.',
  ),
  steps: [
    say('Say who writes and what you keep: species you do not keep stay out of sight until one arrives.'),
    say('Choose how weights, dates and money are written. It can be changed later, but money is never converted.'),
    say(
      'Put in who is here: type the numbers, paste a column, scan the tags, or bring in a list. Ages may be left out; a year is better than a guess.',
    ),
    say(
      'Weigh a few, from today or out of the notebook, each with the day it was weighed. Two weighings a month apart tell more than ten on one day.',
    ),
    say('Look at what follows from it, with how sure it is. The steps you left out wait on Today.'),
  ],
};
