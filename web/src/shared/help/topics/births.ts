import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const BIRTHS_HELP: HelpTopic = {
  id: 'births',
  at: '/births',
  title: say('Births'),
  forWhat: say('Who is due next and what to have ready, the birth itself, and the first handling of the young.'),
  steps: [
    say(
      'Before: clean pens, iodine for navels, a lamp, colostrum in the freezer, the vet’s number. Rabbits: nest box in on about day 28.',
    ),
    say(
      'Watch from a distance. Normal: a water bag, then two front feet and a nose, and further with each of her pains.',
    ),
    say('Record the birth: date, ease, how they came, alive and dead, sexes, weights, mothering, afterbirth.'),
    say(
      'Each one on its feet, dry and full of colostrum in its first hours. Press “All have sucked” when you have seen it.',
    ),
    say('At about two days: weigh, two tags, navel, a gene sample where you use one. Then out of the bonding pen.'),
    say('A fostered one keeps its birth dam and gets a rearing dam: both stay in the book.'),
  ],
  drawing: 'presentation',
  schools: [
    {
      question: say('Weigh at birth or at two days?'),
      ways: [
        say('At birth, to judge size for the birth itself.'),
        say('At two days, with the tags, when the bond is made and handling does no harm.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, first handling after birth') },
    },
    {
      question: say('Dock and castrate?'),
      ways: [
        say('Not unless there is a need: entire males grow faster and leaner, and go before they are a nuisance.'),
        say('Early, within the age the law sets, with pain relief, by who is allowed to.'),
      ],
      setAt: { to: '/race', words: say('At the race, shear, clip and feet') },
    },
  ],
  cautions: [
    say(
      'What comes with a birth can make people ill and harms an unborn child. Gloves, wash, and nobody who is pregnant near births, young or afterbirth.',
    ),
    say(
      'Feet but no nose, a nose and no feet, or no progress after an hour of hard work: fetch the vet. Pull only with her pains.',
    ),
    say('A newly calved cow may charge. Keep a gate between you until you know her temper.'),
    say('Docking, castration and disbudding have age limits, need pain relief, and the law says who may do them.'),
  ],
  keys: [['N', say('Record a birth')]],
};
