import { PEN_STAGE_WORDS, type PensView, say, SPECIES_WORDS, fixedText } from '@yaylak/contract';
import { FigureTable } from '../../parts/FigureTable';
import { Panel, Small } from '../../parts/Panel';

/** How full the pens are, and how many more births will want one soon. */
export function Pens({ pens }: { readonly pens: readonly PensView[] }) {
  const shown = pens.filter((p) => p.taken > 0 || p.toCome >= 0.05 || p.pens !== null);
  if (shown.length === 0) return null;
  const short = shown.filter((p) => p.pens !== null && p.taken + p.toCome > p.pens);
  return (
    <Panel>
      <h2>{say('Pens')}</h2>
      <FigureTable>
        <thead>
          <tr>
            <th scope="col">{say('Pen')}</th>
            <th scope="col">{say('taken')}</th>
            <th scope="col">{say('to come')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p) => (
            <tr key={`${p.species} ${p.stage}`}>
              <th scope="row">
                {SPECIES_WORDS[p.species].name}, {PEN_STAGE_WORDS[p.stage]}
              </th>
              <td>
                {p.taken}
                {p.pens === null ? '' : ` ${say('of {pens}', { pens: p.pens })}`}
              </td>
              <td>{p.toCome < 0.05 ? '' : fixedText(p.toCome, 1)}</td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Small>
        {say('{value}To come: births expected in three days. Set how many pens there are under Year plan.', {
          value:
            short.length > 0 ? `${say('Too few for the births of the next three days: let some go on today.')} ` : '',
        })}
      </Small>
    </Panel>
  );
}
