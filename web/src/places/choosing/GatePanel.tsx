import { useQuery } from '@tanstack/react-query';
import type { ChoosingSet, ChoosingView, GateChoice, TemplateFacts } from '@yaylak/contract';
import { MEAN_INDEX, type Decision, type GateKey } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { GroupField } from '../../shared/groups/GroupField';

import { choosable, idOf } from './decisions';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: ChoosingView;
  readonly set: ChoosingSet;
  readonly words: string;
}

const GATES: readonly (readonly [key: GateKey, decisions: readonly Decision[], name: string])[] = [
  ['left', ['keep'], say('Keep')],
  ['down', ['second'], say('Second string')],
  ['right', ['sell', 'cull'], say('Sell')],
];

/** The recorded choice as a job at the gate: it suggests where each goes, sprays and moves it, and the pens are counted. */
export function GatePanel({ view, set, words }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const navigate = useNavigate();
  const [groupIds, setGroupIds] = useState<Partial<Record<GateKey, string>>>({});
  const written = choosable(view).flatMap((a) => (a.written ? [{ id: idOf(a), decision: a.written.decision }] : []));
  const gates = GATES.flatMap(([key, decisions, name]) => {
    const head = written.filter((w) => decisions.includes(w.decision)).length;
    return head > 0 ? [{ key, name, head, isForSale: key === 'right' }] : [];
  });
  const start = (): void => {
    const made = gates.map(({ key, name, isForSale }): GateChoice => {
      const groupId = groupIds[key];
      return { key, name, ...(groupId ? { groupId } : {}), ...(isForSale ? { isForSale } : {}) };
    });
    const plan: Pick<TemplateFacts, 'stations' | 'settings' | 'gates'> = {
      stations: ['sort'],
      // All of them have a recorded choice; the line serves whoever comes along without one.
      settings: { sort: { by: 'index', line: cutOf(view), above: 'left', below: 'right' } },
      gates: made,
    };
    void navigate('/race', {
      state: { animalIds: written.map((w) => w.id), name: say('Sorting {words}', { words }), plan },
    });
  };
  return (
    <Panel>
      <h2>{say('Sort them at the gate')}</h2>
      {gates.length < 2 ? (
        <Small>{say('Record the choice first. The gate then suggests where each one goes.')}</Small>
      ) : (
        <>
          <Small>
            {say('Each goes to its pen{value}. Count the pens afterwards.', {
              value: Object.keys(holding?.decisionMarks ?? {}).length > 0 ? say(', with its spray mark') : '',
            })}
          </Small>
          {gates.map(({ key, name, head }) => (
            <GroupField
              key={key}
              label={`${name}: ${head}`}
              none={say('no other group')}
              species={set.species}
              value={groupIds[key] ?? ''}
              onChange={(id) => setGroupIds({ ...groupIds, [key]: id })}
            />
          ))}
          <Row style={{ marginTop: 12 }}>
            <Button onPress={start}>
              {say('Sort {n} {n, plural, one {animal} other {animals}}', { n: written.length })}
            </Button>
          </Row>
        </>
      )}
    </Panel>
  );
}

/** Points half way between the last kept and the first that is not; the middle where the order is in money. */
function cutOf({ rows, lines, how, basis }: ChoosingView): number {
  const [above, below] = [rows[lines.keep - 1], rows[lines.keep]];
  if (!above || !below || (basis === 'values' && how.scale === 'money')) return MEAN_INDEX;
  return Math.round(5 * (above.index + below.index)) / 10;
}
