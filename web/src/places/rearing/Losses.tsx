import type { RearingView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { FigureTable } from '../../parts/FigureTable';
import { Panel, Small } from '../../parts/Panel';
import { countText, shortDate } from '../../words/format';

const SHOWN = 5;

/** Who died before weaning, of what and at what age. */
export function Losses({ view: { losses } }: { readonly view: RearingView }) {
  const [isAll, setAll] = useState(false);
  if (losses.length === 0) return null;
  const causes = new Map<string, number>();
  for (const l of losses) causes.set(l.cause ?? 'not said', (causes.get(l.cause ?? 'not said') ?? 0) + 1);
  const early = losses.filter((l) => l.ageDays <= 3).length;
  return (
    <Panel>
      <h2>Lost before weaning</h2>
      <p>
        {[...causes]
          .sort((a, b) => b[1] - a[1])
          .map(([cause, n]) => `${cause} ${n}`)
          .join(', ')}
        . {early} of {losses.length} in the first three days.
      </p>
      <FigureTable>
        <tbody>
          {(isAll ? losses : losses.slice(0, SHOWN)).map((l) => (
            <tr key={l.tag.animalId}>
              <th scope="row">{l.dam ? `of ${l.dam.name ?? l.dam.text}` : l.tag.text}</th>
              <td>{countText(l.ageDays, 'day', 'days')}</td>
              <td>
                <Small>
                  {shortDate(l.on)}, {l.cause ?? 'not said'}
                </Small>
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      {losses.length > SHOWN ? (
        <Button kind="quiet" onPress={() => setAll(!isAll)}>
          {isAll ? 'Show the latest' : `Show all ${losses.length}`}
        </Button>
      ) : null}
    </Panel>
  );
}
