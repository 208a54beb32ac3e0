import { useQuery } from '@tanstack/react-query';
import type { CullRuleSetting } from '@yaylak/contract';
import { CULL_WEIGHTS, USUAL_CULL_RULES, type CullRule, type CullWeight, type Species } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { stackedInFrame } from '../../parts/stackedOnPhone';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { CULL_FACT_WORDS, CULL_WEIGHT_WORDS } from '../../words/going';
import { DenseTable, Frame } from '../../parts/Beside';
import { say } from '@yaylak/contract';

interface Props {
  readonly species: Species;
  readonly rules: readonly CullRule[];
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** The rules by which the grown go, as the holding sets them. */
export const RulesSheet = ({ species, rules, isOpen, onClose }: Props) => (
  <Sheet title={say('Rules for who should go')} isOpen={isOpen} onClose={onClose} width={860}>
    {isOpen ? <Rules species={species} rules={rules} onClose={onClose} /> : null}
  </Sheet>
);

/** A row as it is being edited; `off` rules nothing. */
interface Edited {
  readonly rule: CullRule;
  readonly times: string;
  readonly granted: string;
  readonly years: string;
  readonly weight: CullWeight | 'off';
}

const keyOf = ({ fact, sex }: CullRule): string => `${sex} ${fact}`;
const WHOM: Readonly<Record<CullRule['sex'], string>> = { female: say('females'), male: say('males'), any: say('all') };

function Rules({ species, rules, onClose }: Omit<Props, 'isOpen'>) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [problem, setProblem] = useState<string>();
  const [edited, setEdited] = useState<readonly Edited[]>(() => {
    const known = new Map(rules.map((r) => [keyOf(r), r]));
    const usual = USUAL_CULL_RULES.filter((r) => r.species === species);
    // One that was switched off stands here to be switched on again.
    return usual.map((r): Edited => {
      const rule = known.get(keyOf(r)) ?? r;
      return {
        rule,
        times: String(rule.times),
        granted: String(rule.granted),
        years: rule.years === undefined ? '' : String(rule.years),
        weight: known.has(keyOf(r)) ? rule.weight : 'off',
      };
    });
  });
  const change = (i: number, next: Partial<Edited>): void =>
    setEdited(edited.map((e, at) => (at === i ? { ...e, ...next } : e)));
  const keep = async (): Promise<void> => {
    if (!holding) return;
    const bad = edited.find((e) => e.weight !== 'off' && faultOf(e) !== undefined);
    if (bad) return setProblem(`${CULL_FACT_WORDS[bad.rule.fact]}: ${faultOf(bad)}`);
    const own = edited.flatMap((e): CullRuleSetting[] => {
      if (e.weight === 'off') return [];
      const { years: _, ...rule } = e.rule;
      return [
        {
          ...rule,
          times: Number(e.times),
          granted: Number(e.granted),
          weight: e.weight,
          ...(e.rule.fact === 'age' ? { years: Number(e.years.replace(',', '.')) } : {}),
        },
      ];
    });
    const others = (holding.choosing.rules ?? USUAL_CULL_RULES).filter((r) => r.species !== species);
    const refused = await save({
      choosing: { ...holding.choosing, rules: [...(others as CullRuleSetting[]), ...own] },
    });
    setProblem(refused);
    if (refused === undefined) onClose();
  };
  return (
    <>
      <Small>
        {say(
          'A rule speaks against an animal when something has happened more often than the chances it has: “so often” less one, and what you grant beyond that. Feet and treatments count by bouts within a year. Of mouth, udder, feed, litters and a male’s check the last record decides.',
        )}
      </Small>
      <Frame>
        <Table aria-label={say('Rules')}>
          <thead>
            <tr>
              <th>{say('Rule')}</th>
              <th>{say('Of')}</th>
              <th>{say('So often')}</th>
              <th>{say('Chances granted')}</th>
              <th>{say('Years')}</th>
              <th>{say('Then')}</th>
            </tr>
          </thead>
          <tbody>
            {edited.map((e, i) => {
              const name = `${CULL_FACT_WORDS[e.rule.fact]}, ${WHOM[e.rule.sex]}`;
              return (
                <tr key={keyOf(e.rule)}>
                  <td>{CULL_FACT_WORDS[e.rule.fact]}</td>
                  <td data-under={say('Of')}>{WHOM[e.rule.sex]}</td>
                  <td data-under={say('So often')}>
                    <Field
                      isLabelHidden
                      label={say('{name}: so often', { name })}
                      inputMode="numeric"
                      value={e.times}
                      onChange={(times) => change(i, { times })}
                      style={{ width: 64 }}
                    />
                  </td>
                  <td data-under={say('Chances granted')}>
                    <Field
                      isLabelHidden
                      label={say('{name}: chances granted', { name })}
                      inputMode="numeric"
                      value={e.granted}
                      onChange={(granted) => change(i, { granted })}
                      style={{ width: 64 }}
                    />
                  </td>
                  <td data-under={say('Years')}>
                    {e.rule.fact === 'age' ? (
                      <Field
                        isLabelHidden
                        label={say('{name}: years', { name })}
                        inputMode="decimal"
                        value={e.years}
                        onChange={(years) => change(i, { years })}
                        style={{ width: 64 }}
                      />
                    ) : null}
                  </td>
                  <td data-under={say('Then')}>
                    <Choice
                      isLabelHidden
                      label={say('{name}: then', { name })}
                      value={e.weight}
                      options={[
                        ...CULL_WEIGHTS.map((w) => [w, CULL_WEIGHT_WORDS[w]] as const),
                        ['off', say('no rule')],
                      ]}
                      onChange={(weight) => change(i, { weight })}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </Table>
      </Frame>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void keep()}>
          {say('Save')}
        </Button>
      </Row>
    </>
  );
}

const Table = styled(DenseTable)`
  ${stackedInFrame}
`;

const MOST_TIMES = 20;

/** What is wrong with a row, and what to do. */
function faultOf({ rule, times, granted, years }: Edited): string | undefined {
  const isWhole = (text: string, least: number): boolean =>
    /^\d+$/.test(text.trim()) && Number(text) >= least && Number(text) <= MOST_TIMES;
  if (!isWhole(times, 1)) return say('“{times}” is not a number from 1 to {most}.', { times, most: MOST_TIMES });
  if (!isWhole(granted, 0))
    return say('“{granted}” is not a number of chances from 0 to {most}.', { granted, most: MOST_TIMES });
  const age = Number(years.replace(',', '.'));
  if (rule.fact === 'age' && !(age >= 0.5 && age <= 40))
    return say('“{years}” is not an age from 0.5 to 40 years.', { years });
  return undefined;
}
