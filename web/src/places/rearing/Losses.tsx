import type { RearingView } from '@yaylak/contract';
import { FigureTable } from '../../parts/FigureTable';
import { Panel, Small } from '../../parts/Panel';
import { useFirst } from '../../parts/useFirst';
import { shortDate } from '../../words/dates';
import { say } from '@yaylak/contract';

const SHOWN = 5;

/** Who died before weaning, of what and at what age. */
export function Losses({ view: { losses } }: { readonly view: RearingView }) {
  const { shown, more } = useFirst(losses, SHOWN);
  if (losses.length === 0) return null;
  const causes = new Map<string, number>();
  for (const { cause = null } of losses) {
    const words = cause ?? say('not said');
    causes.set(words, (causes.get(words) ?? 0) + 1);
  }
  const early = losses.filter((l) => l.ageDays <= 3).length;
  return (
    <Panel>
      <h2>{say('Lost before weaning')}</h2>
      <p>
        {say('{list}. {early} of {n} in the first three days.', {
          list: [...causes]
            .sort((a, b) => b[1] - a[1])
            .map(([cause, n]) => `${cause} ${n}`)
            .join(', '),
          early,
          n: losses.length,
        })}
      </p>
      <FigureTable>
        <tbody>
          {shown.map((l) => (
            <tr key={l.tag.animalId}>
              <th scope="row">{l.dam ? say('of {n}', { n: l.dam.name ?? l.dam.text }) : l.tag.text}</th>
              <td>{say('{ageDays} {ageDays, plural, one {day} other {days}}', { ageDays: l.ageDays })}</td>
              <td>
                <Small>
                  {shortDate(l.on)}, {l.cause ?? say('not said')}
                </Small>
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      {more}
    </Panel>
  );
}
