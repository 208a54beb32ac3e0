/** The main views of the demo, each opened as a person would open it. */
const goto = (path) => async (page, url) => {
  await page.goto(`${url}${path}`);
  await page.waitForLoadState('networkidle');
};

const animalByNumber = async (page, url, words) => {
  const found = await (await page.request.get(`${url}/api/animals?${words}&limit=1`)).json();
  await goto(`/animals/${found.rows[0].tag.animalId}`)(page, url);
  // Its curve is loaded after the page.
  await page.locator('.recharts-line-curve').first().waitFor();
};

/** Opens a choice and takes the first of its list that stands for this, or says so. */
const choose = async (page, choice, wanted) => {
  await choice.and(page.locator('button')).click();
  const list = page.getByRole('listbox');
  const option =
    wanted instanceof RegExp ? list.getByRole('option', { name: wanted }) : list.locator(`[data-key="=${wanted}"]`);
  await option.first().click();
};

const race = async (page, url) => {
  await goto('/race')(page, url);
  await choose(page, page.getByLabel('Who', { exact: true }), /^Ewe lambs of/);
  for (const station of ['Look over', 'Treat', 'Sort by gate'])
    await page.locator('label', { hasText: new RegExp(`${station}$`) }).click();
  await page.getByText('White drench', { exact: true }).click();
  await choose(page, page.getByLabel('Suggest a gate by'), 'standards');
  await page.getByRole('button', { name: /Start with/ }).click();
  await page.getByLabel('Number of the next animal').waitFor();
  const roster = await (await page.request.get(`${url}/api/roster`)).json();
  const year = new Date().getFullYear();
  const lambs = roster.animals.filter(
    (a) => a.species === 'sheep' && a.sex === 'female' && a.bornOn?.startsWith(`${year}-`),
  );
  const gates = ['ArrowLeft', 'ArrowDown', 'ArrowRight', 'ArrowLeft'];
  for (const [i, lamb] of lambs.slice(0, 9).entries()) {
    await page.keyboard.type(lamb.tag.text);
    await page.keyboard.press('Enter');
    await page.keyboard.type((lamb.weights.at(-1)[1] + 1 + (i % 3)).toFixed(1));
    if (i % 4 === 3 || i === 8) await page.keyboard.press('l');
    await page.keyboard.press('a');
    if (i === 8) break;
    await page.keyboard.press(gates[i % 4]);
    await page.keyboard.press('Enter');
    // Just drenched, and for sale: that is asked about first.
    if (gates[i % 4] === 'ArrowRight') await page.keyboard.press('Enter');
  }
  await page.getByRole('img', { name: /^Gain against weight of 8/ }).waitFor();
};

const pairing = async (page, url) => {
  await goto('/mating/pairing?species=goat')(page, url);
  await page.getByRole('button', { name: 'Plan who goes to whom' }).click();
  await page.getByRole('heading', { name: 'The groups' }).waitFor();
};

/** Of whom most is known. */
const pedigree = async (page, url) => {
  const { females } = await (await page.request.get(`${url}/api/mating/pairing?species=sheep`)).json();
  const [known] = females.sort((a, b) => b.generations - a.generations);
  await goto(`/animals/${known.tag.animalId}/pedigree`)(page, url);
};

/** The herd on the scanner: who it can tell of, one at hand. */
/** The curve of this year's ewe lambs, slid a little towards less kinship. */
const kin = async (page, url) => {
  await goto('/choosing?step=kin')(page, url);
  const slide = page.getByRole('slider', { name: 'From best worth to least kinship' });
  await slide.waitFor();
  await slide.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
};

export const views = [
  { name: 'today', open: goto('/') },
  { name: 'animals', open: goto('/animals?species=sheep') },
  {
    name: 'animal',
    open: (page, url) => animalByNumber(page, url, `species=sheep&sex=female&bornIn=${new Date().getFullYear() - 4}`),
  },
  { name: 'race', open: race },
  { name: 'remedies', open: goto('/remedies') },
  { name: 'year', open: goto('/year') },
  { name: 'condition', open: goto('/condition') },
  { name: 'mating', open: goto('/mating?species=goat') },
  { name: 'pairing', open: pairing },
  { name: 'pedigree', open: pedigree },
  { name: 'carrying', open: goto('/carrying?species=goat') },
  { name: 'births', open: goto('/births?species=sheep') },
  { name: 'rearing', open: goto('/rearing?species=rabbit') },
  { name: 'choosing', open: goto('/choosing') },
  { name: 'going', open: goto('/choosing/going?species=sheep') },
  { name: 'selling', open: goto('/selling') },
  { name: 'results', open: goto('/selling/results?species=sheep') },
  { name: 'tags', open: goto('/tags') },
  { name: 'holding', open: goto('/holding') },
];

/** Other sizes and the barn theme, to be looked at and not kept. */
export const moreViews = [
  { name: 'kin', open: kin },
  { name: 'today-390', size: { width: 390, height: 844 }, open: goto('/') },
  { name: 'race-390', size: { width: 390, height: 844 }, open: race },
  { name: 'race-1024', size: { width: 1024, height: 768 }, open: race },
  {
    name: 'choosing-barn',
    open: async (page, url) => {
      await page.addInitScript(() => localStorage.setItem('yaylak-theme', 'barn'));
      await goto('/choosing')(page, url);
    },
  },
];
