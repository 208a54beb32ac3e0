import type { SaleRow } from '@yaylak/contract';
import { Panel, Small } from '../../parts/Panel';
import { LineTable } from '../../parts/LineTable';
import { Tag } from '../../parts/Tag';
import { say } from '@yaylak/contract';

/** Those kept for a buyer: nobody else is offered them. */
export function ReservedPanel({ rows }: { readonly rows: readonly SaleRow[] }) {
  const kept = rows.filter((r) => r.held?.of === 'reserved');
  if (kept.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Reserved')}</h2>
      <LineTable>
        <tbody>
          {kept.map((r) => (
            <tr key={r.tag.animalId}>
              <td>
                <Tag tag={r.tag} />
              </td>
              <td>{r.held?.buyer}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      <Small>{say('They are no part of the split.')}</Small>
    </Panel>
  );
}
