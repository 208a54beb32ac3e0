import type { HelpTopic } from '../topic';

export const YEAR_HELP: HelpTopic = {
  id: 'year',
  at: '/year',
  title: 'Year plan',
  forWhat:
    'Plans back from when you want births: males in and out, flushing, minerals, scoring, male check, scanning, weaning.',
  steps: [
    'Say when births are wanted, by the grass, the shed, the market or your own time. Every step before is counted back from it.',
    'Look at births per day: more than your pens and hands can take stands out. Move the males’ days in or out until it fits.',
    'Fill in labour, pens and feed once, then compare two plans beside each other.',
    'Send the steps to your calendar, or print the sheet for the shed door.',
  ],
  drawing: 'band',
  schools: [
    {
      question: 'Early or late births?',
      ways: [
        'Early, under a roof: young are big when the grass comes and sell before the crowd; more feed, more nights.',
        'Late, on the grass: cheaper and healthier; they sell later and lighter.',
      ],
      setAt: { to: '/year', words: 'Year plan, a plan for each' },
    },
    {
      question: 'How long does the male stay?',
      ways: [
        'Two cycles: a short birth season, and whoever stays empty goes.',
        'Three and more: fewer empties, young of very unlike ages.',
      ],
      setAt: { to: '/holding', words: 'Holding, heat cycles the male stays' },
    },
  ],
};
