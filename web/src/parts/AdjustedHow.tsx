import { Link } from 'react-router';
import type { AdjustedView } from '@yaylak/contract';
import { halfWidth80, type WeightUnit } from '@yaylak/core';
import { fullDate, weightText } from '../words/format';

interface Props {
  readonly adjusted: AdjustedView;
  readonly unit: WeightUnit;
}

const GROUP_WORDS = { birthType: 'birth and rearing', sex: 'sex', damAge: "dam's age" } as const;

/** How a weight was set to an age and to the base animal, step by step. */
export function AdjustedHow({ adjusted: a, unit }: Props) {
  return (
    <>
      <p>
        Read {weightText(a.readKg, unit)} on {fullDate(a.readOn)} at {a.ageDays} days. Birth weight{' '}
        {weightText(a.birthKg, unit)}
        {a.birthWeight === 'default' ? ' (not weighed: the usual one of the species)' : ''}.
      </p>
      <p>
        (weight less birth weight) / {a.ageDays} days × {a.standardDays} days + birth weight:
      </p>
      <table>
        <tbody>
          <tr>
            <td>At {a.standardDays} days</td>
            <td>{weightText(a.steps.age, unit)}</td>
          </tr>
          {(['birthType', 'sex', 'damAge'] as const).map((g) => (
            <tr key={g}>
              <td>
                × {a.factors[g].toFixed(3)} for {GROUP_WORDS[g]} {a.factorSources[g].class ?? '(not known)'},{' '}
                {a.factorSources[g].source === 'own'
                  ? `own records (${a.factorSources[g].records}, weight ${a.factorSources[g].ownWeight.toFixed(2)})`
                  : 'table'}
              </td>
              <td>{weightText(a.steps[g], unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>Gut fill and scale leave ± {weightText(halfWidth80(a.standardError), unit)} (80 %).</p>
      <p>
        <Link to="/holding">The factors are set under Holding</Link>
      </p>
    </>
  );
}
