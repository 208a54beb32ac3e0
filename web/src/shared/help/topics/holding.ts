import type { HelpTopic } from '../topic';
import { say } from '@yaylak/contract';

export const HOLDING_HELP: HelpTopic = {
  id: 'holding',
  at: '/holding',
  title: say('Holding'),
  forWhat: say('Your own figures and standards, groups, breeds, and the files that go in and out.'),
  steps: [
    say(
      'Units, dates, the first day of the week and the currency first: they go everywhere. The language is each person’s own: it is chosen beside the theme.',
    ),
    say(
      'With pounds set, a weight is typed as 8.25, as 8 lb 4 oz, or as 8 4, and under 20 lb is shown in pounds and ounces; rabbits are weighed in ounces.',
    ),
    say(
      'Each species has its figures: ages, weights, windows, tests, aims. They come filled in; change what is not so on your land.',
    ),
    say('Standards are what you judge by eye. Keep them few, and say when one fails.'),
    say(
      'Files: a spreadsheet of animals or weights is read row by row; what does not fit is shown with its reason, and nothing goes in until you say so.',
    ),
    say('The whole book can be taken out as one open file at any time.'),
    say(
      'The book is copied by itself each day and before each new version; name a second place, on another disk or a stick, under Copies of the book. Today says when a copy is missing. A stick that leaves the house is better encrypted there, by a passphrase.',
    ),
    say(
      'A copy can be put back there: you are told first what was written since and would be lost. The book as it stands is copied before, so it can be undone the same way.',
    ),
    say(
      'Tablets and phones of the house are let in under Tablets and phones, each with a code, once Yaylak has been started with npm start -- --home. They then work in the barn without a network. Turn away one that is lost.',
    ),
    say(
      'Under People each of the household gets a name and a password; each entry then bears the name of who wrote it. A helper records; choosing, selling and settings stay with owners and keepers. On a shared tablet the hands change by a PIN.',
    ),
  ],
};
