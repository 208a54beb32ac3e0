import type { BodyView } from '@yaylak/contract';
import { BODY_MEASURES, fromKg, type Species } from '@yaylak/core';
import { Link } from 'react-router';
import { How } from '../../parts/How';
import { figureText, fullDate, weightText } from '../../words/format';
import { MEASURE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';

const VERDICT_WORDS = { light: 'light for its height', 'as-aimed': 'as aimed', heavy: 'heavy for its height' } as const;

/** What stick and tape said last, and what it weighs for its height. */
export function BodyRow({ body, species }: { readonly body: BodyView; readonly species: Species }) {
  const unit = useWeightUnit();
  const { forHeight } = body;
  const perCm = (kg: number): string => figureText(fromKg(kg, unit), 2);
  return (
    <tr>
      <th scope="row">Body</th>
      <td>
        {BODY_MEASURES.flatMap((m) => {
          const cm = body[m];
          return cm === null ? [] : [`${MEASURE_WORDS[m].toLowerCase()} ${figureText(cm, 1)} cm`];
        }).join(', ')}
        {forHeight ? (
          <>
            {'; '}
            <b>
              {perCm(forHeight.kgPerCm)} ± {perCm(forHeight.halfWidth)} {unit} a cm of height
            </b>
            {forHeight.verdict ? `, ${VERDICT_WORDS[forHeight.verdict]}` : ', still growing'}{' '}
            <How of="Weight for height">
              <p>
                {weightText(forHeight.kg, unit, species)} on {fullDate(forHeight.weighedOn)} over the height measured on{' '}
                {fullDate(body.on)}. Your aim for the grown is {perCm(forHeight.aim)} {unit} a cm. Light or heavy is
                said only when it is further off than scale and stick leave open, four times out of five; look at the
                condition score before you blame the feed.
              </p>
              <p>
                <Link to="/holding">The aim is set under Holding</Link>
              </p>
            </How>
          </>
        ) : null}
      </td>
    </tr>
  );
}
