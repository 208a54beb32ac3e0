import { useQuery } from '@tanstack/react-query';
import { loadsQuery } from '../../api/selling';

/** The load that one goes with. */
export interface OnLoad {
  readonly loadId: string;
  readonly outletId: string;
  readonly on: string;
}

/** Who is on a load that is planned, by animal: nobody goes with two. */
export function useOnLoad(): ReadonlyMap<string, OnLoad> {
  const { data = [] } = useQuery(loadsQuery);
  return new Map(
    data.flatMap(({ id, facts, heads }) =>
      heads.map(({ tag }) => [tag.animalId, { loadId: id, outletId: facts.outletId, on: facts.on }] as const),
    ),
  );
}
