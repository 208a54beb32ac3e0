import type { HoldingView, StandardSetting } from '@yaylak/contract';
import { SEXES, type Species } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { Panel, Row, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { colour, space } from '../../theme/tokens';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { StandardForm } from './StandardForm';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

const pointsText = ({ least }: StandardSetting): string =>
  least === undefined ? '0 to 5 points' : `0 to 5 points, fails under ${least}`;

/** What animals are looked over for; each holding makes its own of it. */
export function Standards({ holding, onSave }: Props) {
  const speciesOptions = useSpeciesOptions();
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  const [changed, setChanged] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const { standards } = holding;
  const own = standards.filter((s) => s.species === species && !s.isOut);
  const out = standards.filter((s) => s.species === species && s.isOut);
  const save = (next: readonly StandardSetting[]): Promise<string | undefined> =>
    onSave({ standards: next.map((s) => ({ ...s, sexes: [...s.sexes] })) });
  const saveNow = async (next: readonly StandardSetting[]): Promise<void> => setProblem(await save(next));
  const withChanged = (to: StandardSetting): readonly StandardSetting[] =>
    standards.map((s) => (s.id === to.id ? to : s));
  /** Before the one that stands before it: the first failed decides. */
  const moveUp = (standard: StandardSetting): Promise<void> => {
    const before = own[own.indexOf(standard) - 1];
    return saveNow(standards.flatMap((s) => (s === standard ? [] : s === before ? [standard, s] : [s])));
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>Standards of the look-over</h2>
        <Choice label="Standards of" isLabelHidden value={species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      <List aria-label="Standards">
        {own.map((s, i) => (
          <li key={s.id}>
            {changed === s.id ? (
              <StandardForm
                species={species}
                standard={s}
                onSave={(to) => save(withChanged(to))}
                onDone={() => setChanged(undefined)}
              />
            ) : (
              <>
                <span>
                  <b>{s.name}</b>, {s.kind === 'go' ? 'go or no-go' : pointsText(s)}
                  {s.rule === 'pedigree' ? ', pedigree rule' : ''}
                  {s.sexes.length === SEXES.length ? '' : `, ${s.sexes.join(' and ')} only`}
                  <Small>{s.fails}</Small>
                </span>
                <Row>
                  {i > 0 ? (
                    <Button kind="quiet" aria-label={`Move the standard ${s.name} up`} onPress={() => void moveUp(s)}>
                      Up
                    </Button>
                  ) : null}
                  <Button kind="quiet" aria-label={`Change the standard ${s.name}`} onPress={() => setChanged(s.id)}>
                    Change
                  </Button>
                  <AskButton
                    kind="quiet"
                    label="Take out"
                    name={`Take out the standard ${s.name}`}
                    ask={`Count ${s.name} no more?`}
                    onConfirm={() => void saveNow(withChanged({ ...s, isOut: true }))}
                  />
                </Row>
              </>
            )}
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
                  onPress={() => void saveNow(withChanged({ ...s, isOut: false }))}
                >
                  Put back
                </Button>
              </li>
            ))}
          </List>
        </>
      ) : null}
      {changed === undefined ? (
        <StandardForm
          key={species}
          species={species}
          onSave={(standard) => save([...standards, standard])}
          onDone={() => undefined}
        />
      ) : null}
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
    padding: ${space(1)} 0;
  }
`;
