import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const TODAY_HELP: HelpTopic = {
  id: 'today',
  at: '/',
  title: say('Today'),
  forWhat: say('What needs doing now, what closes soonest first, and what the records noticed overnight.'),
  steps: [
    say(
      'Start at the top: jobs left unfinished, then births tonight, then what is open. The bar shows when a thing opens, its best days and when it closes; the line is today.',
    ),
    say('Press the button on a row. It opens the work itself, with the animal already chosen.'),
    say(
      'Some rows are doubts: a weight that does not fit, a ewe scanned in lamb and never lambed, an unknown animal. Go and look, then say what is so.',
    ),
    say('Nothing has to be ticked off. What you record anywhere in the book goes from this list by itself.'),
    say(
      'The band across the top is the year, a row for each species; a block opens what it stands for. Its weaves are shown below.',
    ),
    say('Type an animal’s number at any time to open it.'),
  ],
  drawing: 'band',
  schools: [
    {
      question: say('A day, or a stretch of days?'),
      ways: [
        say('Some work by the calendar: scan on day 80, wean at 16 weeks.'),
        say(
          'Others work when it suits, between the first day it can be done and the last. Yaylak shows the whole stretch, and the best days in it.',
        ),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, figures of each species') },
    },
  ],
};
