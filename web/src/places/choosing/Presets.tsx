import { useQuery } from '@tanstack/react-query';
import type { RankingPreset } from '@yaylak/contract';
import type { RankingHow, Species } from '@yaylak/core';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

interface Props {
  readonly species: Species;
  readonly how: RankingHow;
  readonly onChange: (how: RankingHow) => void;
}

const isSame = (a: RankingHow, b: RankingHow): boolean => JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b));
/** Fields in one order; weights of 0 are as good as none. */
const inOrder = ({ basis, scale, own, points, money, grownAimKg }: RankingHow) => [
  basis,
  scale,
  ...[own, points, money].map((w) =>
    Object.entries(w)
      .filter(([, n]) => n !== 0)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  ),
  grownAimKg ?? null,
];

/** Ways to rank kept under a name; the first is what a new set begins with. */
export function Presets({ species, how, onChange }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  if (!holding) return null;
  const { presets } = holding.choosing;
  const own = presets.filter((p) => p.species === species);
  const current = own.find((p) => isSame(p.how, how));
  const keep = (next: readonly RankingPreset[]): void =>
    void save({ choosing: { ...holding.choosing, presets: [...next] } }).then(setProblem);
  const keepAs = (): void => {
    const named = name.trim();
    if (named === '') return setProblem(say('Type a name for it.'));
    if (own.some((p) => p.name.toLowerCase() === named.toLowerCase()))
      return setProblem(say('“{named}” is taken. Choose another name.', { named }));
    keep([...presets, { id: newId(), species, name: named, how: how as RankingPreset['how'] }]);
    setName('');
  };
  return (
    <>
      {own.length > 0 ? (
        <Row $gap={2} style={{ alignItems: 'flex-end', marginTop: 8 }}>
          <Choice
            label={say('Kept ways to rank')}
            value={current?.id ?? ''}
            options={[['', say('changed here')], ...own.map((p) => [p.id, p.name] as const)]}
            onChange={(id) => {
              const chosen = own.find((p) => p.id === id);
              if (chosen) onChange(chosen.how);
            }}
          />
          {current ? (
            <AskButton
              kind="quiet"
              label={say('Remove')}
              ask={say('Remove {name}?', { name: current.name })}
              onConfirm={() => keep(presets.filter((p) => p.id !== current.id))}
            />
          ) : null}
        </Row>
      ) : null}
      {current ? (
        <Small>{current === own[0] ? say('A new set begins with this one.') : ''}</Small>
      ) : (
        <Row $gap={2} style={{ alignItems: 'flex-end', marginTop: 8, flexWrap: 'nowrap' }}>
          <Field label={say('Keep this way as')} value={name} onChange={setName} />
          <Button onPress={keepAs}>{say('Save')}</Button>
        </Row>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
    </>
  );
}
