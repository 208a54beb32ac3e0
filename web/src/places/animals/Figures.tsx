import type { AnimalView } from '@yaylak/contract';
import { Link } from 'react-router';
import { AdjustedHow } from '../../parts/AdjustedHow';
import { FigureTable } from '../../parts/FigureTable';
import { GainFigure } from '../../parts/GainFigure';
import { How } from '../../parts/How';
import { differenceText, figureText, sureWeightText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { BodyRow } from './BodyRow';

/** The figures on growth, each of which can be asked "how?". */
export function Figures({ view }: { readonly view: AnimalView }) {
  const unit = useWeightUnit();
  const { gains, verdict, curve } = view;
  const { grown } = curve;
  return (
    <FigureTable>
      <tbody>
        <tr>
          <th scope="row" style={{ width: 170 }}>
            Since last weighing
          </th>
          <td>
            <GainFigure species={view.row.species} gain={gains.last} title="Gain since last weighing" />
          </td>
        </tr>
        <tr>
          <th scope="row">Last 60 days</th>
          <td>
            <GainFigure species={view.row.species} gain={gains.period} title="Gain of the last 60 days" />
          </td>
        </tr>
        <tr>
          <th scope="row">Since the first weight</th>
          <td>
            <GainFigure species={view.row.species} gain={gains.sinceBirth} title="Gain since the first weight" />
          </td>
        </tr>
        {grown ? (
          <tr>
            <th scope="row">When grown, about</th>
            <td>
              <b>
                {weightText(grown.kg, unit, view.row.species)} ± {weightText(grown.halfWidthKg, unit, view.row.species)}
              </b>{' '}
              <How of="Weight when grown">
                <p>
                  {grown.from === 'curve'
                    ? `From the curve its own ${grown.readings} weights lie on. Four times out of five it will be within the range.`
                    : 'From the share of its grown weight that an animal of its age has usually reached. It needs four weights over a third of its growth for a curve of its own.'}
                </p>
              </How>
            </td>
          </tr>
        ) : null}
        {view.body ? <BodyRow body={view.body} species={view.row.species} /> : null}
        {verdict ? (
          <>
            <tr>
              <th scope="row">Set to {verdict.adjusted.standardDays} days</th>
              <td>
                <b>{sureWeightText(verdict.adjusted.kg, verdict.adjusted.standardError, unit)}</b>{' '}
                <How of={`Weight set to ${verdict.adjusted.standardDays} days`}>
                  <AdjustedHow adjusted={verdict.adjusted} unit={unit} />
                </How>
              </td>
            </tr>
            <tr>
              <th scope="row">Like for like</th>
              <td>
                <b>{figureText(verdict.ratio, 0)}</b>, where 100 is the mean of {verdict.groupSize} contemporaries
                {verdict.isSmallGroup ? ', a small group' : ''} (
                {differenceText(verdict.breakdown.parts.likeForLike / 1000, unit)}){' '}
                <How of="Like for like">
                  <p>
                    Its weight set to {verdict.adjusted.standardDays} days and to the base animal,{' '}
                    {weightText(verdict.adjusted.kg, unit)}, over the mean of its contemporaries set the same way, times
                    100.
                  </p>
                  <p>
                    Contemporaries are of its species, sex and group and were born within 35 days: {verdict.groupSize},
                    itself among them.
                    {verdict.isSmallGroup ? ' Under five is a small group: take it with care.' : ''}
                  </p>
                  <p>
                    <Link to="/holding">The factors are set under Holding</Link>
                  </p>
                </How>
              </td>
            </tr>
          </>
        ) : null}
      </tbody>
    </FigureTable>
  );
}
