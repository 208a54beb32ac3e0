import { useQuery } from '@tanstack/react-query';
import { chanceText } from '@yaylak/contract';
import { SPECIES, SPECIES_WORDS } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { birthListQuery } from '../../api/queries';
import { Choice } from '../../parts/Field';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { TickBox } from '../../parts/TickBox';
import { countText, fullDate, shortDate } from '../../words/format';
import { useSpeciesOptions } from '../../words/useHolding';

/** Who gives birth when, on paper: for the wall of the shed. */
export function BirthList() {
  const speciesOptions = useSpeciesOptions();
  const [search, setSearch] = useSearchParams();
  const species = SPECIES.find((s) => s === search.get('species')) ?? '';
  const { data, error, refetch } = useQuery(birthListQuery(species));
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  const { rows } = data;
  return (
    <PaperSheet>
      <PaperHead
        title={`Births to expect${species === '' ? '' : `: ${SPECIES_WORDS[species].birth}`}`}
        back={{ to: species === '' ? '/births' : `/births?species=${species}`, words: 'Back to Births' }}
      >
        <Choice
          label="Species"
          value={species}
          options={[['', 'all'], ...speciesOptions]}
          onChange={(s) => setSearch(s === '' ? {} : { species: s }, { replace: true })}
        />
      </PaperHead>
      <p>
        {fullDate(data.on)}. {countText(rows.length, 'female', 'females')}, by the day the birth is usual first.
      </p>
      {rows.length === 0 ? (
        <Empty title="Nothing due">Record services and tests under Mating and Carrying.</Empty>
      ) : (
        <LineTable>
          <thead>
            <tr>
              <th>Female</th>
              <th>Group</th>
              <th>Served</th>
              <th>By</th>
              <th>In young</th>
              <th>Young</th>
              <th>Usual dates</th>
              <th>At the latest</th>
              <th>Born</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.tag.animalId}>
                <td>
                  <b>{r.tag.text}</b> {r.tag.name}
                </td>
                <td>{r.groupName}</td>
                <td>{shortDate(r.servedOn)}</td>
                <td>{r.sires.join(' or ')}</td>
                <td>{chanceText(r.probability)}</td>
                <td>{r.young ?? ''}</td>
                <td>
                  {r.isOverdue ? <b>overdue, </b> : null}
                  {shortDate(r.birth.bestFrom)} to {shortDate(r.birth.bestTo)}
                </td>
                <td>{shortDate(r.birth.closes)}</td>
                <td>
                  <TickBox says={`${r.tag.text} has given birth`} />
                </td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      )}
      <Small>
        Usual: two births of three fall in these days, by service or scan. Clean hands and gloves; nobody who is
        pregnant at a birth.
      </Small>
    </PaperSheet>
  );
}
