import { useQuery } from '@tanstack/react-query';
import { chanceText, say, SPECIES_WORDS } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { birthListQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { TickBox } from '../../parts/TickBox';
import { fullDate, shortDate } from '../../words/dates';
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
        title={say('Births to expect{value}', { value: species === '' ? '' : `: ${SPECIES_WORDS[species].birth}` })}
        back={{ to: species === '' ? '/births' : `/births?species=${species}`, words: say('Back to Births') }}
      >
        <Choice
          label={say('Species')}
          value={species}
          options={[['', say('all')], ...speciesOptions]}
          onChange={(s) => setSearch(s === '' ? {} : { species: s }, { replace: true })}
        />
      </PaperHead>
      <p>
        {say('{date}. {n} {n, plural, one {female} other {females}}, by the day the birth is usual first.', {
          date: fullDate(data.on),
          n: rows.length,
        })}
      </p>
      {rows.length === 0 ? (
        <Empty title={say('Nothing due')}>{say('Record services and tests under Mating and Carrying.')}</Empty>
      ) : (
        <LineTable>
          <thead>
            <tr>
              <th>{say('Female')}</th>
              <th>{say('Group')}</th>
              <th>{say('Served')}</th>
              <th>{say('By')}</th>
              <th>{say('In young')}</th>
              <th>{say('Young')}</th>
              <th>{say('Usual dates')}</th>
              <th>{say('At the latest')}</th>
              <th>{say('Born')}</th>
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
                <td>{r.sires.join(` ${say('or')} `)}</td>
                <td>{chanceText(r.probability)}</td>
                <td>{r.young ?? ''}</td>
                <td>
                  {r.isOverdue ? <b>{say('overdue,')} </b> : null}
                  {say('{date} to {date2}', { date: shortDate(r.birth.bestFrom), date2: shortDate(r.birth.bestTo) })}
                </td>
                <td>{shortDate(r.birth.closes)}</td>
                <td>
                  <TickBox says={say('{text} has given birth', { text: r.tag.text })} />
                </td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      )}
      <Small>
        {say(
          'Usual: two births of three fall in these days, by service or scan. Clean hands and gloves; nobody who is pregnant at a birth.',
        )}
      </Small>
    </PaperSheet>
  );
}
