import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const CHOOSING_HELP: HelpTopic = {
  id: 'choosing',
  at: '/choosing',
  title: say('Choosing'),
  forWhat: say('Who stays for breeding, who is second string, who is sold, and which of the grown should go.'),
  steps: [
    say(
      'By eye first, against your own standards: mouth, feet, legs, udder or testicles, temper. Nobody studies figures of one they would never keep.',
    ),
    say(
      'By the numbers among those left: set the line at how many you need. Around it lies a grey zone where two cannot be told apart.',
    ),
    say('Who is related: slide along the ribbon from the best ones to the least related, and see who changes.'),
    say(
      'The choice: keep, second string, sell, cull, each with its reason. Overrule with a reason and it is remembered.',
    ),
    say('Take it to the race: marks to spray, groups, a gate job that sorts by the choice. Count the pens against it.'),
    say(
      'For the grown open Who should go: the evidence is at the row. “Stays, because I am fond of her” is a good reason.',
    ),
  ],
  schools: [
    {
      question: say('Breeding values or own records?'),
      ways: [
        say(
          'Breeding values use all relatives and part the dam’s milk from the lamb’s own growth. They need a few years of records.',
        ),
        say('Own records compare like with like, and anybody can check them. Better while the book is young.'),
      ],
      setAt: { to: '/choosing', words: say('Choosing, By the numbers') },
    },
    {
      question: say('Is bigger better?'),
      ways: [
        say('More growth, more to sell.'),
        say('A grown weight that suits your land: heavy cattle tread wet ground, light goats tire under a pack.'),
      ],
      setAt: { to: '/choosing', words: say('Choosing, what counts') },
    },
  ],
  cautions: [
    say(
      'One that cannot travel is not sold to travel. Killing on the holding is done by who can and may, and at once: ask the vet.',
    ),
  ],
  keys: [
    [say('K, S, X'), say('Keep, second string, sell')],
    ['[ and ]', say('Move the line up and down')],
  ],
};
