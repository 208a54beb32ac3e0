import type { HelpTopic } from '../topic';

export const CHOOSING_HELP: HelpTopic = {
  id: 'choosing',
  at: '/choosing',
  title: 'Choosing',
  forWhat: 'Who stays for breeding, who is second string, who is sold, and which of the grown should go.',
  steps: [
    'By eye first, against your own standards: mouth, feet, legs, udder or testicles, temper. Nobody studies figures of one they would never keep.',
    'By the numbers among those left: set the line at how many you need. Around it lies a grey zone where two cannot be told apart.',
    'Who is related: slide along the ribbon from the best ones to the least related, and see who changes.',
    'The choice: keep, second string, sell, cull, each with its reason. Overrule with a reason and it is remembered.',
    'Take it to the race: marks to spray, groups, a gate job that sorts by the choice. Count the pens against it.',
    'For the grown open Who should go: the evidence is at the row. “Stays, because I am fond of her” is a good reason.',
  ],
  schools: [
    {
      question: 'Breeding values or own records?',
      ways: [
        'Breeding values use all relatives and part the dam’s milk from the lamb’s own growth. They need a few years of records.',
        'Own records compare like with like, and anybody can check them. Better while the book is young.',
      ],
      setAt: { to: '/choosing', words: 'Choosing, By the numbers' },
    },
    {
      question: 'Is bigger better?',
      ways: [
        'More growth, more to sell.',
        'A grown weight that suits your land: heavy cattle tread wet ground, light goats tire under a pack.',
      ],
      setAt: { to: '/choosing', words: 'Choosing, what counts' },
    },
  ],
  cautions: [
    'One that cannot travel is not sold to travel. Killing on the holding is done by who can and may, and at once: ask the vet.',
  ],
  keys: [
    ['K, S, X', 'Keep, second string, sell'],
    ['[ and ]', 'Move the line up and down'],
  ],
};
