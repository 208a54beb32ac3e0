import type { HelpTopic } from '../topic';

export const TAGS_HELP: HelpTopic = {
  id: 'tags',
  at: '/tags',
  title: 'Tags',
  forWhat: 'Who has lost a tag, who never had one, which numbers come next, and which marks are in the field.',
  steps: [
    'Two tags from birth: one lost is then read from the other.',
    'Set between the two ridges of the ear, a third out from the head, the male part from the back; leave room to grow.',
    'Clean the pliers and dip the tag. In fly time wait for a cool day where you may.',
    'A lost tag is reported as lost, then the new one is fitted. The old number still finds the animal.',
  ],
  drawing: 'ear',
  schools: [
    {
      question: 'What does a number say?',
      ways: [
        'Year and order in the year: the age is read from across the pen.',
        'Holding prefix and running number: one row through all years.',
        'A colour for each year or line, names, or whatever you like.',
      ],
      setAt: { to: '/tags', words: 'Tags, next tag numbers' },
    },
  ],
  cautions: ['Local rules say which tags are the official ones, in which ear and by which age.'],
};
