import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { doubtWords, meantText } from '../../words/doubts';
import { shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { PlainTable } from './PlainTable';
import type { RowOutcome } from './sendRows';
import type { ImportState } from './useImport';
import { say } from '@yaylak/contract';

const SHOWN_FIRST = 50;

interface Props {
  readonly outcomes: readonly RowOutcome[];
  readonly state: Pick<ImportState, 'taken' | 'take'>;
}

/** Weights of the file that look wrong, each to be taken as it stands or left out; left out until somebody says so. */
export function DoubtfulRows({ outcomes, state: { taken, take } }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers = [] } = useQuery(identifiersQuery);
  const [showsAll, setShowsAll] = useState(false);
  const rows = outcomes.flatMap(({ line, doubtful }) => (doubtful ? [{ line, ...doubtful }] : []));
  if (!holding || rows.length === 0) return null;
  const isAllTaken = rows.every((r) => taken.has(r.line));
  // The number on the tag is how one is called, where there is one.
  const byKind = [...identifiers].sort((a, b) => Number(a.kind === 'visual') - Number(b.kind === 'visual'));
  const animals = new Map(byKind.map((i) => [i.animalId, i]));
  return (
    <section aria-labelledby="doubtful-heading">
      <h3 id="doubtful-heading" style={{ marginTop: 12 }}>
        {say('{n} {n, plural, one {weight looks} other {weights look}} wrong', { n: rows.length })}
      </h3>
      <Small>
        {say(
          'They are left out unless you tick them. A slip is best mended in the file: bring it in again and only what is new is taken.',
        )}
      </Small>
      <Tick
        label={rows.length === 1 ? say('Take it as it stands') : say('Take all {n} as they stand', { n: rows.length })}
        isSelected={isAllTaken}
        isIndeterminate={!isAllTaken && rows.some((r) => taken.has(r.line))}
        onChange={(isTaken) =>
          take(
            rows.map((r) => r.line),
            isTaken,
          )
        }
      />
      <PlainTable data-testid="doubtful-rows">
        <thead>
          <tr>
            <th>{say('Line')}</th>
            <th>{say('Animal')}</th>
            <th>{say('Weight')}</th>
            <th>{say('Why it looks wrong')}</th>
            <th>{say('Take it')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, showsAll ? rows.length : SHOWN_FIRST).map(({ line, animalId, on, kg, doubt }) => {
            const animal = animals.get(animalId);
            const species = animal?.species ?? 'sheep';
            return (
              <tr key={line}>
                <td>{line}</td>
                <td>{animal?.text}</td>
                <td>
                  {say('{weight} on {date}', { weight: weightText(kg, holding.unit, species), date: shortDate(on) })}
                </td>
                <td>
                  {doubtWords(doubt, holding.unit, species)}
                  {meantText(doubt.likelyKg, holding.unit, species)}
                </td>
                <td>
                  <Tick
                    label={say('take')}
                    aria-label={say('Take line {line} as it stands', { line })}
                    isSelected={taken.has(line)}
                    onChange={(isTaken) => take([line], isTaken)}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </PlainTable>
      {rows.length > SHOWN_FIRST && !showsAll ? (
        <Row>
          <Button onPress={() => setShowsAll(true)}>{say('and {n} more', { n: rows.length - SHOWN_FIRST })}</Button>
        </Row>
      ) : null}
    </section>
  );
}
