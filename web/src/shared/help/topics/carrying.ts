import type { HelpTopic } from '../topic';

export const CARRYING_HELP: HelpTopic = {
  id: 'carrying',
  at: '/carrying',
  title: 'Carrying',
  forWhat: 'Who is in young, how sure that is, who can be tested when, and what to do with the empty ones.',
  steps: [
    'No return after one cycle is the first sign; a return says not in young.',
    'Each test has its days. Ask too early and it is refused, with the day from which it tells the truth.',
    'Blood: one tube, one needle, one animal. Number the tubes in the order they come through, and check each number twice.',
    'Scan with the dates hidden now and then, and set your ages against the births: the page says how far off you are.',
    'Palpate rabbits about twelve days on, in front of the hips, thumb and fingers gently together: beads the size of a marble.',
    'For each empty one the cost is counted three ways: serve again, feed until sold, sell now.',
  ],
  schools: [
    {
      question: 'What to do with empty ones?',
      ways: [
        'Out at once: an empty mouth costs a year’s keep, and empties breed empties.',
        'One second chance, most of all for a first-timer or one with good daughters.',
      ],
      setAt: { to: '/holding', words: 'Holding, empty seasons allowed' },
    },
    {
      question: 'Scan or blood?',
      ways: [
        'Scanning counts the young, so that singles and triplets can be fed apart.',
        'Blood needs no scanner on the farm, is very sure for empty, and counts nothing.',
      ],
      setAt: { to: '/holding', words: 'Holding, tests of each species' },
    },
  ],
  cautions: [
    'A female that has aborted may carry what people catch. Part her, wear gloves, keep what came for the vet.',
    'Nobody who is pregnant handles aborted or newborn young, or their clothes and boots.',
  ],
};
