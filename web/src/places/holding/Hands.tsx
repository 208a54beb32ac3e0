import { useQuery } from '@tanstack/react-query';
import { PAIRS_FOR_BIAS } from '@yaylak/core';
import { rosterQuery } from '../../api/queries';
import { FigureTable } from '../../parts/FigureTable';
import { Panel, Small } from '../../parts/Panel';
import { biasText, readsText } from '../../words/format';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** How each person's tape and eye read beside the scale. */
export function Hands() {
  const { data } = useQuery(rosterQuery);
  return (
    <Panel>
      <h2>{say('Tape and by-eye corrections')}</h2>
      {!data || data.biases.length === 0 ? (
        <Small>
          {say(
            'Weigh some by tape or by eye and on the scale the same day: from {pairs} pairs on that hand’s weights are corrected.',
            { pairs: PAIRS_FOR_BIAS },
          )}
        </Small>
      ) : (
        <FigureTable>
          <tbody>
            {data.biases.map((b) => (
              <tr key={`${b.by} ${b.method} ${b.species}`}>
                <th scope="row">
                  {b.by}, {b.method === 'tape' ? say('tape') : say('eye')}, {SPECIES_WORDS[b.species].plural}
                </th>
                <td>
                  <b>{readsText(b)}</b>
                  <Small>
                    {biasText(b)}, {say('{pairs} {pairs, plural, one {pair} other {pairs}}', { pairs: b.pairs })}
                    {b.isUsed ? say(', used') : say(', used from {pairs} on', { pairs: PAIRS_FOR_BIAS })}
                  </Small>
                </td>
              </tr>
            ))}
          </tbody>
        </FigureTable>
      )}
    </Panel>
  );
}
