import { useQuery } from '@tanstack/react-query';
import { PAIRS_FOR_BIAS, SPECIES_WORDS } from '@yaylak/core';
import { rosterQuery } from '../../api/queries';
import { FigureTable } from '../../parts/FigureTable';
import { Panel, Small } from '../../parts/Panel';
import { biasText, countText, readsText } from '../../words/format';

/** How each person's tape and eye read beside the scale. */
export function Hands() {
  const { data } = useQuery(rosterQuery);
  return (
    <Panel>
      <h2>Tape and by-eye corrections</h2>
      {!data || data.biases.length === 0 ? (
        <Small>
          Weigh some by tape or by eye and on the scale the same day: from {PAIRS_FOR_BIAS} pairs on that hand’s weights
          are corrected.
        </Small>
      ) : (
        <FigureTable>
          <tbody>
            {data.biases.map((b) => (
              <tr key={`${b.by} ${b.method} ${b.species}`}>
                <th scope="row">
                  {b.by}, {b.method === 'tape' ? 'tape' : 'eye'}, {SPECIES_WORDS[b.species].plural}
                </th>
                <td>
                  <b>{readsText(b)}</b>
                  <Small>
                    {biasText(b)}, {countText(b.pairs, 'pair', 'pairs')}
                    {b.isUsed ? ', used' : `, used from ${PAIRS_FOR_BIAS} on`}
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
