import type { HoldingView, StandardSetting } from '@yaylak/contract';
import { SEXES, type Species } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Panel, Row, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { colour, space } from '../../theme/tokens';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { StandardForm } from './StandardForm';
import { say } from '@yaylak/contract';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

const pointsText = ({ least }: StandardSetting): string =>
  least === undefined ? '0 to 5 points' : say('0 to 5 points, fails under {least}', { least });

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
        <h2>{say('Standards of the look-over')}</h2>
        <Choice
          label={say('Standards of')}
          isLabelHidden
          value={species}
          options={speciesOptions}
          onChange={setSpecies}
        />
      </Row>
      <List aria-label={say('Standards')}>
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
                  <b>{say(s.name)}</b>, {s.kind === 'go' ? say('go or no-go') : pointsText(s)}
                  {s.rule === 'pedigree' ? say(', pedigree rule') : ''}
                  {s.sexes.length === SEXES.length
                    ? ''
                    : say(', {list} only', { list: s.sexes.join(` ${say('and')} `) })}
                  <Small>{say(s.fails)}</Small>
                </span>
                <Row>
                  {i > 0 ? (
                    <Button
                      kind="quiet"
                      aria-label={say('Move the standard {name} up', { name: say(s.name) })}
                      onPress={() => void moveUp(s)}
                    >
                      {say('Up')}
                    </Button>
                  ) : null}
                  <Button
                    kind="quiet"
                    aria-label={say('Change the standard {name}', { name: say(s.name) })}
                    onPress={() => setChanged(s.id)}
                  >
                    {say('Change')}
                  </Button>
                  <AskButton
                    kind="quiet"
                    label={say('Take out')}
                    name={say('Take out the standard {name}', { name: say(s.name) })}
                    ask={say('Count {name} no more?', { name: say(s.name) })}
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
          <h3>{say('Taken out')}</h3>
          <List aria-label={say('Standards taken out')}>
            {out.map((s) => (
              <li key={s.id}>
                <span>
                  <b>{say(s.name)}</b>
                  <Small>
                    {say('Not asked for. What was seen stays with the animals and counts again once it is back.')}
                  </Small>
                </span>
                <Button
                  kind="quiet"
                  aria-label={say('Put back the standard {name}', { name: say(s.name) })}
                  onPress={() => void saveNow(withChanged({ ...s, isOut: false }))}
                >
                  {say('Put back')}
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
        {say(
          'One that fails a pedigree rule is put forward for the second string, one that fails a rule of your own to be sold. The first failed in this order decides. Animals that failed a standard you take out stand in the ranking again.',
        )}
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
