import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { holdingQuery } from '../../api/queries';
import { FigureTable } from '../../parts/FigureTable';
import { jobTally } from './jobTally';
import type { Race } from './useRace';

/** What the job did so far, a line each. */
export function Tally({ race }: { readonly race: Race }) {
  const { data: holding } = useQuery(holdingQuery);
  const { passages, roster } = race;
  const lines = useMemo(
    () => jobTally(passages, roster.products, holding?.standards ?? []),
    [passages, roster.products, holding?.standards],
  );
  if (lines.length === 0) return null;
  return (
    <FigureTable $isSum>
      <tbody>
        {lines.map((l) => (
          <tr key={l.what}>
            <th scope="row">{l.what}</th>
            <td>{l.figure}</td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}
