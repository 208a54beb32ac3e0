import { useQuery } from '@tanstack/react-query';
import type { CullRuleSetting } from '@yaylak/contract';
import { CULL_WEIGHTS, USUAL_CULL_RULES, type CullRule, type CullWeight, type Species } from '@yaylak/core';
import { useFieldArray } from 'react-hook-form';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
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

/** A row as it is being typed; `off` rules nothing. */
interface Typed {
  readonly rule: CullRule;
  readonly times: string;
  readonly granted: string;
  readonly years: string;
  readonly weight: CullWeight | 'off';
}

const keyOf = ({ fact, sex }: CullRule): string => `${sex} ${fact}`;
const WHOM: Readonly<Record<CullRule['sex'], string>> = { female: say('females'), male: say('males'), any: say('all') };

/** The usual rules as the holding has them: one that was switched off stands here to be switched on again. */
function typedRules(species: Species, rules: readonly CullRule[]): Typed[] {
  const known = new Map(rules.map((r) => [keyOf(r), r]));
  return USUAL_CULL_RULES.filter((r) => r.species === species).map((usual) => {
    const rule = known.get(keyOf(usual)) ?? usual;
    return {
      rule,
      times: String(rule.times),
      granted: String(rule.granted),
      years: rule.years === undefined ? '' : String(rule.years),
      weight: known.has(keyOf(usual)) ? rule.weight : 'off',
    };
  });
}

/** The rule of a row; none where it is off. */
function settingOf({ rule, times, granted, years, weight }: Typed): CullRuleSetting[] {
  if (weight === 'off') return [];
  const { years: _, ...facts } = rule;
  return [
    {
      ...facts,
      times: Number(times),
      granted: Number(granted),
      weight,
      ...(rule.fact === 'age' ? { years: readAge(years) } : {}),
    },
  ];
}

function Rules({ species, rules, onClose }: Omit<Props, 'isOpen'>) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const form = useTypedForm<{ readonly rows: Typed[] }>({
    start: { rows: typedRules(species, rules) },
    made: () => [],
    also: ({ rows }) =>
      Object.assign({}, ...rows.map((row, i) => (row.weight === 'off' ? {} : faultsOf(row, `rows.${i}`)))) as Against,
  });
  const { fields } = useFieldArray({ control: form.control, name: 'rows' });
  const keep = async ({ rows }: { readonly rows: readonly Typed[] }): Promise<readonly string[]> => {
    if (!holding) return [say('The settings are not here yet. Wait a moment and save again.')];
    const others = (holding.choosing.rules ?? USUAL_CULL_RULES).filter((r) => r.species !== species);
    const refused = await save({
      choosing: { ...holding.choosing, rules: [...(others as CullRuleSetting[]), ...rows.flatMap(settingOf)] },
    });
    return refused === undefined ? [] : [refused];
  };
  return (
    <SendForm form={form} send={keep} onDone={onClose} submit={say('Save')}>
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
            {fields.map(({ rule }, i) => {
              const name = `${CULL_FACT_WORDS[rule.fact]}, ${WHOM[rule.sex]}`;
              return (
                <tr key={keyOf(rule)}>
                  <td>{CULL_FACT_WORDS[rule.fact]}</td>
                  <td data-under={say('Of')}>{WHOM[rule.sex]}</td>
                  <td data-under={say('So often')}>
                    <FormField
                      isLabelHidden
                      name={`rows.${i}.times`}
                      label={say('{name}: so often', { name })}
                      inputMode="numeric"
                      style={NARROW}
                    />
                  </td>
                  <td data-under={say('Chances granted')}>
                    <FormField
                      isLabelHidden
                      name={`rows.${i}.granted`}
                      label={say('{name}: chances granted', { name })}
                      inputMode="numeric"
                      style={NARROW}
                    />
                  </td>
                  <td data-under={say('Years')}>
                    {rule.fact === 'age' ? (
                      <FormField
                        isLabelHidden
                        name={`rows.${i}.years`}
                        label={say('{name}: years', { name })}
                        inputMode="decimal"
                        style={NARROW}
                      />
                    ) : null}
                  </td>
                  <td data-under={say('Then')}>
                    <FormChoice
                      isLabelHidden
                      name={`rows.${i}.weight`}
                      label={say('{name}: then', { name })}
                      options={[
                        ...CULL_WEIGHTS.map((w) => [w, CULL_WEIGHT_WORDS[w]] as const),
                        ['off', say('no rule')],
                      ]}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </Table>
      </Frame>
    </SendForm>
  );
}

const Table = styled(DenseTable)`
  ${stackedInFrame}
`;

const MOST_TIMES = 20;

const NARROW = { width: 64 };
const readAge = (years: string): number => Number(years.replace(',', '.'));
const isWhole = (text: string, least: number): boolean =>
  /^\d+$/.test(text.trim()) && Number(text) >= least && Number(text) <= MOST_TIMES;

/** What is wrong with a row, by its fields, and what to do. */
function faultsOf({ rule, times, granted, years }: Typed, path: string): Against {
  const age = readAge(years);
  return {
    ...(isWhole(times, 1)
      ? {}
      : { [`${path}.times`]: say('“{times}” is not a number from 1 to {most}.', { times, most: MOST_TIMES }) }),
    ...(isWhole(granted, 0)
      ? {}
      : {
          [`${path}.granted`]: say('“{granted}” is not a number of chances from 0 to {most}.', {
            granted,
            most: MOST_TIMES,
          }),
        }),
    ...(rule.fact !== 'age' || (age >= 0.5 && age <= 40)
      ? {}
      : { [`${path}.years`]: say('“{years}” is not an age from 0.5 to 40 years.', { years }) }),
  };
}
