import { useQuery } from '@tanstack/react-query';
import type { OutletView } from '@yaylak/contract';
import { loadsQuery } from '../../api/selling';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { RowLink } from '../../parts/RowLink';
import { shortDate } from '../../words/dates';
import { say } from '@yaylak/contract';

/** Loads that are planned for these outlets, the next first. */
export function LoadsPanel({ outlets }: { readonly outlets: readonly OutletView[] }) {
  const { data = [] } = useQuery(loadsQuery);
  const loads = data.filter((l) => outlets.some((o) => o.id === l.facts.outletId));
  if (loads.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Loads planned')}</h2>
      <LineTable>
        <tbody>
          {loads.map(({ id, facts, heads }) => {
            const stopped = heads.filter((h) => h.checks.some((c) => c.isStop)).length;
            return (
              <tr key={id}>
                <td>{shortDate(facts.on)}</td>
                <td>
                  <RowLink to={`/selling/loads/${id}`}>
                    {outlets.find((o) => o.id === facts.outletId)?.facts.name}
                  </RowLink>
                  <Small>
                    {say('{n} {n, plural, one {head} other {head}}', { n: heads.length })}
                    {stopped > 0 ? say(', {stopped} may not go', { stopped }) : ''}
                  </Small>
                </td>
              </tr>
            );
          })}
        </tbody>
      </LineTable>
    </Panel>
  );
}
