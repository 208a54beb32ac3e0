import { useQueryClient, useQuery } from '@tanstack/react-query';
import { listed, type GroupView, type PairingView, say, SPECIES_WORDS, lower } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { TagRow } from '../../parts/TagRow';
import { useFirst } from '../../parts/useFirst';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { newId } from '../../words/ids';

interface Props {
  readonly view: PairingView;
  readonly maleOf: Readonly<Record<string, string>>;
}

/** The plan as groups of a male and his females, with what turns each into a group and a job; and who has no male. */
export function MatingGroups({ view, maleOf }: Props) {
  const client = useQueryClient();
  const { data: groups } = useQuery(groupsQuery);
  const startJob = useStartJob();
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  const without = view.females.filter((f) => maleOf[f.tag.animalId] === undefined);
  const lots = view.males.flatMap((male) => {
    const females = view.females.filter((f) => maleOf[f.tag.animalId] === male.tag.animalId);
    return females.length === 0 ? [] : [{ male, females }];
  });
  const nameOf = (male: PairingView['males'][number]): string => say('With {n}', { n: male.tag.name ?? male.tag.text });

  const groupFor = async (male: PairingView['males'][number]): Promise<string> => {
    const name = nameOf(male);
    const known = groups?.find((g) => g.name === name && !g.isClosed);
    if (known) return known.id;
    const made = await ask<GroupView>('/api/groups', {
      method: 'POST',
      body: { id: newId(), name, species: view.species },
    });
    void readAgain(client, { queryKey: groupsQuery.queryKey });
    return made.id;
  };
  const guarded = async (work: () => Promise<string | undefined>): Promise<void> => {
    try {
      setProblem(await work());
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const sortOut = (lot: (typeof lots)[number]): Promise<void> =>
    guarded(async () => {
      const groupId = await groupFor(lot.male);
      return startJob({
        name: say('{name}: sort out {count}', {
          name: nameOf(lot.male),
          count: countText(lot.females.length, ...SPECIES_WORDS[view.species].grown.female),
        }),
        stations: ['move'],
        settings: { move: { groupId } },
        gates: [],
        animalIds: lot.females.map((f) => f.tag.animalId),
      });
    });
  const writeDown = (lot: (typeof lots)[number]): Promise<void> =>
    guarded(async () => {
      const groupId = await groupFor(lot.male);
      const refused = await write(
        [
          ...lot.females.map((f) => ({ type: 'move' as const, animalId: f.tag.animalId, on: view.on, groupId })),
          { type: 'stay' as const, animalId: lot.male.tag.animalId, on: view.on, groupId },
        ],
        say('Put {n} {n, plural, one {female} other {females}} {word}', {
          n: lot.females.length,
          word: lower(nameOf(lot.male)),
        }),
      );
      return refused.join(' ') || undefined;
    });
  const firstWithout = useFirst(without, 20);
  return (
    <Panel>
      <h2>{say('The groups')}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Male')}</th>
            <th>{say('Females')}</th>
            <th>{say('Do it')}</th>
          </tr>
        </thead>
        <tbody>
          {lots.map((lot) => (
            <tr key={lot.male.tag.animalId}>
              <td>
                <Tag tag={lot.male.tag} /> {lot.male.tag.name}
              </td>
              <td>
                <TagRow tags={lot.females.map((f) => f.tag)} first={18} />
              </td>
              <td>
                <Row $gap={1}>
                  <Button onPress={() => void sortOut(lot)}>{say('Sort out at the race')}</Button>
                  <Button kind="quiet" onPress={() => void writeDown(lot)}>
                    {say('They are together, he is in')}
                  </Button>
                </Row>
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {problem ? <p role="alert">{problem}</p> : null}
      {without.length > 0 ? (
        <NotePanel $tone="madder" style={{ marginTop: 12 }}>
          <h3>{say('Without a male ({n})', { n: without.length })}</h3>
          {firstWithout.shown.map((f) => (
            <Row key={f.tag.animalId}>
              <Tag tag={f.tag} /> <Small>{whyNone(view, f)}</Small>
            </Row>
          ))}
          {firstWithout.more}
        </NotePanel>
      ) : null}
    </Panel>
  );
}

/** Why the plan has no male for her. */
function whyNone(view: PairingView, female: PairingView['females'][number]): string {
  const n = view.males.length;
  const row = view.females.indexOf(female);
  const own = view.males.map((m, column) => ({ m, refusal: view.refusals[row * n + column] ?? null }));
  const allowed = own.filter((o) => o.refusal === null && o.m.isReady);
  if (allowed.length > 0)
    return say('{listed} may serve her and {n, plural, one {has} other {have}} no room left', {
      listed: listed(allowed.map((o) => o.m.tag.name ?? o.m.tag.text)),
      n: allowed.length,
    });
  const kin = own.filter((o) => o.refusal?.code === 'relation' || o.refusal?.code === 'inbreeding').length;
  const carriers = own.filter((o) => o.refusal?.code === 'carriers').length;
  const unfit = own.filter((o) => o.refusal === null).length;
  const parts = [
    ...(kin > 0 ? [say('{kin} too near kin', { kin })] : []),
    ...(carriers > 0 ? [say('{carriers} may carry the same disorder', { carriers })] : []),
    ...(unfit > 0 ? [say('{unfit} not fit', { unfit })] : []),
  ];
  return say('no male may serve her: {list}', { list: parts.join(', ') });
}
