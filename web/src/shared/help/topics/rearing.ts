import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const REARING_HELP: HelpTopic = {
  id: 'rearing',
  at: '/rearing',
  title: say('Rearing'),
  forWhat: say('Which young grow, which fall behind, when to wean, and what each dam, male and feed did.'),
  steps: [
    say(
      'Weigh on time: the page says who is due. A gain over few days says little; it is shown with how far it may be off.',
    ),
    say('The smallest of a litter that falls behind is topped up or fostered early, not at weaning.'),
    say('Wean by age and weight together. Move the dam, not the young, and keep them with what they know.'),
    say('Rabbits: at about six weeks, biggest first, small ones a day or two longer. Sex and part them then.'),
    say('A death is recorded with its cause: two of the same sign in a few days means the vet.'),
  ],
  schools: [
    {
      question: say('How to wean?'),
      ways: [
        say('All at once, out of sight and hearing: a loud night, and over.'),
        say('Biggest first, so that the small ones have the milk.'),
        say('In two steps: first parted by a fence or off the milk, then away. Less noise, less loss.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, weaned') },
    },
    {
      question: say('Kits as a litter or one by one?'),
      ways: [
        say('The whole litter daily to two weeks: quick, and a fall shows at once.'),
        say('Each kit from birth: the runt is known sooner, at more handling.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, litter weighed together daily up to') },
    },
  ],
  cautions: [
    say('Change feed over a week. Young just weaned on sudden rich feed bloat and scour.'),
    say('Handle a rabbit with its weight supported: it can break its own back kicking.'),
  ],
};
