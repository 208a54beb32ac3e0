import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { rosterQuery } from '../../api/queries';
import { useFirst } from '../../parts/useFirst';
import { Button } from '../../parts/Button';
import { Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { QuickWeights } from '../../shared/weights/QuickWeights';
import { say } from '@yaylak/contract';

interface Props {
  readonly weighed: number;
  readonly onDone: () => void;
}

/** A page of a notebook. */
const FIRST = 20;

/** The first weights: at the race, or typed from where they were written before. */
export function WeighStep({ weighed, onDone }: Props) {
  const navigate = useNavigate();
  const { data: roster, error, refetch } = useQuery(rosterQuery);
  const unweighed = (roster?.animals ?? []).filter((a) => a.weights.length === 0);
  const { shown, more } = useFirst(unweighed, FIRST);
  if (!roster) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  return (
    <Stack $gap={4}>
      <Row $gap={3}>
        <Button kind={unweighed.length > 0 && weighed === 0 ? 'main' : 'plain'} onPress={() => void navigate('/race')}>
          {say('Weigh them at the race')}
        </Button>
        {weighed > 0 ? (
          <Button kind="main" onPress={onDone}>
            {say('Go on')}
          </Button>
        ) : null}
      </Row>
      {unweighed.length === 0 ? (
        <p>{roster.animals.length === 0 ? say('Nobody is here yet.') : say('Everybody has a weight.')}</p>
      ) : (
        <>
          <h3>{say('Or type in what you have')}</h3>
          <Small>{say('Three of a kind are enough to begin with. Enter goes to the next one.')}</Small>
          <QuickWeights animals={shown} onDone={onDone} />
          {more}
        </>
      )}
    </Stack>
  );
}
