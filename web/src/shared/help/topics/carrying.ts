import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const CARRYING_HELP: HelpTopic = {
  id: 'carrying',
  at: '/carrying',
  title: say('Carrying'),
  forWhat: say('Who is in young, how sure that is, who can be tested when, and what to do with the empty ones.'),
  steps: [
    say('No return after one cycle is the first sign; a return says not in young.'),
    say('Each test has its days. Ask too early and it is refused, with the day from which it tells the truth.'),
    say(
      'Blood: one tube, one needle, one animal. Number the tubes in the order they come through, and check each number twice.',
    ),
    say(
      'Scan with the dates hidden now and then, and set your ages against the births: the page says how far off you are.',
    ),
    say(
      'Palpate rabbits about twelve days on, in front of the hips, thumb and fingers gently together: beads the size of a marble.',
    ),
    say('For each empty one the cost is counted three ways: serve again, feed until sold, sell now.'),
  ],
  schools: [
    {
      question: say('What to do with empty ones?'),
      ways: [
        say('Out at once: an empty mouth costs a year’s keep, and empties breed empties.'),
        say('One second chance, most of all for a first-timer or one with good daughters.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, empty seasons allowed') },
    },
    {
      question: say('Scan or blood?'),
      ways: [
        say('Scanning counts the young, so that singles and triplets can be fed apart.'),
        say('Blood needs no scanner on the farm, is very sure for empty, and counts nothing.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, tests of each species') },
    },
  ],
  cautions: [
    say('A female that has aborted may carry what people catch. Part her, wear gloves, keep what came for the vet.'),
    say('Nobody who is pregnant handles aborted or newborn young, or their clothes and boots.'),
  ],
};
