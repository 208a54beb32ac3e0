import { useQuery } from '@tanstack/react-query';
import type { SaleSheetRow } from '@yaylak/contract';
import { useSearchParams } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { saleSheetQuery } from '../../api/selling';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Empty, Failed, Loading } from '../../parts/States';
import { birthDate, fullDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';

/** Animals as a list for the hand: whom to draw in the open, or who goes on a load. */
export function PaperList() {
  const [params] = useSearchParams();
  const ids = (params.get('ids') ?? '').split(',').filter((id) => id !== '');
  const { data: holding } = useQuery(holdingQuery);
  const { data, error, refetch } = useQuery({ ...saleSheetQuery(ids), enabled: ids.length > 0 });
  const unit = useWeightUnit();
  if (ids.length === 0) return <Empty title={say('Nobody to list')}>{say('Go back to Selling.')}</Empty>;
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={10} />;
  const on = params.get('on');
  const outlet = params.get('for') ?? '';
  return (
    <PaperSheet>
      <PaperHead
        title={on ? say('Load for {outlet}', { outlet }) : say('To bring in for {outlet}', { outlet })}
        back={{ to: `/selling?species=${data.rows[0]?.species ?? ''}`, words: say('Back to selling') }}
      />
      <p>
        {holding?.name}, {fullDate(on ?? data.on)}.{' '}
        {say('{n} {n, plural, one {animal} other {animals}}', { n: data.rows.length })}.
      </p>
      <LineTable>
        <thead>
          <tr>
            <th>{on ? say('Aboard') : say('In')}</th>
            <th>{say('Number')}</th>
            <th>{say('Colour')}</th>
            <th>{say('Electronic')}</th>
            <th>{say('Born')}</th>
            <th>{say('Last weight')}</th>
            <th>{say('Remarks')}</th>
          </tr>
        </thead>
        <tbody>
          {data.rows.map((row) => (
            <tr key={row.id}>
              <td aria-label={say('tick')}>☐</td>
              <td>{row.number}</td>
              <td>{say(row.worn.find((w) => w.kind === 'visual')?.colour ?? '')}</td>
              <td>{row.worn.find((w) => w.kind === 'electronic')?.text ?? ''}</td>
              <td>{row.bornOn === null ? '' : birthDate(row.bornOn, row.birthKnownTo)}</td>
              <td>{row.weight ? `${weightText(row.weight.kg, unit, row.species)}, ${fullDate(row.weight.on)}` : ''}</td>
              <td>{remarks(row)}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </PaperSheet>
  );
}

const remarks = ({ withheld }: SaleSheetRow): string =>
  withheld.map((w) => say('{of} withheld to the end of {date}', { of: w.of, date: fullDate(w.until) })).join('; ');
