import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { choosingSetsQuery } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { setWords } from '../../words/choosing';
import { Chooser } from './Chooser';
import { isNamed, keyOf } from './setKey';
import { say } from '@yaylak/contract';
import { LeadTo } from '../../parts/LeadTo';

/** Enough to choose from; a set of two is not what somebody comes for. */
const WORTH_OPENING = 5;

/** Who stays: the sets, and the four steps of one. */
export function ChoosingPage() {
  const sets = useQuery(choosingSetsQuery);
  const { data: holding } = useQuery(holdingQuery);
  const [params, setParams] = useSearchParams();
  if (!sets.data)
    return (
      <Page title={say('Choosing')}>
        {sets.error ? <Failed error={sets.error} onRetry={() => void sets.refetch()} /> : <Loading rows={10} />}
      </Page>
    );
  const set =
    sets.data.find((s) => isNamed(s, params.get('set'))) ??
    sets.data.find((s) => s.count >= WORTH_OPENING) ??
    sets.data[0];
  if (!set)
    return (
      <Page title={say('Choosing')}>
        <Empty title={say('Nobody to choose from')} action={<LeadTo to="/animals" words={say('Add animals')} />}>
          {say('Animals appear here as soon as they are in the book.')}
        </Empty>
      </Page>
    );
  const today = holding?.today ?? '';
  return (
    <Chooser
      key={keyOf(set)}
      set={set}
      words={setWords(set, today)}
      picker={
        <>
          <LinkButton as={Link} to={`/choosing/going?species=${set.species}`}>
            {say('Who should go')}
          </LinkButton>
          <Choice
            label={say('Among')}
            isLabelHidden
            value={keyOf(set)}
            options={sets.data.map((s) => [keyOf(s), `${setWords(s, today)} (${s.count})`])}
            onChange={(next) => {
              const step = params.get('step');
              setParams({ set: next, ...(step ? { step } : {}) });
            }}
          />
        </>
      }
    />
  );
}
