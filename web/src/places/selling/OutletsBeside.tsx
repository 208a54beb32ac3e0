import type { SellingView } from '@yaylak/contract';
import { outletBeside } from '@yaylak/core';
import styled from 'styled-components';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Panel } from '../../parts/Panel';
import { figureText, wholeMoney } from '../../words/format';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly view: SellingView;
  readonly currency: string;
}

/** The outlets side by side: how many of the pen fit each today, what those bring there, and how sure that is. */
export function OutletsBeside({ view, currency }: Props) {
  const beside = view.outlets.map(({ id, facts }) => {
    const there = view.rows.flatMap((row) => (row.held === null ? row.cells.filter((c) => c.outletId === id) : []));
    const heads = there.map(({ readiness, chanceNow, nowMinor }) => ({
      isReady: readiness.kind === 'ready',
      chance: chanceNow ?? undefined,
      minor: nowMinor ?? undefined,
    }));
    return { id, name: facts.name, ...outletBeside(heads, facts.tripMinor) };
  });
  return (
    <Panel>
      <h2>
        <Said
          text={'Side by side <0/>'}
          parts={{
            0: (
              <How of={say('the outlets side by side')}>
                <p>
                  {say(
                    'Each outlet by itself: the head that lie today in what it wants, what they bring there together with the trip paid once, and how many of them should turn out to lie outside it, give or take the ordinary luck (one SD). The split below weighs them against each other.',
                  )}
                </p>
              </How>
            ),
          }}
        />
      </h2>
      <Narrow aria-label={say('Outlets side by side')}>
        <thead>
          <tr>
            <th scope="col">{say('Outlet')}</th>
            <th scope="col">{say('Fit')}</th>
            <th scope="col">{say('Bring, {currency}', { currency })}</th>
            <th scope="col">{say('May miss')}</th>
          </tr>
        </thead>
        <tbody>
          {beside.map(({ id, name, fits, minor, misses, missesSd }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              <td>{fits}</td>
              <td>{fits === 0 ? '–' : wholeMoney(minor)}</td>
              <td>{fits === 0 ? '–' : `${figureText(misses, 1)} ± ${figureText(missesSd, 1)}`}</td>
            </tr>
          ))}
        </tbody>
      </Narrow>
    </Panel>
  );
}

const Narrow = styled(LineTable)`
  font-size: 13px;
  td {
    white-space: nowrap;
  }
`;
