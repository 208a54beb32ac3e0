import type { RearingView, SeasonTallyView } from '@yaylak/contract';
import { FigureTable } from '../../parts/FigureTable';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { figureText, monthYear } from '../../words/format';

const ROWS: readonly (readonly [label: string, of: (s: SeasonTallyView) => string])[] = [
  ['Females', (s) => String(s.females)],
  ['Gave birth', (s) => String(s.gaveBirth)],
  ['Scanned', (s) => percent(s.scannedPercent)],
  ['Born alive', (s) => percent(s.bornPercent)],
  ['Reared', (s) => (s.withHer > 0 ? `${percent(s.rearedPercent)} so far` : percent(s.rearedPercent))],
  ['Lost before birth', (s) => (s.scannedFemales === 0 ? UNKNOWN : figureText(s.lost.beforeBirth, 0))],
  ['Born dead', (s) => String(s.lost.atBirth)],
  ['Lost in rearing', (s) => String(s.lost.inRearing)],
];

const UNKNOWN = 'not known';
const percent = (value: number | null): string => (value === null ? UNKNOWN : `${Math.round(value)}\u00a0%`);

/** A season to a hundred females beside the one before it, and where young were lost. */
export function SeasonFigures({ view: { seasons } }: { readonly view: RearingView }) {
  const shown = seasons.slice(0, 3);
  if (shown.length === 0) return null;
  return (
    <Panel>
      <h2>
        Season by season
        <How of="Season by season">
          <p>
            Young to a hundred females that were served for these births; scanned, to a hundred that were scanned. A
            female that has several litters in a season counts once for each.
          </p>
          <p>
            Lost before birth: scanned less born, of those that were scanned. It is below 0 where one lay behind another
            at the scan. Lost in rearing: born alive, and neither weaned nor still with a dam.
          </p>
        </How>
      </h2>
      <FigureTable>
        <thead>
          <tr>
            <th scope="col">Births of</th>
            {shown.map((s) => (
              <th key={s.from} scope="col">
                {monthYear(s.from)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.filter(([, of]) => shown.some((s) => of(s) !== UNKNOWN)).map(([label, of]) => (
            <tr key={label}>
              <th scope="row">{label}</th>
              {shown.map((s) => (
                <td key={s.from}>{of(s)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Small>The latest first.</Small>
    </Panel>
  );
}
