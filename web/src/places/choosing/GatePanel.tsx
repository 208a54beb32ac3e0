import { useQuery } from '@tanstack/react-query';
import type { ChoosingSet, ChoosingView, GateChoice, TemplateFacts } from '@yaylak/contract';
import { MEAN_INDEX, type Decision, type GateKey } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { GroupField } from '../../shared/groups/GroupField';
import { countText } from '../../words/format';
import { choosable, idOf } from './decisions';

interface Props {
  readonly view: ChoosingView;
  readonly set: ChoosingSet;
  readonly words: string;
}

const GATES: readonly (readonly [key: GateKey, decisions: readonly Decision[], name: string])[] = [
  ['left', ['keep'], 'Keep'],
  ['down', ['second'], 'Second string'],
  ['right', ['sell', 'cull'], 'Sell'],
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
      state: { animalIds: written.map((w) => w.id), name: `Sorting ${words}`, plan },
    });
  };
  return (
    <Panel>
      <h2>Sort them at the gate</h2>
      {gates.length < 2 ? (
        <Small>Record the choice first. The gate then suggests where each one goes.</Small>
      ) : (
        <>
          <Small>
            Each goes to its pen{Object.keys(holding?.decisionMarks ?? {}).length > 0 ? ', with its spray mark' : ''}.
            Count the pens afterwards.
          </Small>
          {gates.map(({ key, name, head }) => (
            <GroupField
              key={key}
              label={`${name}: ${head}`}
              none="no other group"
              species={set.species}
              value={groupIds[key] ?? ''}
              onChange={(id) => setGroupIds({ ...groupIds, [key]: id })}
            />
          ))}
          <Row style={{ marginTop: 12 }}>
            <Button onPress={start}>Sort {countText(written.length, 'animal', 'animals')}</Button>
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
