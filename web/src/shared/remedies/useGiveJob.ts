import type { DoseDueView } from '@yaylak/contract';
import { useNavigate } from 'react-router';

/** Opens the start of a job that gives a remedy to those who are due. */
export function useGiveJob(): (due: DoseDueView) => void {
  const navigate = useNavigate();
  return ({ animalIds, product, productId, groupName }) =>
    void navigate('/race', {
      state: {
        animalIds,
        name: `${product}${groupName ? `, ${groupName}` : ''}`,
        plan: { stations: ['treat'], settings: { treat: { productIds: [productId] } }, gates: [] },
      },
    });
}
