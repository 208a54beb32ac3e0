import { IMPORT_FIELDS, REQUIRED_FIELDS, type ImportField } from '@yaylak/core';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Panel, Row, Small } from '../../parts/Panel';
import { space } from '../../theme/tokens';
import { fieldWord } from './faultWords';
import { PlainTable } from './PlainTable';
import { ENCODINGS } from '../../adapters/files/readTable';
import type { ImportState } from './useImport';
import { say } from '@yaylak/contract';

interface Props {
  readonly state: ImportState;
  readonly opened: NonNullable<ImportState['opened']>;
}

/** What each column of the file is, in which unit and order, with its first rows to check by. */
export function ColumnsPanel({ state, opened }: Props) {
  const { choices, choose } = state;
  const { headings, encoding } = opened.table;
  const needed: readonly ImportField[] = REQUIRED_FIELDS[choices.kind];
  const missing = needed.filter((f) => choices.mapping[f] === undefined);
  const map = (field: ImportField, column: string): void => {
    const { [field]: _before, ...rest } = choices.mapping;
    choose({ mapping: column === '' ? rest : { ...rest, [field]: Number(column) } });
  };
  return (
    <Panel>
      <h2>{say('2. What its columns are')}</h2>
      <Columns>
        {IMPORT_FIELDS[choices.kind].map((field: ImportField) => (
          <Choice
            key={field}
            label={`${fieldWord(field)}${needed.includes(field) ? ` ${say('(needed)')}` : ''}`}
            value={String(choices.mapping[field] ?? '')}
            options={[
              ['', say('not in the file')],
              ...headings.map((h, i) => [String(i), h || say('column {n}', { n: i + 1 })] as const),
            ]}
            onChange={(column) => map(field, column)}
          />
        ))}
      </Columns>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        {choices.kind !== 'animals' ? (
          <Choice
            label={say('Weights are in')}
            value={choices.unit}
            options={[
              ['kg', say('kilograms')],
              ['lb', say('pounds')],
            ]}
            onChange={(unit) => choose({ unit })}
          />
        ) : null}
        <Choice
          label="31/3 or 3/31"
          value={choices.dateOrder}
          options={[
            ['day-month', say('day first')],
            ['month-day', say('month first')],
          ]}
          onChange={(dateOrder) => choose({ dateOrder })}
        />
        <Choice
          label={say('Letters are written as')}
          value={encoding}
          options={ENCODINGS.map((e) => [e, e])}
          onChange={(e) => void state.open(opened, { encoding: e })}
        />
      </Row>
      <SampleFrame>
        <PlainTable>
          <thead>
            <tr>
              {headings.map((h, i) => (
                <th key={i}>{h}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {opened.sample.map((cells, i) => (
              <tr key={i}>
                {cells.map((c, j) => (
                  <td key={j}>{c}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </PlainTable>
      </SampleFrame>
      <Row>
        <Button
          kind={state.preview ? 'plain' : 'main'}
          isDisabled={missing.length > 0 || state.progress !== undefined}
          onPress={() => void state.run('check')}
        >
          {say('Look at what would happen')}
        </Button>
        {missing.length > 0 ? (
          <Small>
            {say('Say which column is the {list}.', { list: missing.map(fieldWord).join(` ${say('and the')} `) })}
          </Small>
        ) : null}
      </Row>
    </Panel>
  );
}

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: ${space(3)};
  margin: ${space(3)} 0;
`;
const SampleFrame = styled.div`
  overflow-x: auto;
  margin: ${space(3)} 0;
`;
