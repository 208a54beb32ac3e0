import 'reflect-metadata';
import type { Page } from '@playwright/test';
import { chanceText, weightText, whoText, type CarryingView, type RearingView, type TodayView } from '@yaylak/contract';
import { SPECIES, SPECIES_WORDS, VERY_LIKELY } from '@yaylak/core';
import { expect, test } from './journey';
import { plain, rowOf, said as saidAt } from './pages';
import { aServer, type Server } from './server';

/*
 * One truth: what two pages show of one thing is one figure. Ten of them are read off Today, the place, the animal's
 * page and the API for each species of the demo holding.
 */

let server: Server;
test.beforeAll(async () => {
  server = await aServer();
});
test.afterAll(() => server.remove());

const ask = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`${server.url}${path}`)).json()) as T;

const said = (page: Page, path: string, awaited?: string): Promise<string> =>
  saidAt(page, `${server.url}${path}`, awaited);
/** The figure that stands in a text where `#` is; -1 where the text is not there. */
const figure = (text: string, pattern: string): number =>
  Number(new RegExp(pattern.replace('#', '(\\d+)')).exec(text)?.[1] ?? -1);
const day = (iso: string): string =>
  plain(new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' }).format(new Date(`${iso}T12:00`)));

for (const species of SPECIES)
  test(`ten figures of ${species} are one on every page`, async ({ page }) => {
    const names = SPECIES_WORDS[species];
    const today = await ask<TodayView>(page, '/api/today');
    const carrying = await ask<CarryingView>(page, `/api/carrying?species=${species}`);
    const rearing = await ask<RearingView>(page, `/api/rearing?species=${species}`);
    const todayText = await said(page, '/');
    const carryingText = await said(page, `/carrying?species=${species}`);
    const matingText = await said(page, `/mating?species=${species}`);
    const birthsText = await said(page, `/births?species=${species}`);
    const rearingText = await said(page, `/rearing?species=${species}`);

    // 1, 2: of so many females, so many very likely in young.
    const base = carrying.females.length;
    expect(figure(carryingText, `of # ${names.grown.female[1]} very likely in young`)).toBe(base);
    expect(figure(carryingText, `# of ${base} ${names.grown.female[1]} very likely`)).toBe(
      carrying.females.filter((f) => (f.chance?.probability ?? 0) >= VERY_LIKELY).length,
    );

    // 3 to 5: her chance, her birth and who served her, where she is told of.
    const her = carrying.females.find((f) => f.chance?.probability != null && f.birth && !f.isOverdue);
    if (her?.chance?.probability != null && her.birth) {
      const own = await said(page, `/animals/${her.tag.animalId}`, 'In young');
      const chance = plain(chanceText(her.chance.probability));
      const male = her.chance.otherSire ?? her.chance.males.map((m) => m.name ?? m.text).join(' or ');
      expect(own).toContain(`In young: ${chance}`);
      expect(rowOf(carryingText, her.tag.text)).toContain(chance);
      expect(rowOf(birthsText, her.tag.text)).toContain(`in young ${chance}`);
      for (const text of [own, rowOf(birthsText, her.tag.text)]) {
        expect(text).toContain(`by ${male}`);
        expect(text).toContain(day(her.birth.closes));
      }
      expect(rowOf(carryingText, her.tag.text)).toContain(male);
      expect(own).toContain(`served ${day(her.chance.servedOn)}`);
    }

    // 6: who gives birth till tomorrow evening.
    const tonight = today.births.filter((b) => b.species === species);
    for (const { tag } of tonight) {
      expect(todayText).toContain(`Look at ${tag.text}`);
      expect(birthsText).toContain(tag.text);
    }

    // 7: who is to be weaned.
    const ready = rearing.litters.reduce((sum, l) => sum + l.weaning.ready, 0);
    const due = today.due.filter(
      (w) => w.species === species && w.does.some((d) => d === 'Wean' || d === 'Off the milk:'),
    );
    expect(due.reduce((sum, w) => sum + w.animalIds.length, 0)).toBe(ready);
    expect(Math.max(0, figure(rearingText, '# to wean now'))).toBe(ready);
    for (const work of due) expect(todayText).toContain(work.who ? whoText(work.who) : '');

    // 8: young males to be parted, and how many of each group.
    for (const parting of today.partings.filter((p) => p.species === species)) {
      expect(
        figure(
          todayText,
          `Part # ${names.young.male[parting.head === 1 ? 0 : 1]} from the females ${parting.groupName}`,
        ),
      ).toBe(parting.head);
      expect(figure(matingText, `Part from the females in ${parting.groupName}: # now`)).toBe(parting.head);
    }

    // 9: heats that can still be served, and until when.
    for (const { heat } of today.heats.filter((h) => h.species === species)) {
      const until = heat.window?.closes.slice(11) ?? '';
      expect(rowOf(todayText, `Serve ${heat.tag.name ?? heat.tag.text}`)).toContain(until);
      expect(rowOf(matingText, heat.tag.text)).toContain(until);
    }

    // 10: the last weight of one that is reared, where it is listed, on its page and among all.
    const young = rearing.litters.flatMap((l) => l.young).find((y) => y.lastKg !== null && y.tag.kind !== 'none');
    if (young && young.lastKg !== null) {
      const kg = plain(weightText(young.lastKg, 'kg', species));
      expect(await said(page, `/animals/${young.tag.animalId}`)).toContain(kg);
      const all = await said(page, `/animals?words=${encodeURIComponent(young.tag.text)}`);
      expect(rowOf(all, young.tag.text)).toContain(kg);
      if (rearingText.includes(young.tag.text)) expect(rowOf(rearingText, young.tag.text)).toContain(kg);
    }
  });
