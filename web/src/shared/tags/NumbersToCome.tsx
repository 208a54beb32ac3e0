import { useQuery } from '@tanstack/react-query';
import { nextFreeNumbers, readTemplate, SEX_LETTERS, type Species, type TemplateFault } from '@yaylak/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { fonts, space } from '../../theme/tokens';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { say } from '@yaylak/contract';

const SHOWN = 10;
const FAULT_WORDS: Readonly<Record<TemplateFault, string>> = {
  empty: say('Write how a number looks, such as {YY}-{NNNN}.'),
  'too-long': say('A template has up to 40 letters.'),
  'no-running-number': say('It needs one running number, such as {NNNN}.'),
  'two-running-numbers': say('It can have one running number only.'),
  'unknown-field': say('Use text, {YY}, {YYYY}, {SPECIES}, {SEX} and {NNNN}.'),
};

/** The schools of numbering, to begin from. */
const WAYS = [
  ['{YY}-{NNNN}', say('year and order')],
  ['{SPECIES}{NNNN}', say('one row for the species')],
  ['AK{NNNN}', say('a prefix of your own')],
] as const;

/** How the numbers of a species are made, with the next ten as it is typed. */
export function NumbersToCome() {
  const speciesOptions = useSpeciesOptions();
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const save = useSaveHolding();
  const kept = holding?.species[species].numberTemplate ?? '';
  const text = typed ?? kept;
  const template = useMemo(() => readTemplate(text), [text]);
  const used = useMemo(() => (identifiers ?? []).flatMap((i) => (i.kind === 'visual' ? [i.text] : [])), [identifiers]);
  const year = Number((holding?.today ?? '2000').slice(0, 4));
  const next =
    template.kind === 'template'
      ? nextFreeNumbers(
          template.parts,
          { year, speciesLetter: species.charAt(0).toUpperCase(), sexLetter: SEX_LETTERS.female },
          used,
          SHOWN,
        )
      : [];
  const keep = async (): Promise<void> => {
    const own = { ...holding?.overrides[species], numberTemplate: text };
    const refused = await save({ species: { ...holding?.overrides, [species]: own } });
    setProblem(refused);
    if (refused === undefined) setTyped(undefined);
  };
  const fault = template.kind === 'refused' ? FAULT_WORDS[template.reason] : problem;
  return (
    <Panel>
      <h2>{say('Next tag numbers')}</h2>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <Stack $gap={2} style={{ marginTop: 12 }}>
          <Choice
            label={say('Species')}
            value={species}
            options={speciesOptions}
            onChange={(s) => {
              setSpecies(s);
              setTyped(undefined);
              setProblem(undefined);
            }}
          />
          <Row role="group" aria-label={say('Usual ways')}>
            {WAYS.map(([way, words]) => (
              <Chip key={way} type="button" aria-pressed={text === way} onClick={() => setTyped(way)}>
                {words}
              </Chip>
            ))}
          </Row>
          <Field
            label={say('How a number is made')}
            hint={say('{YY} year, {NNNN} running, {SEX}, {SPECIES}')}
            value={text}
            onChange={setTyped}
            error={fault}
          />
          {next.length > 0 ? (
            <div>
              <Small>{say('The next ten{value}', { value: text.includes('{SEX}') ? say(', of females') : '' })}</Small>
              <Numbers aria-label={say('The next ten')}>
                {next.map((n) => (
                  <li key={n}>{n}</li>
                ))}
              </Numbers>
            </div>
          ) : null}
          <Button type="submit" isDisabled={text === kept || template.kind === 'refused'}>
            {say('Keep this way')}
          </Button>
        </Stack>
      </form>
      <Small style={{ marginTop: 8 }}>
        {say(
          'Year and order tells the age at a glance; a prefix and one running number is shorter to shout. A number once worn is never given again.',
        )}
      </Small>
    </Panel>
  );
}

const Numbers = styled.ol`
  list-style: none;
  margin: ${space(1)} 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  font: 600 14px/1.6 ${fonts.mono};
`;
