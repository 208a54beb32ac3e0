import type { KeepDrill } from '@yaylak/contract';
import { drillResult } from '@yaylak/core';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { useFirst } from '../../parts/useFirst';
import { shortDate } from '../../words/dates';
import { say, fixedText, perCent } from '@yaylak/contract';

const SHOWN = 12;

/** Drills kept, the newest first: whether the hand learns. */
export function DrillHistory({ drills }: { readonly drills: readonly KeepDrill[] }) {
  const { shown, more } = useFirst(drills, SHOWN);
  if (drills.length === 0)
    return (
      <Panel>
        <h2>{say('Drills')}</h2>
        <Small>{say('None kept yet. A drill takes three minutes.')}</Small>
      </Panel>
    );
  return (
    <Panel>
      <h2>{say('Drills')}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Day')}</th>
            <th>{say('Hand')}</th>
            <th>{say('Within half')}</th>
            <th>{say('Kappa')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((d) => {
            const result = drillResult(d.answers);
            return (
              <tr key={d.id}>
                <td>{shortDate(d.on)}</td>
                <td>{d.by}</td>
                <td>{result ? perCent(Math.round(result.withinHalf * 100)) : ''}</td>
                <td>{result?.kappa === undefined ? '' : fixedText(result.kappa, 2)}</td>
              </tr>
            );
          })}
        </tbody>
      </LineTable>
      {more}
    </Panel>
  );
}
