import { useQuery } from '@tanstack/react-query';
import { parseDay, SPECIES } from '@yaylak/core';
import { Link } from 'react-router';
import styled from 'styled-components';
import { withQuery } from '../../api/client';
import { holdingQuery, registerQuery, remediesQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Row, Small } from '../../parts/Panel';
import { useInAddress } from '../../parts/useInAddress';
import { Empty, Failed, Loading } from '../../parts/States';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { amountText, weightText } from '../../words/format';
import { ROUTE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { WithheldHow } from '../../parts/hows/WithheldHow';

/** The treatment register: to look through, to print and as a file. */
export function RegisterPage() {
  const { data: holding } = useQuery(holdingQuery);
  const { data: remedies } = useQuery(remediesQuery);
  const unit = useWeightUnit();
  const [askedFrom, setFrom] = useInAddress('from');
  const [askedTo, setTo] = useInAddress('to');
  const [productId = '', setProductId] = useInAddress('product');
  const [askedSpecies, setSpecies] = useInAddress('species');
  const [typedFrom, to] = [askedFrom, askedTo].map((day) => (day && parseDay(day) ? day : undefined));
  const species = SPECIES.find((s) => s === askedSpecies) ?? '';
  // A year back, as most who ask for it want to see.
  const from =
    typedFrom ??
    (holding ? `${Number(holding.today.slice(0, 4)) - 1}${holding.today.slice(4).replace('-02-29', '-02-28')}` : '');
  const query = {
    ...(from ? { from } : {}),
    ...(to ? { to } : {}),
    ...(productId ? { productId } : {}),
    ...(species ? { species } : {}),
  };
  const { data, error, refetch } = useQuery({ ...registerQuery(query), enabled: holding !== undefined });
  return (
    <Page
      title={say('Treatment register')}
      lead={
        data
          ? `${say('{total} {total, plural, one {treatment} other {treatments}}', { total: data.total })}${from ? ` ${say('from {date}', { date: fullDate(from) })}` : ''}${to ? ` ${say('to {date}', { date: fullDate(to) })}` : ''}${data.total > data.rows.length ? say(', the last {n} shown; the file has all', { n: data.rows.length }) : ''}`
          : ''
      }
      actions={
        <>
          <LinkButton as={Link} to="/remedies">
            {say('Remedies')}
          </LinkButton>
          <Button onPress={() => window.print()}>{say('Print')}</Button>
          <LinkButton href={withQuery('/api/remedies/register.csv', query)} download="treatments.csv">
            {say('As a file (CSV)')}
          </LinkButton>
        </>
      }
    >
      <Row $gap={3} className="no-print">
        <Field label={say('From')} type="date" value={from} onChange={setFrom} />
        <Field label={say('To')} type="date" value={to ?? ''} onChange={setTo} />
        <Choice
          label={say('Product')}
          value={productId}
          options={[['', say('all')], ...(remedies?.products ?? []).map((p) => [p.id, p.facts.name] as const)]}
          onChange={setProductId}
        />
        <Choice
          label={say('Species')}
          value={species}
          options={[['', say('all')], ...SPECIES.map((s) => [s, SPECIES_WORDS[s].plural] as const)]}
          onChange={setSpecies}
        />
      </Row>
      {error ? <Failed error={error} onRetry={() => void refetch()} /> : null}
      {!data && !error ? <Loading /> : null}
      {data?.rows.length === 0 ? (
        <Empty title={say('Nothing was given in this time')}>
          {say('Choose another stretch, or another product.')}
        </Empty>
      ) : null}
      {data && data.rows.length > 0 ? (
        <Scroll tabIndex={0} role="region" aria-label={say('Treatments')}>
          <Table>
            <thead>
              <tr>
                <th>{say('Given')}</th>
                <th>{say('Animal')}</th>
                <th>{say('Product, batch')}</th>
                <th>{say('How much')}</th>
                <th>{say('Why')}</th>
                <th>{say('By, on prescription of')}</th>
                <th>
                  {say('Withheld to the end of')} <WithheldHow />
                </th>
              </tr>
            </thead>
            <tbody>
              {data.rows.map((r) => (
                <tr key={r.entryId}>
                  <td>{fullDate(r.on)}</td>
                  <td>
                    <b>{r.tag.text}</b> {say(r.species)}
                    {r.numbers
                      .filter((n) => n !== r.tag.text)
                      .map((n) => (
                        <Small key={n}>{n}</Small>
                      ))}
                  </td>
                  <td>
                    {r.product}
                    <Small>{r.batch ?? say('batch not said')}</Small>
                  </td>
                  <td>
                    {amountText(r.amount)} {r.unit} {ROUTE_WORDS[r.route]}
                    {r.doseKg === null ? null : (
                      <Small>
                        {say('for {weight} by {method}', {
                          weight: weightText(r.doseKg, unit),
                          method: say(r.doseMethod ?? ''),
                        })}
                      </Small>
                    )}
                    {r.isOffLabel ? <Small>{say('off the label')}</Small> : null}
                  </td>
                  <td>{r.reason ?? ''}</td>
                  <td>
                    {r.by}
                    {r.prescribedBy ? <Small>{r.prescribedBy}</Small> : null}
                  </td>
                  <td>
                    {r.meatUntil ? (
                      <span>{say('meat {date}', { date: fullDate(r.meatUntil) })}</span>
                    ) : (
                      say('meat: no wait')
                    )}
                    <Small>
                      {r.milkUntil ? say('milk {date}', { date: fullDate(r.milkUntil) }) : say('milk: no wait')}
                    </Small>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroll>
      ) : null}
    </Page>
  );
}

const Scroll = styled.div`
  overflow-x: auto;
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: 8px;
  @media print {
    overflow: visible;
    border: 0;
  }
`;
const Table = styled(LineTable)`
  font-size: 14px;
  td,
  th {
    padding-left: ${space(2)};
  }
`;
