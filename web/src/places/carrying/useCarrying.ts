import { useQuery } from '@tanstack/react-query';
import type { CarryingQuery } from '@yaylak/contract';
import { SPECIES, type Species } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { todayQuery } from '../../api/queries';
import { useFirstSpecies } from '../../words/useHolding';
import { useAddress } from '../../parts/useInAddress';

type Part = 'groupId' | 'maleId' | 'season';

/** Whose pregnancies the page looks at, kept in its address; a species that is here where none is named. */
export function useCarryingScope(): {
  readonly query: CarryingQuery;
  readonly setSpecies: (species: Species) => void;
  /** Who lost her young, where somebody was sent here to say so. */
  readonly lostId: string | null;
  readonly set: (part: Part | 'lost', value: string) => void;
} {
  const first = useFirstSpecies();
  const [, setSearch] = useSearchParams();
  const [search, put] = useAddress();
  const { data: today } = useQuery(todayQuery);
  const asked = SPECIES.find((s) => s === search.get('species'));
  const here = today?.head.find((h) => h.grownFemales > 0)?.species;
  const part = (name: Part): Partial<CarryingQuery> => {
    const value = search.get(name);
    return value ? { [name]: value } : {};
  };
  return {
    query: { species: asked ?? here ?? first, ...part('groupId'), ...part('maleId'), ...part('season') },
    lostId: search.get('lost'),
    setSpecies: (species) => setSearch({ species }, { replace: true }),
    set: (name, value) => put({ [name]: value }),
  };
}
