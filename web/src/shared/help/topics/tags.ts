import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const TAGS_HELP: HelpTopic = {
  id: 'tags',
  at: '/tags',
  title: say('Tags'),
  forWhat: say('Who has lost a tag, who never had one, which numbers come next, and which marks are in the field.'),
  steps: [
    say('Two tags from birth: one lost is then read from the other.'),
    say(
      'Set between the two ridges of the ear, a third out from the head, the male part from the back; leave room to grow.',
    ),
    say('Clean the pliers and dip the tag. In fly time wait for a cool day where you may.'),
    say('A lost tag is reported as lost, then the new one is fitted. The old number still finds the animal.'),
  ],
  drawing: 'ear',
  schools: [
    {
      question: say('What does a number say?'),
      ways: [
        say('Year and order in the year: the age is read from across the pen.'),
        say('Holding prefix and running number: one row through all years.'),
        say('A colour for each year or line, names, or whatever you like.'),
      ],
      setAt: { to: '/tags', words: say('Tags, next tag numbers') },
    },
  ],
  cautions: [say('Local rules say which tags are the official ones, in which ear and by which age.')],
};
