import type { BatchView, ProductView } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { amountText } from '../../words/format';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly products: readonly ProductView[];
  readonly onAdd: () => void;
  readonly onEdit: (product: ProductView) => void;
}

/** The products of the holding with what is left of them. */
export function Shelf({ products, onAdd, onEdit }: Props) {
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{say('On the shelf')}</h2>
        <Button onPress={onAdd}>{say('Add a product')}</Button>
      </Row>
      {products.length === 0 ? (
        <Small>{say('Nothing yet. Add a product with what its label says; the doses come from there.')}</Small>
      ) : null}
      <List aria-label={say('Products')}>
        {products.map((p) => (
          <li key={p.id} data-closed={p.isClosed || undefined}>
            <span>
              <b>{p.facts.name}</b>
              <Small>
                {p.isClosed ? say('no longer used') : p.batches.length === 0 ? say('no batch recorded') : leftWords(p)}
              </Small>
              {p.isClosed ? null : p.batches.map((b) => <Warning key={b.batch} batch={b} unit={p.facts.doseUnit} />)}
            </span>
            <Row style={{ flexWrap: 'nowrap' }}>
              <HistoryButton isShort what="product" thingId={p.id} name={p.facts.name} />
              <Button
                kind="quiet"
                aria-label={say('Label of {name}', { name: p.facts.name })}
                onPress={() => onEdit(p)}
              >
                {say('Label')}
              </Button>
            </Row>
          </li>
        ))}
      </List>
    </Panel>
  );
}

const leftWords = ({ left, facts, isLow }: ProductView): string =>
  say('{amount} {doseUnit} left{value}', {
    amount: amountText(left),
    doseUnit: facts.doseUnit,
    value: isLow ? say(', running low') : '',
  });

function Warning({ batch, unit }: { readonly batch: BatchView; readonly unit: string }) {
  if (batch.left < 0)
    return (
      <Said data-tone="over">
        {say('{batch}: {amount} {unit} more given than bought. Check the entries.', {
          batch: batch.batch,
          amount: amountText(-batch.left),
          unit,
        })}
      </Said>
    );
  if (batch.state === 'expired' && batch.left > 0)
    return (
      <Said data-tone="over">
        {say('{batch} expired on {date}; {amount} {unit} to hand in', {
          batch: batch.batch,
          date: fullDate(batch.expiresOn ?? ''),
          amount: amountText(batch.left),
          unit,
        })}
      </Said>
    );
  return batch.state === 'expires-soon' ? (
    <Said data-tone="soon">
      {say('{batch} expires on {date}', { batch: batch.batch, date: fullDate(batch.expiresOn ?? '') })}
    </Said>
  ) : null;
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 0;
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: ${space(2)};
    padding: ${space(2)} 0;
    border-top: 1px solid ${colour('line')};
  }
  li[data-closed] {
    color: ${colour('inkSoft')};
  }
`;
const Said = styled.p`
  font-size: 13px;
  font-weight: 600;
  &[data-tone='over'] {
    color: ${colour('madder')};
  }
  &[data-tone='soon'] {
    color: ${colour('weld')};
  }
`;
