import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const RACE_START_HELP: HelpTopic = {
  id: 'race',
  at: '/race',
  title: say('At the race: before a job'),
  forWhat: say(
    'One job for a group: weigh, score, look over, treat, sample, shear and feet, mark, and sort through the gate.',
  ),
  steps: [
    say('Choose who comes through: a group, several, or everybody of a kind. They may come in any order.'),
    say('Tick what is done with each. Weighing can go with any other work: they are in the race anyway.'),
    say('Zero the scale empty, and hang a known weight on it now and then. Record who works and who scores.'),
    say('Work in the cool of the day, quietly, and let the first ones stand in the race a moment: the others follow.'),
    say('For sorting, set the gate before you begin: by weight, by what was seen, or by what has been chosen.'),
  ],
  schools: [
    {
      question: say('How often is an animal weighed?'),
      ways: [
        say('Lambs and kids at birth, 8, 16 and 21 weeks.'),
        say('Fortnightly after weaning, to see at once who stops growing.'),
        say('Rabbits as a whole litter each day to two weeks, then each kit; or each kit from birth.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, weighing rhythm of each species') },
    },
  ],
  cautions: [
    say('Never climb into a full race, and never put an arm through the bars between an animal and the rail.'),
    say(
      'A horned or frightened animal can crush a hand at the gate. Stand to the side, and latch the gate before you bend down.',
    ),
    say('Cattle kick forward and to the side: work from the shoulder, with a rail behind them.'),
    say('Do not lift heavy animals alone. Turn a sheep with your legs, not your back.'),
    say('Dust from dry fleece and bedding harms the lungs: damp it down, and wear a mask.'),
  ],
  keys: [['N', say('To the button that starts the job')]],
};

export const RACE_HELP: HelpTopic = {
  id: 'race-job',
  at: '/race/',
  title: say('At the race: the job'),
  forWhat: say('One animal after another: read the tag, enter, next. Everything is kept on this device first.'),
  steps: [
    say(
      'Scan the tag or type any part of the number. Several with similar numbers are told apart by colour, kind and age.',
    ),
    say('Wait for the weight to settle. A crate that is connected fills it in by itself.'),
    say('Score and look over while it stands square; not while it is hunched in a tight crate.'),
    say('Enter goes on. What is out of the ordinary is asked once more before it is kept.'),
    say('Not on the list? Take it in anyway and sort it out at the table.'),
    say('At the end, look at who never came through and count the pens against the gate.'),
  ],
  drawing: 'loin',
  schools: [
    {
      question: say('Scored by one person or by several?'),
      ways: [
        say('One scorer a job is best: the same hand from first to last.'),
        say('With two, each writes under their own name. Yaylak learns how they differ from animals both have felt.'),
      ],
      setAt: { to: '/condition/scorers', words: say('Condition, scorers') },
    },
  ],
  cautions: [
    say('One clean needle for each animal when blood is taken. Used needles go straight into the sharps box.'),
    say('A dose is worked from the weight and from your own label. The label and your vet decide.'),
    say('Raddle and spray marks stay off the fleece you mean to sell.'),
  ],
  keys: [
    [say('Enter'), say('Goes on: from the number to the animal, and to the next one')],
    ['↑ ↓', say('Among the numbers that fit')],
    ['← ↓ →', say('The gate')],
    [say('Letters'), say('What stands beside them on the keys: a mark, a standard, a remedy left out')],
    ['0 to 4, ?', say('Scanning: empty, how many young, doubtful; after a blank their age in days')],
    [say('F, M'), say('Young under their dam: female, male')],
    [say('Backspace'), say('With nothing typed: takes the last animal back')],
    [say('Ctrl+Z'), say('With no number typed: takes back what was done last, and what was done before it')],
    [say('Esc'), say('Leaves; everything is kept')],
    ['F1', say('This help')],
  ],
};
