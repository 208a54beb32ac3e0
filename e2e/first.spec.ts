import { expect, test, type Locator, type Page } from '@playwright/test';
import type { BookFile } from '@yaylak/contract';
import { aServer, type Server } from './server';
import { choose } from './choose';
import { quietOf } from './quiet';

let server: Server;
test.beforeEach(async () => {
  server = await aServer('empty');
});
test.afterEach(() => server.remove());

/** Five minutes of somebody who types two keys a second. */
const FIVE_MINUTES_OF_KEYS = 600;

/** A keyboard that counts its keys, and nothing else in hand. */
function aKeyboard(page: Page) {
  let keys = 0;
  const press = async (key: string): Promise<void> => {
    keys++;
    await page.keyboard.press(key);
  };
  const type = async (text: string): Promise<void> => {
    keys += text.length;
    await page.keyboard.type(text);
  };
  const isAt = (field: Locator): Promise<boolean> =>
    field.evaluate((element) => element === document.activeElement || element.contains(document.activeElement));
  return {
    press,
    type,
    keys: () => keys,
    /** Goes there by Tab, or back by Shift and Tab. */
    async to(field: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
      await field.waitFor();
      for (let i = 0; i < 60 && !(await isAt(field)); i++) await press(key);
      expect(await isAt(field)).toBe(true);
    },
  };
}

test('a new holding has five ewes, two rams, three does by name and a cow, all weighed, by keyboard in five minutes', async ({
  page,
  request,
}) => {
  const { press, type, to, keys } = aKeyboard(page);
  await page.goto(`${server.url}/animals`);
  await expect(page.getByRole('button', { name: 'Add animals' })).toBeVisible();
  await press('n');
  const sheet = page.getByRole('dialog', { name: 'Add animals' });
  const [species, sex, wears, number, name] = ['Species', 'Sex', 'It wears', 'Number', 'Name'].map((label) =>
    sheet.getByLabel(label, { exact: true }),
  ) as [Locator, Locator, Locator, Locator, Locator];
  await expect(species).toBeFocused();
  const add = async (text: string): Promise<void> => {
    await type(text);
    await press('Enter');
    await expect(sheet.getByText(`Added ${text}. The next one, or close.`)).toBeVisible();
  };

  /** Out of a list that opens. */
  const pick = async (text: string): Promise<void> => {
    await press('Enter');
    await type(text);
    await press('Enter');
  };

  await to(number);
  for (const ewe of ['101', '102', '103', '104', '105']) await add(ewe);
  await to(sex, 'Shift+Tab');
  await type('m');
  await to(number);
  for (const ram of ['R1', 'R2']) await add(ram);
  await to(species, 'Shift+Tab');
  await type('r');
  await to(sex);
  await type('f');
  await to(wears);
  await type('n');
  await to(name);
  for (const doe of ['Pamuk', 'Boncuk', 'Fistik']) await add(doe);
  await to(species, 'Shift+Tab');
  await type('c');
  await to(wears);
  await type('a');
  await to(number);
  await add('C1');
  await press('Escape');
  await expect(sheet).toBeHidden();
  await expect(page.getByText('11 animals shown')).toBeVisible();

  await press('Alt+2');
  await to(page.getByLabel('Who', { exact: true }));
  await pick('All sheep');
  await expect(page.getByRole('button', { name: 'Start with 7 animals' })).toBeVisible();
  await to(page.getByRole('button', { name: 'Change who comes' }));
  await press('Enter');
  for (const others of ['All rabbits', 'All cattle']) {
    await to(page.getByLabel('Add a set'), others === 'All rabbits' ? 'Tab' : 'Shift+Tab');
    await pick(others);
    await to(page.getByRole('button', { name: 'Add them' }));
    await press('Enter');
  }
  await to(page.getByRole('button', { name: 'Start with 11 animals' }), 'Shift+Tab');
  await press('Enter');
  const weighings = [
    ...['101', '102', '103', '104', '105'].map((n, i) => [n, String(60 + i)] as const),
    ['R1', '90'],
    ['R2', '95'],
    ['Pamuk', '4200'],
    ['Boncuk', '4100'],
    ['Fistik', '3900'],
    ['C1', '520'],
  ] as const;
  for (const [i, [who, weight]] of weighings.entries()) {
    await expect(page.getByLabel('Number of the next animal')).toBeFocused();
    await type(who);
    await press('Enter');
    await expect(page.getByLabel(/^Weight, k?g$/)).toBeFocused();
    await type(weight);
    await press('Enter');
    await expect(page.getByTestId('seen-count')).toHaveText(`${i + 1} of 11`);
  }
  expect(keys()).toBeLessThan(FIVE_MINUTES_OF_KEYS);

  await expect(page.getByText('all saved')).toBeVisible();
  const { animals, entries } = (await (await request.get(`${server.url}/api/book`)).json()) as BookFile;
  const count = (of: string, is: string): number => animals.filter((a) => a.species === of && a.sex === is).length;
  expect([
    count('sheep', 'female'),
    count('sheep', 'male'),
    count('rabbit', 'female'),
    count('cattle', 'female'),
  ]).toEqual([5, 2, 3, 1]);
  expect(entries.flatMap((e) => (e.type === 'weight' ? [e.kg] : []))).toEqual([
    60, 61, 62, 63, 64, 90, 95, 4.2, 4.1, 3.9, 520,
  ]);
});

const LIST = ['24-0012, 12.3.2022, Nergis', '24-0013, 2021', '24-0014', 'R1, ram, 2023'];
const FOUND = /3 ewes weigh 62\.0\skg ± .* on average/;

test('the first ten minutes lead through an empty book by keyboard, to something nobody had worked out', async ({
  page,
}) => {
  const { press, type, to } = aKeyboard(page);
  await page.goto(server.url);
  await to(page.getByRole('button', { name: 'Begin' }));
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'First steps' })).toBeFocused();
  await to(page.getByLabel('Your name'));
  await press('Control+A');
  await type('Aylin');
  await to(page.getByRole('checkbox', { name: 'Cattle' }));
  await press('Space');
  await to(page.getByRole('button', { name: 'Save and go on' }));
  await press('Enter');
  await to(page.getByRole('button', { name: 'Go on', exact: true }));
  await press('Enter');
  await to(page.getByLabel('One animal a line'));
  for (const line of LIST) {
    await type(line);
    await press('Enter');
  }
  await to(page.getByRole('button', { name: 'Add 4 animals' }));
  await press('Enter');
  await to(page.getByRole('button', { name: 'Go on with 4 animals' }));
  await press('Enter');
  await to(page.getByLabel('Weight of 24-0012, kg'));
  await type('61');
  await press('Enter');
  await type('66');
  await press('Enter');
  await type('59');
  await to(page.getByRole('button', { name: 'Save 3 weights' }));
  await press('Enter');
  await expect(page.getByText(FOUND)).toBeVisible();
  // On the first day nothing is late, and what is not kept is not in the year.
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'On the holding' })).toBeVisible();
  await expect(page.getByText('late', { exact: true })).toHaveCount(0);
  await expect(page.getByRole('list', { name: /^Cattle in/ })).toHaveCount(0);
});

test.describe('with a phone in the hand', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test('the first ten minutes go by touch, and may be left in the midst', async ({ page }) => {
    await page.goto(server.url);
    await page.getByRole('button', { name: 'Begin' }).tap();
    await page.getByLabel('Your name').fill('Aylin');
    await page.getByRole('button', { name: 'Save and go on' }).tap();
    await page.getByRole('button', { name: 'Go on', exact: true }).tap();
    await page.getByLabel('One animal a line').fill(LIST.join('\n'));
    await choose(page.getByLabel('Group'), 'a new group …');
    await page.getByLabel('Name of the group').fill('Top field');
    await page.getByRole('button', { name: 'Add 4 animals' }).tap();
    await expect(page.getByText('Added 4 animals. The next ones, or go on.')).toBeVisible();
    // Away and back: it goes on where it was left.
    await page.getByRole('link', { name: 'Animals' }).tap();
    await expect(page.getByText('4 animals shown')).toBeVisible();
    await page.getByRole('link', { name: /Today/ }).tap();
    await page.getByRole('link', { name: 'Go on where you left' }).tap();
    for (const [who, kg] of [
      ['24-0012', '61'],
      ['24-0013', '66'],
      ['24-0014', '59'],
    ] as const)
      await page.getByLabel(`Weight of ${who}, kg`).fill(kg);
    await page.getByRole('button', { name: 'Save 3 weights' }).tap();
    await expect(page.getByText(FOUND)).toBeVisible();
    await quietOf(page).wait();
    await page.getByRole('button', { name: /^How is Mean weight of the ewes/ }).tap();
    await expect(page.getByRole('dialog')).toContainText('The mean of their last weights');
  });
});

test('in an empty book each place leads to the work it begins with', async ({ page }) => {
  const LEADS: readonly (readonly [place: string, words: string, to: RegExp])[] = [
    ['/choosing', 'Add animals', /\/animals$/],
    ['/selling', 'Choose who goes', /\/choosing$/],
    ['/selling/results?species=sheep', 'Who is ready to sell', /\/selling\?species=sheep$/],
    ['/selling/margins?species=sheep', 'Who is ready to sell', /\/selling\?species=sheep$/],
    ['/rearing?species=sheep', 'Record a birth', /\/births\?species=sheep$/],
    ['/rearing/litters?species=rabbit', 'Record a birth', /\/births$/],
    ['/mating/males?species=goat', 'Add animals', /\/animals$/],
    ['/mating/record?species=goat', 'Record a service', /\/mating$/],
    ['/mating/pairing?species=goat', 'Look at the males', /\/mating\/males$/],
    ['/carrying?species=goat', 'Record a service', /\/mating\?species=goat$/],
  ];
  for (const [place, words, to] of LEADS) {
    await page.goto(`${server.url}${place}`);
    await page.getByRole('main').getByRole('link', { name: words }).click();
    await expect(page).toHaveURL(to);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
});
