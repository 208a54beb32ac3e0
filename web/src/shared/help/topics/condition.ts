import type { HelpTopic } from '../topic';

export const CONDITION_HELP: HelpTopic = {
  id: 'condition',
  at: '/condition',
  title: 'Condition',
  forWhat: 'Who is too thin or too fat for what comes next, and who has to start gaining now to make it.',
  steps: [
    'Feel by hand behind the last rib: the tips of the spine under your palm, the ends of the short ribs under your fingers. Never judge by eye under wool.',
    'Let the animal stand square and relaxed; hunched in a tight crate it feels a score thinner.',
    'Score 1 to 5 by halves. At 3 the short ribs are felt with light pressure, smooth and rounded.',
    'Score at weaning, before flushing, in mid-pregnancy and six weeks before birth: three times a year at the least.',
    'Part them into thin, fit and fat, and feed each mob for where it has to be. The page counts back from mating and birth.',
    'Who has been fed and gained nothing over two scorings is looked at: worms, teeth, age or illness.',
  ],
  drawing: 'loin',
  schools: [
    {
      question: 'What score at mating?',
      ways: [
        'Three to three and a half for the whole group, at least nine in ten of them, and even.',
        'Leaner for easy keepers on good grass, heavier for heavy milkers and those that rear triplets.',
      ],
      setAt: { to: '/holding', words: 'Holding, condition of each species' },
    },
    {
      question: 'Flush or not?',
      ways: [
        'Rising feed two to three weeks before mating brings more twins in those under 3.',
        'Those over 4 are not flushed: they need exercise, and take no better for more feed.',
      ],
      setAt: { to: '/holding', words: 'Holding, flushing from' },
    },
  ],
  cautions: [
    'Below 2 before birth is an alarm: feed up slowly and ask your vet. Sudden rich feed makes her ill.',
    'Late in pregnancy handle gently: no crowding, no turning over.',
  ],
};
