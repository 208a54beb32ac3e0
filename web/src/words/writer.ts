import { useQuery } from '@tanstack/react-query';
import { mayRole, say, type Deed, type HoldingView, type Role } from '@yaylak/contract';
import { holdingQuery } from '../api/queries';

/** The name that stands under what is written here: of who is logged in, or else the holding’s keeper. */
export const writerOf = (holding: Pick<HoldingView, 'writer' | 'keeper'> | undefined): string =>
  holding?.writer?.name ?? holding?.keeper ?? say('Keeper');

export const useWriter = (): string => writerOf(useQuery(holdingQuery).data);

/** Whether who is logged in may do something; everybody may everything where the household has no accounts. */
export function useMay(): (deed: Deed) => boolean {
  const role = useQuery(holdingQuery).data?.writer?.role;
  return (deed) => mayRole(role, deed);
}

/** What somebody is to the book. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: say('owner'),
  keeper: say('keeper'),
  helper: say('helper'),
  viewer: say('viewer'),
};
