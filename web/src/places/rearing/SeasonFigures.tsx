import type { RearingView, SeasonTallyView } from '@yaylak/contract';
import { FigureTable } from '../../parts/FigureTable';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { figureText, monthYear } from '../../words/format';

type Figures = readonly (readonly [label: string, of: (s: SeasonTallyView) => string])[];

const LOST: Figures = [
  ['Born dead', (s) => String(s.lost.atBirth)],
  ['Lost in rearing', (s) => String(s.lost.inRearing)],
];
const soFar = (text: string, { withHer }: SeasonTallyView): string => (withHer > 0 ? `${text} so far` : text);

/** Of species that are told of to a hundred females. */
const BY_FEMALE: Figures = [
  ['Females', (s) => String(s.females)],
  ['Gave birth', (s) => String(s.gaveBirth)],
  ['Scanned', (s) => percent(s.scannedPercent)],
  ['Born alive', (s) => percent(s.bornPercent)],
  ['Reared', (s) => soFar(percent(s.rearedPercent), s)],
  ['Lost before birth', (s) => (s.scannedFemales === 0 ? UNKNOWN : figureText(s.lost.beforeBirth, 0))],
  ...LOST,
];
/** Of species that are told of litter by litter. */
const BY_LITTER: Figures = [
  ['Females', (s) => String(s.females)],
  ['Litters', (s) => String(s.litters)],
  ['Born alive a litter', (s) => oneDigit(s.bornALitter)],
  ['Reared a litter', (s) => soFar(oneDigit(s.rearedALitter), s)],
  ...LOST,
];

const UNKNOWN = 'not known';
const oneDigit = (value: number | null): string => (value === null ? UNKNOWN : figureText(value, 1));
const percent = (value: number | null): string => (value === null ? UNKNOWN : `${Math.round(value)}\u00a0%`);

/** A season, to a hundred females or to a litter, beside the one before it, and where young were lost. */
export function SeasonFigures({ view: { seasons, isByLitter } }: { readonly view: RearingView }) {
  const shown = seasons.slice(0, 3);
  if (shown.length === 0) return null;
  return (
    <Panel>
      <h2>
        Season by season
        <How of="Season by season">
          {isByLitter ? (
            <p>Each female counts once, however many litters she had.</p>
          ) : (
            <p>
              Young to a hundred females that were served for these births; scanned, to a hundred that were scanned.
              Lost before birth: scanned less born, of those that were scanned; below 0 where one lay behind another at
              the scan.
            </p>
          )}
          <p>Lost in rearing: born alive, and neither weaned nor still with a dam.</p>
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
          {(isByLitter ? BY_LITTER : BY_FEMALE)
            .filter(([, of]) => shown.some((s) => of(s) !== UNKNOWN))
            .map(([label, of]) => (
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
