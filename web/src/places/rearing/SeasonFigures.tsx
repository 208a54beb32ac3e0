import type { RearingView, SeasonTallyView } from '@yaylak/contract';
import { FigureTable } from '../../parts/FigureTable';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { monthsWords } from '../../words/dates';
import { figureText } from '../../words/format';
import { say, perCent } from '@yaylak/contract';

type Figures = readonly (readonly [label: string, of: (s: SeasonTallyView) => string])[];

const LOST: Figures = [
  [say('Born dead'), (s) => String(s.lost.atBirth)],
  [say('Lost in rearing'), (s) => String(s.lost.inRearing)],
];
const soFar = (text: string, { withHer }: SeasonTallyView): string =>
  withHer > 0 ? say('{text} so far', { text }) : text;

/** Of species that are told of to a hundred females. */
const BY_FEMALE: Figures = [
  [say('Females'), (s) => String(s.females)],
  [say('Gave birth'), (s) => String(s.gaveBirth)],
  [say('Scanned'), (s) => percent(s.scannedPercent)],
  [say('Born alive'), (s) => percent(s.bornPercent)],
  [say('Reared'), (s) => soFar(percent(s.rearedPercent), s)],
  [say('Lost before birth'), (s) => (s.scannedFemales === 0 ? UNKNOWN : figureText(s.lost.beforeBirth, 0))],
  ...LOST,
];
/** Of species that are told of litter by litter. */
const BY_LITTER: Figures = [
  [say('Females'), (s) => String(s.females)],
  [say('Litters'), (s) => String(s.litters)],
  [say('Born alive a litter'), (s) => oneDigit(s.bornALitter)],
  [say('Reared a litter'), (s) => soFar(oneDigit(s.rearedALitter), s)],
  ...LOST,
];

const UNKNOWN = say('not known');
const oneDigit = (value: number | null): string => (value === null ? UNKNOWN : figureText(value, 1));
const percent = (value: number | null): string => (value === null ? UNKNOWN : perCent(Math.round(value)));

/** A season, to a hundred females or to a litter, beside the one before it, and where young were lost. */
export function SeasonFigures({ view: { seasons, isByLitter } }: { readonly view: RearingView }) {
  const shown = seasons.slice(0, 3);
  if (shown.length === 0) return null;
  return (
    <Panel>
      <h2>
        {say('Season by season')}
        <How of={say('Season by season')}>
          {isByLitter ? (
            <p>{say('Each female counts once, however many litters she had.')}</p>
          ) : (
            <p>
              {say(
                'Young to a hundred females that were served for these births; scanned, to a hundred that were scanned. Lost before birth: scanned less born, of those that were scanned; below 0 where one lay behind another at the scan.',
              )}
            </p>
          )}
          <p>{say('Lost in rearing: born alive, and neither weaned nor still with a dam.')}</p>
        </How>
      </h2>
      <FigureTable>
        <thead>
          <tr>
            <th scope="col">{say('Births of')}</th>
            {shown.map((s) => (
              <th key={s.from} scope="col">
                {monthsWords(s.from, s.to)}
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
      <Small>{say('The latest first.')}</Small>
    </Panel>
  );
}
