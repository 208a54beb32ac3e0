import type { PairingView } from '@yaylak/contract';
import { LineTable } from '../../parts/LineTable';
import { Panel } from '../../parts/Panel';
import { useFirst } from '../../parts/useFirst';
import { NamedTag } from '../../parts/NamedTag';
import { say } from '@yaylak/contract';

const SHOWN = 8;

/** Whom a plan for today leaves out, and why. */
export function LeftOut({ females }: { readonly females: PairingView['females'] }) {
  const { shown, more } = useFirst(females, SHOWN);
  if (females.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Left out of the plan ({n})', { n: females.length })}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('Why')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((f) => (
            <tr key={f.tag.animalId}>
              <td>
                <NamedTag tag={f.tag} />
              </td>
              <td>{f.waits.join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {more}
    </Panel>
  );
}
