import type { FemaleToMateView } from '@yaylak/contract';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { fullDate } from '../../words/format';

/** Who is not mated yet, why, and from when she may be. */
export function NotYet({ females }: { readonly females: readonly FemaleToMateView[] }) {
  if (females.length === 0) return null;
  const order = (f: FemaleToMateView): string => f.readyOn ?? '9999';
  const sorted = [...females].sort((a, b) => (order(a) < order(b) ? -1 : order(a) > order(b) ? 1 : 0));
  return (
    <Panel>
      <h2>Not yet ({females.length})</h2>
      <LineTable>
        <thead>
          <tr>
            <th>Female</th>
            <th>Why</th>
            <th>May be mated from</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((f) => (
            <tr key={f.tag.animalId}>
              <td>
                <Row $gap={1}>
                  <Tag tag={f.tag} /> {f.tag.name}
                </Row>
              </td>
              <td>{f.reasons.map((r) => r.words).join('; ')}</td>
              <td>{f.readyOn ? fullDate(f.readyOn) : 'no day known'}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </Panel>
  );
}
