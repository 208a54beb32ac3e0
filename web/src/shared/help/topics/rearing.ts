import type { HelpTopic } from '../topic';

export const REARING_HELP: HelpTopic = {
  id: 'rearing',
  at: '/rearing',
  title: 'Rearing',
  forWhat: 'Which young grow, which fall behind, when to wean, and what each dam, male and feed did.',
  steps: [
    'Weigh on time: the page says who is due. A gain over few days says little; it is shown with how far it may be off.',
    'The smallest of a litter that falls behind is topped up or fostered early, not at weaning.',
    'Wean by age and weight together. Move the dam, not the young, and keep them with what they know.',
    'Rabbits: at about six weeks, biggest first, small ones a day or two longer. Sex and part them then.',
    'A death is recorded with its cause: two of the same sign in a few days means the vet.',
  ],
  schools: [
    {
      question: 'How to wean?',
      ways: [
        'All at once, out of sight and hearing: a loud night, and over.',
        'Biggest first, so that the small ones have the milk.',
        'In two steps: first parted by a fence or off the milk, then away. Less noise, less loss.',
      ],
      setAt: { to: '/holding', words: 'Holding, weaned' },
    },
    {
      question: 'Kits as a litter or one by one?',
      ways: [
        'The whole litter daily to two weeks: quick, and a fall shows at once.',
        'Each kit from birth: the runt is known sooner, at more handling.',
      ],
      setAt: { to: '/holding', words: 'Holding, litter weighed together daily up to' },
    },
  ],
  cautions: [
    'Change feed over a week. Young just weaned on sudden rich feed bloat and scour.',
    'Handle a rabbit with its weight supported: it can break its own back kicking.',
  ],
};
