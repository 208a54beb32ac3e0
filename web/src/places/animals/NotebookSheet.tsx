import { useQuery } from '@tanstack/react-query';
import { rosterQuery } from '../../api/queries';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Failed, Loading } from '../../parts/States';
import { QuickWeights } from '../../shared/weights/QuickWeights';
import { say } from '@yaylak/contract';

interface Props {
  readonly animalIds: readonly string[];
  readonly onClose: () => void;
  readonly onDone: () => void;
}

/** Weights of yesterday's notebook page, for those that are ticked and here. */
export function NotebookSheet({ animalIds, onClose, onDone }: Props) {
  const { data: roster, error, refetch } = useQuery(rosterQuery);
  const wanted = new Set(animalIds);
  const animals = (roster?.animals ?? []).filter((a) => wanted.has(a.tag.animalId));
  const gone = wanted.size - animals.length;
  return (
    <Sheet title={say('Weights from the notebook')} isOpen onClose={onClose} width={680}>
      {roster ? (
        <>
          {gone > 0 ? (
            <Small>{say('{gone} of the ticked are no longer here and are left out.', { gone })}</Small>
          ) : null}
          <QuickWeights
            animals={animals}
            onDone={() => {
              onClose();
              onDone();
            }}
          />
        </>
      ) : error ? (
        <Failed error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading />
      )}
    </Sheet>
  );
}
