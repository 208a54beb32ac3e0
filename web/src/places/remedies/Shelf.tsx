import type { BatchView, ProductView } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { amountText, fullDate } from '../../words/format';
import { PlainList } from '../../parts/PlainList';

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
        <h2>On the shelf</h2>
        <Button onPress={onAdd}>Add a product</Button>
      </Row>
      {products.length === 0 ? (
        <Small>Nothing yet. Add a product with what its label says; the doses come from there.</Small>
      ) : null}
      <List aria-label="Products">
        {products.map((p) => (
          <li key={p.id} data-closed={p.isClosed || undefined}>
            <span>
              <b>{p.facts.name}</b>
              <Small>
                {p.isClosed ? 'no longer used' : p.batches.length === 0 ? 'no batch recorded' : leftWords(p)}
              </Small>
              {p.isClosed ? null : p.batches.map((b) => <Warning key={b.batch} batch={b} unit={p.facts.doseUnit} />)}
            </span>
            <Button kind="quiet" aria-label={`Label of ${p.facts.name}`} onPress={() => onEdit(p)}>
              Label
            </Button>
          </li>
        ))}
      </List>
    </Panel>
  );
}

const leftWords = ({ left, facts, isLow }: ProductView): string =>
  `${amountText(left)} ${facts.doseUnit} left${isLow ? ', running low' : ''}`;

function Warning({ batch, unit }: { readonly batch: BatchView; readonly unit: string }) {
  if (batch.left < 0)
    return (
      <Said data-tone="over">
        {batch.batch}: {amountText(-batch.left)} {unit} more given than bought. Check the entries.
      </Said>
    );
  if (batch.state === 'expired' && batch.left > 0)
    return (
      <Said data-tone="over">
        {batch.batch} expired on {fullDate(batch.expiresOn ?? '')}; {amountText(batch.left)} {unit} to hand in
      </Said>
    );
  return batch.state === 'expires-soon' ? (
    <Said data-tone="soon">
      {batch.batch} expires on {fullDate(batch.expiresOn ?? '')}
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
