import type { BookFile, ChoosingSet, ChoosingView } from '@yaylak/contract';
import type { Locator, Page } from '@playwright/test';
import { expectAccessible } from './axe';
import { choose } from './choose';
import { expect, test } from './journey';
import { aServer, type Server } from './server';
import { expectTouchable, TOUCH } from './targets';

let server: Server;
test.beforeEach(async () => {
  server = await aServer();
});
test.afterEach(() => server.remove());

/** This year's ewe lambs: the largest set of young. */
async function ewes(page: Page): Promise<{ readonly set: ChoosingSet; readonly view: ChoosingView }> {
  const get = async <T>(path: string): Promise<T> => (await (await page.request.get(server.url + path)).json()) as T;
  const sets = await get<ChoosingSet[]>('/api/choosing/sets');
  const set = sets.find((s) => s.species === 'sheep' && s.sex === 'female' && s.from !== null && s.count > 20);
  if (!set) throw new Error('the demo has ewe lambs');
  return { set, view: await get(`/api/choosing?species=sheep&sex=female&from=${set.from}`) };
}
const address = ({ set }: { readonly set: ChoosingSet }, step: string): string =>
  `${server.url}/choosing?set=${encodeURIComponent(`${set.species} ${set.sex} ${set.from}`)}&step=${step}`;

/** Walks to a control by Tab, as one without a mouse does. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  await expect(wanted).toBeVisible();
  await page.locator('h1').first().click();
  for (let i = 0; i < 150; i++) {
    if (await wanted.evaluate((e) => e === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('not to be reached by Tab');
}

test('from the look over to the counted pens, by keyboard alone', async ({ page }) => {
  const lambs = await ewes(page);
  await page.goto(address(lambs, 'eye'));

  // Look over those that are left: one fails its mouth.
  await tabTo(page, page.getByRole('button', { name: 'Look over 10 at the race' }));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Start with 10 animals' }));
  await page.keyboard.press('Enter');
  const number = page.getByLabel('Number of the next animal');
  await expect(number).toBeFocused();
  const todo = lambs.view.rows.filter((r) => r.eye.state === 'not-looked').map((r) => r.tag.text);
  expect(todo).toHaveLength(10);
  for (const [i, text] of todo.entries()) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    if (i === 0) await page.keyboard.press('m');
    await page.keyboard.press('a');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('seen-count')).toContainText(`${i + 1} of 10`);
  }
  await expect(page.getByText('all saved')).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'Finish', exact: true }));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Finish the job' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();

  // Rank: the one that failed is gone; the line moves; a decision against it asks why.
  await page.goto(address(lambs, 'numbers'));
  await expect(page.getByRole('tab', { name: /By eye/ })).toContainText('31 looked at');
  const list = page.getByRole('table', { name: 'By the numbers' });
  await expect(list.getByText(todo[0] as string)).toHaveCount(0);
  await expect(page.getByRole('heading', { name: /(Heaviest of them|by weight), but/ })).toBeVisible();
  const line = page.getByRole('slider', { name: 'Keep', exact: true });
  const before = Number(await line.getAttribute('aria-valuenow'));
  await tabTo(page, line);
  await page.keyboard.press('ArrowUp');
  await expect(line).toHaveAttribute('aria-valuenow', String(before - 1));
  const second = list.locator('tr[data-row]').nth(1);
  const secondText = (await second.getByRole('combobox').getAttribute('aria-label'))?.replace('Choice for ', '') ?? '';
  // Tab leads to one row, arrows to the others.
  await tabTo(page, list.locator('tr[data-row][tabindex="0"]'));
  for (let i = 0; i < 40 && !(await second.evaluate((e) => e === document.activeElement)); i++)
    await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('x');
  await expect(second.getByRole('combobox')).toHaveText('Sell');
  // Typed beside it, the reason is kept at once.
  await tabTo(page, page.getByLabel('Reason for deciding otherwise'));
  await page.keyboard.type('wild in the pen');
  await page.keyboard.press('Enter');
  await page.reload();
  await expect(list.locator('tr[data-row]').nth(1).getByRole('combobox')).toHaveText('Sell');

  // Spread the sires.
  await tabTo(page, page.getByRole('tab', { name: /By the numbers/ }));
  await page.keyboard.press('ArrowRight');
  const slide = page.getByRole('slider', { name: 'From best worth to least kinship' });
  await tabTo(page, slide);
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Comes in')).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: `Keep these ${before - 1}` }));
  await page.keyboard.press('Enter');
  await expect(page.getByText('This is what is suggested now.')).toBeVisible();

  // Record it, start the gate job, sort, and count the pens.
  await tabTo(page, page.getByRole('tab', { name: /Who is related/ }));
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel(`Reason for ${secondText}`)).toHaveValue('wild in the pen');
  await tabTo(page, page.getByRole('button', { name: 'Record the choice' }));
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Record the choice' });
  for (const field of await sheet.getByRole('textbox').all()) {
    await field.focus();
    await page.keyboard.type('from the best family');
    await page.keyboard.press('Enter');
  }
  await sheet.getByRole('button', { name: 'Record', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Recorded the choice among 31 animals')).toBeVisible();
  await expect(page.getByText('Recorded as it stands.')).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: 'Sort 31 animals' }));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Start with 31 animals' }));
  await page.keyboard.press('Enter');
  await expect(number).toBeFocused();
  const book = (await (await page.request.get(`${server.url}/api/book`)).json()) as BookFile;
  const gateOf = { keep: 'Keep', second: 'Second string', sell: 'Sell', cull: 'Sell' } as const;
  const written = book.entries.flatMap((e) => (e.type === 'choice' ? [e] : []));
  // The book stands in the order it was written in.
  const choices = written.slice(-31);
  const numberOf = new Map([...lambs.view.rows, ...lambs.view.failed].map((r) => [r.tag.animalId, r.tag.text]));
  const sorted = [
    choices.find((c) => c.decision === 'keep'),
    ...choices.filter((c) => c.decision !== 'keep').slice(0, 2),
  ];
  for (const [i, choice] of sorted.entries()) {
    if (!choice) throw new Error('there is one of each');
    await page.keyboard.type(numberOf.get(choice.animalId) ?? '');
    await page.keyboard.press('Enter');
    await expect(page.getByText(`Suggested: ${gateOf[choice.decision]}, as it was chosen`)).toBeVisible();
    await page.keyboard.press('Enter');
    // One for sale with meat withheld is asked about once more.
    if ((await number.inputValue().catch(() => 'x')) !== '') await page.keyboard.press('Enter');
    await expect(page.getByTestId('seen-count')).toContainText(`${i + 1} of 31`);
  }
  const counted = page.getByLabel('Counted in Keep');
  await tabTo(page, page.getByRole('button', { name: 'Finish', exact: true }));
  await page.keyboard.press('Enter');
  await expect(counted).toBeVisible();
  await counted.focus();
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/1 counted, as many as went in|agrees/i).first()).toBeVisible();
});

test('by touch on a tablet: a line dragged, a choice made, one let back, and the page fits', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  const lambs = await ewes(page);
  await page.goto(address(lambs, 'numbers'));
  await expectTouchable(page, TOUCH, 'main');
  await expectAccessible(page);
  const line = page.getByRole('slider', { name: 'Keep', exact: true });
  // Both ends of the drag in sight.
  await page
    .locator('tr[data-row]')
    .nth(3)
    .evaluate((e) => e.scrollIntoView());
  const [from, to] = [await line.boundingBox(), await page.locator('tr[data-row]').nth(4).boundingBox()];
  if (!from || !to) throw new Error('both are on the page');
  await page.mouse.move(from.x + 200, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 200, to.y + to.height - 4, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('slider', { name: 'Keep', exact: true })).toHaveAttribute('aria-valuenow', '5');
  const first = page.locator('tr[data-row]').first();
  await choose(first.getByRole('combobox'), 'Undecided');
  await page.getByRole('tab', { name: /By eye/ }).click();
  await expectTouchable(page, TOUCH, 'main');
  await page
    .getByRole('button', { name: /^Let .* back$/ })
    .first()
    .click();
  await page.getByLabel('Reason', { exact: true }).fill('milk teeth');
  await page.getByRole('button', { name: 'Let back', exact: true }).click();
  await expect(page.getByText('Let back: milk teeth')).toBeVisible();
  // Another device, the next day: the draft is there.
  const other = (await ewes(page)).view;
  expect(other.lines.keep).toBe(5);
  expect(other.rows.map((r) => r.decided?.decision ?? '')).toContain('undecided');
  expect(other.failed).toHaveLength(lambs.view.failed.length - 1);
});

test('two are compared side by side', async ({ page }) => {
  await page.goto(`${server.url}/choosing`);
  const boxes = page.getByRole('checkbox', { name: /^Compare/ });
  await boxes.nth(0).check();
  await boxes.nth(3).check();
  await page.getByRole('button', { name: /Side by side/ }).click();
  const sheet = page.getByRole('dialog', { name: 'Side by side' });
  await expect(sheet.getByRole('row', { name: /Like for like/ })).toBeVisible();
  await expect(sheet.getByRole('row', { name: /^Difference/ })).toContainText(/in 10 that/);
  await expectAccessible(page);
});

test('the breakdown of the heaviest adds up', async ({ page }) => {
  await page.goto(`${server.url}/choosing`);
  await expect(page.getByRole('heading', { name: /(Heaviest of them|by weight), but/ })).toBeVisible();
  const figures = await page.getByTestId('breakdown').locator('td').allTextContents();
  const kilograms = figures.map((f) => Number((/[+\u2212-]?\d+\.\d/.exec(f)?.[0] ?? 'NaN').replace('\u2212', '-')));
  const sum = kilograms.slice(0, -1).reduce((s, k) => s + k, 0);
  // Each line is rounded to 0.1 kg when it is shown.
  expect(Math.abs(sum - (kilograms.at(-1) ?? NaN))).toBeLessThanOrEqual(0.25);
});

test('who should go: evidence first, one goes, one stays with a reason, and Today counts one less', async ({
  page,
}) => {
  await page.goto(server.url);
  const link = page.getByRole('link', { name: /^Sheep: 1 now/ });
  await link.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Which ewes should go?' })).toBeVisible();
  const list = page.getByRole('list', { name: 'Who should go' });
  // The dangerous one stands first; the old favourite is not asked about.
  await expect(list.getByRole('listitem').first()).toContainText('Dangerous to people');
  await expect(page.getByRole('list', { name: 'Stays, and why' })).toContainText('Mother of half the flock');
  const before = await list.getByRole('listitem').count();
  await list.getByRole('listitem').first().getByRole('button', { name: /goes$/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Goes, still here' })).toContainText('Dangerous to people');
  await list.getByRole('listitem').first().getByRole('button', { name: /stays/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Reason', { exact: true }).fill('one more year');
  await page.keyboard.press('Enter');
  await expect(list.getByRole('listitem')).toHaveCount(before - 2);
  await page.keyboard.press('Control+z');
  await expect(list.getByRole('listitem')).toHaveCount(before - 1);
  // Five years ahead: fewer kept, fewer there.
  const kept = page.getByRole('slider', { name: /Ewe lambs kept a year/ });
  await expect(kept).toBeEnabled();
  await kept.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/Keeping \d+ a year: about \d+ in five years, \d+ short/)).toBeVisible();
  await page.goto(server.url);
  await expect(page.getByRole('link', { name: /^Sheep: \d+ at season’s end/ })).toBeVisible();
});
