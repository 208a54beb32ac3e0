import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const SELLING_HELP: HelpTopic = {
  id: 'selling',
  at: '/selling',
  title: say('Selling'),
  forWhat: say('Who is ready for which buyer, whether more days pay, what the pen brings, and what it brought.'),
  steps: [
    say(
      'Weigh, and feel shape and fat at tail-head, loin, ribs and brisket. Pick in the open first; everything looks bigger outside the pen.',
    ),
    say(
      'Set each outlet once: alive by kilogram or head, dead by grid, or a flat price; weight bands, deductions, haulage, the days it runs.',
    ),
    say('Read the row: its worth over the coming weeks, the best stretch, and what each outlet would pay.'),
    say('Split the pen: who goes where, to bring most. You may move any of them.'),
    say(
      'Make a load, run the gate check, print the sale sheet, and send them off in one go. It can be taken back in one go.',
    ),
    say('Enter the results when they come. Your eye is set against the grader’s, by outlet and breed.'),
  ],
  drawing: 'handling',
  schools: [
    {
      question: say('Alive or dead?'),
      ways: [
        say('Lean well-shaped ones alive, where buyers look at them.'),
        say('On the hook to whoever’s grid fits; rough ones at a flat price.'),
      ],
      setAt: { to: '/selling/outlets', words: say('Selling, outlets') },
    },
    {
      question: say('Sell now or feed on?'),
      ways: [say('Go when the gain no longer pays the feed.'), say('Go early while they are lean, and make room.')],
      setAt: { to: '/selling', words: say('Selling, the curve at the row') },
    },
  ],
  cautions: [
    say('Nothing under withdrawal leaves for slaughter. Sold alive, the days left stand on the sheet.'),
    say('Lame, ill, newly born or close to birth: not fit to travel. Local rules and the vet decide.'),
    say('Dry fleece and empty bellies travel better, but water is theirs until they load.'),
    say('Killing is for who has learned it, stunned first, and where the law allows.'),
  ],
};
