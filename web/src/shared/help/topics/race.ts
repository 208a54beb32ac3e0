import type { HelpTopic } from '../topic';

export const RACE_START_HELP: HelpTopic = {
  id: 'race',
  at: '/race',
  title: 'At the race: before a job',
  forWhat:
    'One job for a group: weigh, score, look over, treat, sample, shear and feet, mark, and sort through the gate.',
  steps: [
    'Choose who comes through: a group, several, or everybody of a kind. They may come in any order.',
    'Tick what is done with each. Weighing can go with any other work: they are in the race anyway.',
    'Zero the scale empty, and hang a known weight on it now and then. Record who works and who scores.',
    'Work in the cool of the day, quietly, and let the first ones stand in the race a moment: the others follow.',
    'For sorting, set the gate before you begin: by weight, by what was seen, or by what has been chosen.',
  ],
  schools: [
    {
      question: 'How often is an animal weighed?',
      ways: [
        'Lambs and kids at birth, 8, 16 and 21 weeks.',
        'Fortnightly after weaning, to see at once who stops growing.',
        'Rabbits as a whole litter each day to two weeks, then each kit; or each kit from birth.',
      ],
      setAt: { to: '/holding', words: 'Holding, weighing rhythm of each species' },
    },
  ],
  cautions: [
    'Never climb into a full race, and never put an arm through the bars between an animal and the rail.',
    'A horned or frightened animal can crush a hand at the gate. Stand to the side, and latch the gate before you bend down.',
    'Cattle kick forward and to the side: work from the shoulder, with a rail behind them.',
    'Do not lift heavy animals alone. Turn a sheep with your legs, not your back.',
    'Dust from dry fleece and bedding harms the lungs: damp it down, and wear a mask.',
  ],
  keys: [['N', 'To the button that starts the job']],
};

export const RACE_HELP: HelpTopic = {
  id: 'race-job',
  at: '/race/',
  title: 'At the race: the job',
  forWhat: 'One animal after another: read the tag, enter, next. Everything is kept on this device first.',
  steps: [
    'Scan the tag or type any part of the number. Several with similar numbers are told apart by colour, kind and age.',
    'Wait for the weight to settle. A crate that is connected fills it in by itself.',
    'Score and look over while it stands square; not while it is hunched in a tight crate.',
    'Enter goes on. What is out of the ordinary is asked once more before it is kept.',
    'Not on the list? Take it in anyway and sort it out at the table.',
    'At the end, look at who never came through and count the pens against the gate.',
  ],
  drawing: 'loin',
  schools: [
    {
      question: 'Scored by one person or by several?',
      ways: [
        'One scorer a job is best: the same hand from first to last.',
        'With two, each writes under their own name. Yaylak learns how they differ from animals both have felt.',
      ],
      setAt: { to: '/condition/scorers', words: 'Condition, scorers' },
    },
  ],
  cautions: [
    'One clean needle for each animal when blood is taken. Used needles go straight into the sharps box.',
    'A dose is worked from the weight and from your own label. The label and your vet decide.',
    'Raddle and spray marks stay off the fleece you mean to sell.',
  ],
  keys: [
    ['Enter', 'Goes on: from the number to the animal, and to the next one'],
    ['↑ ↓', 'Among the numbers that fit'],
    ['← ↓ →', 'The gate'],
    ['Letters', 'What stands beside them on the keys: a mark, a standard, a remedy left out'],
    ['0 to 4, ?', 'Scanning: empty, how many young, doubtful; after a blank their age in days'],
    ['F, M', 'Young under their dam: female, male'],
    ['Backspace', 'With nothing typed: takes the last animal back'],
    ['Ctrl+Z', 'With no number typed: takes back what was done last, and what was done before it'],
    ['Esc', 'Leaves; everything is kept'],
    ['F1', 'This help'],
  ],
};
