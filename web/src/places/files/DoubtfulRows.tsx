import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { doubtWords, meantText } from '../../words/doubts';
import { countText, shortDate, weightText } from '../../words/format';
import { PlainTable } from './PlainTable';
import type { RowOutcome } from './sendRows';
import type { ImportState } from './useImport';

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
        {countText(rows.length, 'weight looks', 'weights look')} wrong
      </h3>
      <Small>
        They are left out unless you tick them. A slip is best mended in the file: bring it in again and only what is
        new is taken.
      </Small>
      <Tick
        label={rows.length === 1 ? 'Take it as it stands' : `Take all ${rows.length} as they stand`}
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
            <th>Line</th>
            <th>Animal</th>
            <th>Weight</th>
            <th>Why it looks wrong</th>
            <th>Take it</th>
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
                  {weightText(kg, holding.unit, species)} on {shortDate(on)}
                </td>
                <td>
                  {doubtWords(doubt, holding.unit, species)}
                  {meantText(doubt.likelyKg, holding.unit, species)}
                </td>
                <td>
                  <Tick
                    label="take"
                    aria-label={`Take line ${line} as it stands`}
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
          <Button onPress={() => setShowsAll(true)}>and {rows.length - SHOWN_FIRST} more</Button>
        </Row>
      ) : null}
    </section>
  );
}
