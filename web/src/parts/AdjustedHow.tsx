import { Link } from 'react-router';
import type { AdjustedView } from '@yaylak/contract';
import { halfWidth80, type WeightUnit } from '@yaylak/core';
import { fullDate } from '../words/dates';
import { weightText } from '../words/format';
import { say, fixedText } from '@yaylak/contract';

interface Props {
  readonly adjusted: AdjustedView;
  readonly unit: WeightUnit;
}

const GROUP_WORDS = { birthType: say('birth and rearing'), sex: 'sex', damAge: say("dam's age") } as const;

/** How a weight was set to an age and to the base animal, step by step. */
export function AdjustedHow({ adjusted: a, unit }: Props) {
  return (
    <>
      <p>
        {say('Read {weight} on {date} at {ageDays} days. Birth weight {weight2}{value}.', {
          weight: weightText(a.readKg, unit),
          date: fullDate(a.readOn),
          ageDays: a.ageDays,
          weight2: weightText(a.birthKg, unit),
          value: a.birthWeight === 'default' ? ` ${say('(not weighed: the usual one of the species)')}` : '',
        })}
      </p>
      <p>
        {say('(weight less birth weight) / {ageDays} days × {standardDays} days + birth weight:', {
          ageDays: a.ageDays,
          standardDays: a.standardDays,
        })}
      </p>
      <table>
        <tbody>
          <tr>
            <td>{say('At {standardDays} days', { standardDays: a.standardDays })}</td>
            <td>{weightText(a.steps.age, unit)}</td>
          </tr>
          {(['birthType', 'sex', 'damAge'] as const).map((g) => (
            <tr key={g}>
              <td>
                {say('× {n} for {group} {n2}, {value}', {
                  n: fixedText(a.factors[g], 3),
                  group: GROUP_WORDS[g],
                  n2: a.factorSources[g].class ?? say('(not known)'),
                  value:
                    a.factorSources[g].source === 'own'
                      ? say('own records ({records}, weight {n})', {
                          records: a.factorSources[g].records,
                          n: fixedText(a.factorSources[g].ownWeight, 2),
                        })
                      : say('table'),
                })}
              </td>
              <td>{weightText(a.steps[g], unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {say('Gut fill and scale leave ± {weight} (80 %).', { weight: weightText(halfWidth80(a.standardError), unit) })}
      </p>
      <p>
        <Link to="/holding">{say('The factors are set under Holding')}</Link>
      </p>
    </>
  );
}
