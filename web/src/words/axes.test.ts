import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const WEB = join(__dirname, '..');
const axes = readdirSync(WEB, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.tsx') && !name.endsWith('.test.tsx'))
  .flatMap((name) =>
    [...readFileSync(join(WEB, name), 'utf8').matchAll(/<YAxis\b[^]*?\/>/g)].map((m) => [name, m[0]] as const),
  );

it('finds the charts', () => {
  expect(axes.length).toBeGreaterThan(12);
});

// A chart's own ticks have a point in every language.
it.each(axes)('the figures beside the chart of %s are written as the language writes them', (_, axis) => {
  expect(axis).toMatch(/tickFormatter=|\bhide\b/);
});
