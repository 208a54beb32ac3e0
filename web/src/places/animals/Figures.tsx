import type { AnimalView } from '@yaylak/contract';
import { Link } from 'react-router';
import { AdjustedHow } from '../../parts/AdjustedHow';
import { FigureTable } from '../../parts/FigureTable';
import { GainFigure } from '../../parts/GainFigure';
import { How } from '../../parts/How';
import { differenceText, figureText, sureWeightText, weightText, weightWithin } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { BodyRow } from './BodyRow';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

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
            {say('Since last weighing')}
          </th>
          <td>
            <GainFigure species={view.row.species} gain={gains.last} title={say('Gain since last weighing')} />
          </td>
        </tr>
        <tr>
          <th scope="row">{say('Last 60 days')}</th>
          <td>
            <GainFigure species={view.row.species} gain={gains.period} title={say('Gain of the last 60 days')} />
          </td>
        </tr>
        <tr>
          <th scope="row">{say('Since the first weight')}</th>
          <td>
            <GainFigure species={view.row.species} gain={gains.sinceBirth} title={say('Gain since the first weight')} />
          </td>
        </tr>
        {grown ? (
          <tr>
            <th scope="row">{say('When grown, about')}</th>
            <td>
              <b>{weightWithin(grown.kg, grown.halfWidthKg, unit, view.row.species)}</b>{' '}
              <How of={say('Weight when grown')}>
                <p>
                  {grown.from === 'curve'
                    ? say(
                        'From the curve its own {readings} weights lie on. Four times out of five it will be within the range.',
                        { readings: grown.readings },
                      )
                    : say(
                        'From the share of its grown weight that an animal of its age has usually reached. It needs four weights over a third of its growth for a curve of its own.',
                      )}
                </p>
              </How>
            </td>
          </tr>
        ) : null}
        {view.body ? <BodyRow body={view.body} species={view.row.species} /> : null}
        {verdict ? (
          <>
            <tr>
              <th scope="row">{say('Set to {standardDays} days', { standardDays: verdict.adjusted.standardDays })}</th>
              <td>
                <b>{sureWeightText(verdict.adjusted.kg, verdict.adjusted.standardError, unit)}</b>{' '}
                <How of={say('Weight set to {standardDays} days', { standardDays: verdict.adjusted.standardDays })}>
                  <AdjustedHow adjusted={verdict.adjusted} unit={unit} />
                </How>
              </td>
            </tr>
            <tr>
              <th scope="row">{say('Like for like')}</th>
              <td>
                <Said
                  text={
                    '<0>{figure}</0>, where 100 is the mean of {groupSize} contemporaries{value} ({difference}) <1/>'
                  }
                  values={{
                    figure: figureText(verdict.ratio, 0),
                    groupSize: verdict.groupSize,
                    value: verdict.isSmallGroup ? say(', a small group') : '',
                    difference: differenceText(verdict.breakdown.parts.likeForLike / 1000, unit),
                  }}
                  parts={{
                    0: <b />,
                    1: (
                      <How of={say('Like for like')}>
                        <p>
                          {say(
                            'Its weight set to {standardDays} days and to the base animal, {weight}, over the mean of its contemporaries set the same way, times 100.',
                            {
                              standardDays: verdict.adjusted.standardDays,
                              weight: weightText(verdict.adjusted.kg, unit),
                            },
                          )}
                        </p>
                        <p>
                          {say(
                            'Contemporaries are of its species, sex and group and were born within 35 days: {groupSize}, itself among them.{value}',
                            {
                              groupSize: verdict.groupSize,
                              value: verdict.isSmallGroup
                                ? ` ${say('Under five is a small group: take it with care.')}`
                                : '',
                            },
                          )}
                        </p>
                        <p>
                          <Link to="/holding">{say('The factors are set under Holding')}</Link>
                        </p>
                      </How>
                    ),
                  }}
                />
              </td>
            </tr>
          </>
        ) : null}
      </tbody>
    </FigureTable>
  );
}
