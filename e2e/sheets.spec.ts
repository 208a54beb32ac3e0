import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { expectNothingBeside, LAPTOP, SMALLER, Walker } from './everybody';
import { addressOf, madeIn, type Made } from './made';
import { expectReadable } from './readable';
import { aServer, type Server } from './server';
import { expectTouchable } from './targets';

// Every sheet for everybody, as the places are.
test.describe.configure({ mode: 'parallel' });
let server: Server;
let english: Walker;
let turkish: Walker;
let made: Made;
test.beforeAll(async ({ browser }) => {
  server = await aServer();
  english = await Walker.of(browser, server.url);
  turkish = await Walker.of(browser, server.url, 'tr-TR');
  made = await madeIn(english.page, server.url);
  for (const walker of [english, turkish]) {
    // Who is there is asked of each who comes to a job, once.
    for (const job of [made.JOB, made.FINISH]) {
      await walker.open(job);
      await walker.page.locator('main [type=submit]').click();
      await walker.wait();
    }
  }
});
test.afterAll(() => server.remove());

/** Its number is typed, which calls the animal. */
const CALLED = 'called';
/** What is done, mostly pressed, one after another, until the sheet is open; by the place it stands in, or by the name of one `made`. */
const OPENERS: Readonly<Record<string, readonly (RegExp | readonly (RegExp | typeof CALLED)[])[]>> = {
  '/': [/^Find/],
  '/year': [/^Rhythms$/, /^Labour, pens and feed$/, /^Calendar$/, /^New plan$/, /^Change the plan$/],
  '/mating?species=goat': [/^Record heat check/, /^Serve$/],
  '/mating/males?species=goat': [/^Check$/, /^Put in$/],
  'EWE/pedigree': [/^Record a gene test$/],
  '/carrying?species=goat': [/^Read in results/, /^Steps before a birth/, /^Record for /],
  '/births': [/^Record a birth$/, /^Foster young of A-/, /^A young of A-/],
  '/rearing?species=rabbit': [/^Weigh the litter/, /^Wean of/, /^Foster young/, /^A young of/, /^Feed of/],
  '/animals': [
    /^Add animals$/,
    [/^Choose \d/, /^Move to a group$/],
    [/^Choose \d/, /^Mark$/],
    [/^Choose \d/, /^Type weights$/],
  ],
  '/remedies': [/^Treat$/, /^Add a product$/, /^Label of Grey injection$/],
  '/choosing?step=numbers': [[/^Compare \d/, /^Compare \d/, /^Side by side/]],
  '/choosing?step=eye': [/^Let .* back$/],
  '/choosing?step=choice': [/^Record the choice$/],
  '/choosing/going?species=sheep': [/^Rules$/, / stays, with a reason$/],
  '/selling?species=sheep': [/^Sell .* today, or later/, /^Record feed$/],
  '/selling/outlets': [/^Add an outlet$/, /^Change Hill market$/],
  LOAD: [/^The load leaves…$/],
  '/selling/results?species=sheep': [/^Type the result of/],
  '/holding/copies': [/^Put back the copy of/],
  FINISH: [[CALLED, /^What each feels like$/]],
  '/race': [/^Keep as a template$/],
  JOB: [/^change job$/, /^(no stick or crate|Readers)/, /^Use a pan$/],
  EWE: [/^Weight$/, /^Treat$/, /^Move$/, /^Note$/, /^Seen$/, /^Reserve$/, /^Left$/, /^Photo of/],
};
const pressable = (page: Page): Locator => page.locator('button, input[type=checkbox]');
/** Where among all that can be pressed, and is not ticked yet, something stands; the same in each language, -1 where it does not. */
const placeOf = (page: Page, wanted: RegExp): Promise<number> =>
  pressable(page).evaluateAll(
    (all, source) =>
      all.findIndex(
        (b) =>
          !(b as HTMLInputElement).checked &&
          new RegExp(source).test((b.getAttribute('aria-label') ?? b.textContent ?? '').trim()),
      ),
    wanted.source,
  );

/** Where what is to be pressed stands; nowhere where the animal is called instead. */
type Find = (() => Promise<number>) | typeof CALLED;

/** Opens a place and a sheet in it. @returns where what was pressed stood, in turn */
async function openSheet(walker: Walker, path: string, steps: readonly Find[]): Promise<Find[]> {
  const { page } = walker;
  const done: Find[] = [];
  await walker.open(path);
  for (const step of steps) {
    if (step === CALLED) {
      await page.keyboard.type(made.number);
      await page.keyboard.press('Enter');
      done.push(step);
    } else {
      await expect.poll(step).toBeGreaterThanOrEqual(0);
      const place = await step();
      await pressable(page).nth(place).click();
      done.push(() => Promise.resolve(place));
    }
    await walker.wait();
  }
  await expect(page.getByRole('dialog')).toBeVisible();
  return done;
}
async function close(page: Page): Promise<void> {
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

for (const [place, sheets] of Object.entries(OPENERS))
  for (const sheet of sheets) {
    const presses = [sheet].flat();
    const name = presses.map((p) => (p === CALLED ? p : p.source)).join(', ');
    test(`the sheet of ${name} at ${place} can be read and used by everybody, in both languages`, async () => {
      const path = addressOf(place, made);
      const steps = await openSheet(
        english,
        path,
        presses.map((wanted) => (wanted === CALLED ? wanted : () => placeOf(english.page, wanted))),
      );
      await expectAccessible(english.page);
      await english.inTheBarn();
      await expectAccessible(english.page, 'colours');
      await openSheet(turkish, path, steps);
      for (const { page } of [english, turkish]) {
        await expectReadable(page);
        for (const size of [LAPTOP, ...SMALLER]) {
          await page.setViewportSize(size);
          await expectTouchable(page, undefined, '[role=dialog]');
          await expectNothingBeside(page);
        }
        await close(page);
      }
    });
  }
