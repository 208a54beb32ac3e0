import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const MATING_HELP: HelpTopic = {
  id: 'mating',
  at: '/mating',
  title: say('Mating'),
  forWhat: say('Who is in heat, who is ready and who is not yet, which male for which female, and what came of it.'),
  steps: [
    say(
      'Look twice a day, morning and evening, away from feeding time. Tick the signs; standing to be mounted is the surest.',
    ),
    say('The start of standing heat opens a window: too early at first, best in the middle, over after it.'),
    say(
      'Serve, and record the male and the hour; or put a male in with a group, and read the raddle marks at each change of colour.',
    ),
    say(
      'Rabbits: take the doe to the buck, never the buck to her. See the mating, and check her about twelve days on.',
    ),
    say('Before the season, check each male: feet, teeth, eyes, testicles, condition, six to eight weeks ahead.'),
    say(
      'Open Pairing to see kinship, expected inbreeding and carriers for every pair, and let it propose a plan within what each male can serve.',
    ),
  ],
  schools: [
    {
      question: say('When to serve after heat is seen?'),
      ways: [
        say('By hours: from about 12 to 36 hours after standing begins, twice in it.'),
        say(
          'By morning and evening: seen in the morning, served that evening; seen in the evening, served next morning.',
        ),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, served') },
    },
    {
      question: say('When is she first mated?'),
      ways: [
        say('By weight: at a share of her grown weight, whatever her age.'),
        say('By age as well: a year later she is stronger and milks better.'),
        say('Goats: let one or two heats pass first.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, grown weight at first mating and heats skipped') },
    },
    {
      question: say('Grandsire to granddaughter?'),
      ways: [
        say('Not allowed, like father and daughter.'),
        say('Judged by the inbreeding of the young, as line breeders do.'),
      ],
      setAt: { to: '/holding/figures', words: say('Holding, with grandparents') },
    },
  ],
  cautions: [
    say('Never turn your back on a ram, buck or bull in the mating season, hand-reared ones least of all.'),
    say('Two strange males together fight, sometimes to death: pen them tight for a day first.'),
    say('Carriers of the same recessive disorder are never put together: a quarter of their young would have it.'),
  ],
  keys: [[say('Letters'), say('When looking for heat: tick a sign')]],
};
