import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const CONDITION_HELP: HelpTopic = {
  id: 'condition',
  at: '/condition',
  title: say('Condition'),
  forWhat: say('Who is too thin or too fat for what comes next, and who has to start gaining now to make it.'),
  steps: [
    say(
      'Feel by hand behind the last rib: the tips of the spine under your palm, the ends of the short ribs under your fingers. Never judge by eye under wool.',
    ),
    say('Let the animal stand square and relaxed; hunched in a tight crate it feels a score thinner.'),
    say('Score 1 to 5 by halves. At 3 the short ribs are felt with light pressure, smooth and rounded.'),
    say(
      'Score at weaning, before flushing, in mid-pregnancy and six weeks before birth: three times a year at the least.',
    ),
    say(
      'Part them into thin, fit and fat, and feed each mob for where it has to be. The page counts back from mating and birth.',
    ),
    say('Who has been fed and gained nothing over two scorings is looked at: worms, teeth, age or illness.'),
  ],
  drawing: 'loin',
  schools: [
    {
      question: say('What score at mating?'),
      ways: [
        say('Three to three and a half for the whole group, at least nine in ten of them, and even.'),
        say('Leaner for easy keepers on good grass, heavier for heavy milkers and those that rear triplets.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, condition of each species') },
    },
    {
      question: say('Flush or not?'),
      ways: [
        say('Rising feed two to three weeks before mating brings more twins in those under 3.'),
        say('Those over 4 are not flushed: they need exercise, and take no better for more feed.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, flushing from') },
    },
  ],
  cautions: [
    say('Below 2 before birth is an alarm: feed up slowly and ask your vet. Sudden rich feed makes her ill.'),
    say('Late in pregnancy handle gently: no crowding, no turning over.'),
  ],
};
