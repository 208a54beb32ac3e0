import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const REMEDIES_HELP: HelpTopic = {
  id: 'remedies',
  at: '/remedies',
  title: say('Remedies'),
  forWhat: say('What stands in the cupboard, what was given to whom, and what may not be used yet.'),
  steps: [
    say(
      'Enter each product once, from its label: dose, route, withdrawal for meat and milk, youngest age. Yaylak has no doses of its own.',
    ),
    say('Record the batch and its expiry day when you buy.'),
    say('Give: the dose is worked from the latest scale weight. From a tape or a guess it says so.'),
    say('Dose a mob for its heaviest, not its average: too little breeds resistance.'),
    say('The register prints what was given, how much, by whom, why, and on whose prescription.'),
  ],
  schools: [
    {
      question: say('Worm everybody, or only some?'),
      ways: [
        say('By dung counts and by who stops growing: less drug, and worms that can still be killed.'),
        say('The whole group before a move, where counts are not to be had. Leave a few of the best undosed.'),
      ],
      setAt: { to: '/remedies', words: say('Remedies, treat whom') },
    },
  ],
  cautions: [
    say(
      'The label and your vet decide. A withdrawal runs from the last dose, and longer where the label was not kept to.',
    ),
    say('Never pour on a wet back, and never mix products in one syringe.'),
    say(
      'Needles: one clean needle for each animal when blood is drawn, used ones into the sharps box. A needle in your own hand with some products is an emergency: go at once, with the label.',
    ),
    say('Gloves: some remedies go through the skin.'),
  ],
};
