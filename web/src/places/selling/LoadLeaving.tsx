import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { LoadHeadView, OutletView, PlannedLoadView } from '@yaylak/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { loadsQuery } from '../../api/selling';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';

import { LoadSheet } from './LoadSheet';
import type { LoadAtHand } from './useLoad';
import { say } from '@yaylak/contract';

interface Props {
  readonly load: PlannedLoadView;
  readonly outlet: OutletView;
  readonly atHand: LoadAtHand;
}

/** The load leaves, whole or those that went aboard, or is given up. */
export function LoadLeaving({ load: { heads, facts }, outlet, atHand }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const [leaving, setLeaving] = useState<readonly LoadHeadView[]>();
  const { species } = outlet.facts;
  const today = holding?.today ?? '';
  const aboard = heads.filter((h) => facts.aboard?.includes(h.tag.animalId));
  const isPart = aboard.length > 0 && aboard.length < heads.length;
  const ready = isPart ? aboard : heads;
  const stopped = ready.filter(mayNotGo);
  return (
    <>
      <Row $gap={3}>
        <Button
          kind="main"
          isDisabled={ready.length === 0 || stopped.length > 0}
          onPress={() => setLeaving(isPart ? aboard : heads)}
        >
          {isPart ? aboardText(aboard.length) : say('The load leaves…')}
        </Button>
        {isPart ? (
          <Button isDisabled={heads.some(mayNotGo)} onPress={() => setLeaving(heads)}>
            {say('All {n} leave…', { n: heads.length })}
          </Button>
        ) : null}
        {stopped.length > 0 ? (
          <Small role="status">
            {say(
              '{n} {n, plural, one {head} other {head}} on it may not go. Remove {n, plural, one {it} other {them}} first.',
              { n: stopped.length },
            )}
          </Small>
        ) : null}
        <AskButton
          kind="quiet"
          label={say('Give the load up')}
          ask={say('Give it up? The animals stay as they are.')}
          onConfirm={() =>
            void atHand.giveUp().then((isGivenUp) => isGivenUp && navigate(`/selling?species=${species}`))
          }
        />
      </Row>
      {leaving ? (
        <LoadSheet
          outlet={outlet}
          rows={leaving.map(({ tag, weight }) => ({ tag, kg: weight?.on === today ? weight.kg : undefined }))}
          behind={heads.filter((h) => !leaving.includes(h)).map((h) => h.tag)}
          species={species}
          today={today}
          currency={holding?.currency ?? ''}
          onClose={() => {
            setLeaving(undefined);
            void client.invalidateQueries({ queryKey: loadsQuery.queryKey });
          }}
        />
      ) : null}
    </>
  );
}

const mayNotGo = ({ checks }: LoadHeadView): boolean => checks.some((c) => c.isStop);
const aboardText = (count: number): string =>
  count === 1 ? say('The one aboard leaves…') : say('The {count} aboard leave…', { count });
