import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const YEAR_HELP: HelpTopic = {
  id: 'year',
  at: '/year',
  title: say('Year plan'),
  forWhat: say(
    'Plans back from when you want births: males in and out, flushing, minerals, scoring, male check, scanning, weaning.',
  ),
  steps: [
    say(
      'Say when births are wanted, by the grass, the shed, the market or your own time. Every step before is counted back from it.',
    ),
    say(
      'Look at births per day: more than your pens and hands can take stands out. Move the males’ days in or out until it fits.',
    ),
    say('Fill in labour, pens and feed once, then compare two plans beside each other.'),
    say('Send the steps to your calendar, or print the sheet for the shed door.'),
  ],
  drawing: 'band',
  schools: [
    {
      question: say('Early or late births?'),
      ways: [
        say(
          'Early, under a roof: young are big when the grass comes and sell before the crowd; more feed, more nights.',
        ),
        say('Late, on the grass: cheaper and healthier; they sell later and lighter.'),
      ],
      setAt: { to: '/year', words: say('Year plan, a plan for each') },
    },
    {
      question: say('How long does the male stay?'),
      ways: [
        say('Two cycles: a short birth season, and whoever stays empty goes.'),
        say('Three and more: fewer empties, young of very unlike ages.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, heat cycles the male stays') },
    },
  ],
};
