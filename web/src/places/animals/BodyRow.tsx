import type { BodyView } from '@yaylak/contract';
import { BODY_MEASURES, fromKg, type Species } from '@yaylak/core';
import { Link } from 'react-router';
import { How } from '../../parts/How';
import { fullDate } from '../../words/dates';
import { figureText, weightText } from '../../words/format';
import { MEASURE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';
import { say, lower } from '@yaylak/contract';

const VERDICT_WORDS = {
  light: say('light for its height'),
  'as-aimed': say('as aimed'),
  heavy: say('heavy for its height'),
} as const;

/** What stick and tape said last, and what it weighs for its height. */
export function BodyRow({ body, species }: { readonly body: BodyView; readonly species: Species }) {
  const unit = useWeightUnit();
  const { forHeight } = body;
  const perCm = (kg: number): string => figureText(fromKg(kg, unit), 2);
  return (
    <tr>
      <th scope="row">{say('Body')}</th>
      <td>
        {BODY_MEASURES.flatMap((m) => {
          const cm = body[m];
          return cm === null
            ? []
            : [say('{word} {figure} cm', { word: lower(MEASURE_WORDS[m]), figure: figureText(cm, 1) })];
        }).join(', ')}
        {forHeight ? (
          <>
            {'; '}
            <b>
              {say('{perCm} ± {perCm2} {unit} a cm of height', {
                perCm: perCm(forHeight.kgPerCm),
                perCm2: perCm(forHeight.halfWidth),
                unit,
              })}
            </b>
            {forHeight.verdict ? `, ${VERDICT_WORDS[forHeight.verdict]}` : say(', still growing')}{' '}
            <How of={say('Weight for height')}>
              <p>
                {say(
                  '{weight} on {date} over the height measured on {date2}. Your aim for the grown is {perCm} {unit} a cm. Light or heavy is said only when it is further off than scale and stick leave open, four times out of five; look at the condition score before you blame the feed.',
                  {
                    weight: weightText(forHeight.kg, unit, species),
                    date: fullDate(forHeight.weighedOn),
                    date2: fullDate(body.on),
                    perCm: perCm(forHeight.aim),
                    unit,
                  },
                )}
              </p>
              <p>
                <Link to="/holding">{say('The aim is set under Holding')}</Link>
              </p>
            </How>
          </>
        ) : null}
      </td>
    </tr>
  );
}
