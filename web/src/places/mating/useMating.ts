import { useQuery } from '@tanstack/react-query';
import type { MatingQuery } from '@yaylak/contract';
import { SPECIES, type Species } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { todayQuery } from '../../api/queries';
import { useFirstSpecies } from '../../words/useHolding';
import { useAddress } from '../../parts/useInAddress';

/** Whose mating a page looks at, kept in its address; a species that is here where none is named. */
export function useMatingScope(): {
  readonly query: MatingQuery;
  readonly setSpecies: (species: Species) => void;
  readonly setGroup: (groupId: string) => void;
} {
  const first = useFirstSpecies();
  const [, setSearch] = useSearchParams();
  const [search, put] = useAddress();
  const { data: today } = useQuery(todayQuery);
  const asked = SPECIES.find((s) => s === search.get('species'));
  const here = today?.head.find((h) => h.grownFemales > 0)?.species;
  const groupId = search.get('groupId') ?? '';
  return {
    query: { species: asked ?? here ?? first, ...(groupId === '' ? {} : { groupId }) },
    setSpecies: (species) => setSearch({ species }, { replace: true }),
    setGroup: (groupId) => put({ groupId }),
  };
}
