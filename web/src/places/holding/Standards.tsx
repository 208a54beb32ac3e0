import type { HoldingView, StandardSetting } from '@yaylak/contract';
import { LOOK_POINTS, SEXES, SPECIES, SPECIES_WORDS, type Sex, type Species, type StandardRule } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { colour, space } from '../../theme/tokens';
import { newId } from '../../words/ids';
import { PlainList } from '../../parts/PlainList';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

const OF: readonly (readonly [key: string, words: string, sexes: readonly Sex[]])[] = [
  ['all', 'all', SEXES],
  ['female', 'females', ['female']],
  ['male', 'males', ['male']],
];

const POINTS = Array.from({ length: LOOK_POINTS }, (_, i) => i + 1);
const pointsText = ({ least }: StandardSetting): string =>
  least === undefined ? '0 to 5 points' : `0 to 5 points, fails under ${least}`;

/** What animals are looked over for; each holding makes its own of it. */
export function Standards({ holding, onSave }: Props) {
  const [species, setSpecies] = useState<Species>('sheep');
  const [name, setName] = useState('');
  const [fails, setFails] = useState('');
  const [kind, setKind] = useState<StandardSetting['kind']>('go');
  const [least, setLeast] = useState('');
  const [rule, setRule] = useState<StandardRule>('own');
  const [of, setOf] = useState('all');
  const [problem, setProblem] = useState<string>();
  useUnsaved(name !== '' || fails !== '');
  const own = holding.standards.filter((s) => s.species === species && !s.isOut);
  const out = holding.standards.filter((s) => s.species === species && s.isOut);
  const save = async (standards: readonly StandardSetting[]): Promise<boolean> => {
    const refused = await onSave({ standards: standards.map((s) => ({ ...s, sexes: [...s.sexes] })) });
    setProblem(refused);
    return refused === undefined;
  };
  const setOut = ({ id }: StandardSetting, isOut: boolean): Promise<boolean> =>
    save(holding.standards.map((s) => (s.id === id ? { ...s, isOut } : s)));
  const add = async (): Promise<void> => {
    const sexes = [...(OF.find(([key]) => key === of)?.[2] ?? SEXES)];
    const standard: StandardSetting = {
      id: newId(),
      species,
      sexes,
      name: name.trim(),
      fails: fails.trim(),
      kind,
      rule,
      ...(kind === 'points' && least !== '' ? { least: Number(least) } : {}),
    };
    if (!(await save([...holding.standards, standard]))) return;
    setName('');
    setFails('');
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>Standards of the look-over</h2>
        <Choice
          label="Standards of"
          isLabelHidden
          value={species}
          options={SPECIES.map((s) => [s, SPECIES_WORDS[s].name])}
          onChange={setSpecies}
        />
      </Row>
      <List aria-label="Standards">
        {own.map((s) => (
          <li key={s.id}>
            <span>
              <b>{s.name}</b>, {s.kind === 'go' ? 'go or no-go' : pointsText(s)}
              {s.rule === 'pedigree' ? ', pedigree rule' : ''}
              {s.sexes.length === SEXES.length ? '' : `, ${s.sexes.join(' and ')} only`}
              <Small>{s.fails}</Small>
            </span>
            <AskButton
              kind="quiet"
              label="Take out"
              name={`Take out the standard ${s.name}`}
              ask={`Count ${s.name} no more?`}
              onConfirm={() => void setOut(s, true)}
            />
          </li>
        ))}
      </List>
      {out.length > 0 ? (
        <>
          <h3>Taken out</h3>
          <List aria-label="Standards taken out">
            {out.map((s) => (
              <li key={s.id}>
                <span>
                  <b>{s.name}</b>
                  <Small>Not asked for. What was seen stays with the animals and counts again once it is back.</Small>
                </span>
                <Button
                  kind="quiet"
                  aria-label={`Put back the standard ${s.name}`}
                  onPress={() => void setOut(s, false)}
                >
                  Put back
                </Button>
              </li>
            ))}
          </List>
        </>
      ) : null}
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label="Standard" placeholder="Ears" value={name} onChange={setName} />
          <Field label="It fails when" placeholder="torn, carried low" value={fails} onChange={setFails} />
          <Choice
            label="Judged by"
            value={kind}
            options={[
              ['go', 'go or no-go'],
              ['points', '0 to 5 points'],
            ]}
            onChange={setKind}
          />
          {kind === 'points' ? (
            <Choice
              label="Fails under"
              value={least}
              options={[['', 'never'], ...POINTS.map((n) => [String(n), `${n} points`] as const)]}
              onChange={setLeast}
            />
          ) : null}
          <Choice
            label="Whose rule"
            value={rule}
            options={[
              ['own', 'our own'],
              ['pedigree', 'pedigree'],
            ]}
            onChange={setRule}
          />
          <Choice label="Asked of" value={of} options={OF.map(([key, words]) => [key, words])} onChange={setOf} />
          <Button type="submit" isDisabled={name.trim() === ''}>
            Add it
          </Button>
        </Row>
      </form>
      <Small>
        One that fails a pedigree rule is put forward for the second string, one that fails a rule of your own to be
        sold. The first failed in this order decides. Animals that failed a standard you take out stand in the ranking
        again.
      </Small>
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 ${space(3)};
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: ${space(3)};
    min-height: 48px;
    border-top: 1px solid ${colour('line')};
  }
`;
