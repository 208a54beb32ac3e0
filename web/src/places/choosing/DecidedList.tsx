import type { DecidedGrown } from '@yaylak/contract';
import styled from 'styled-components';
import { Panel, Small } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { hitText } from '../../words/going';
import { say } from '@yaylak/contract';

interface Props {
  readonly title: string;
  readonly rows: readonly DecidedGrown[];
  readonly herd: number | null;
}

/** Those about whom it was decided, with the reason given. */
export function DecidedList({ title, rows, herd }: Props) {
  if (rows.length === 0) return null;
  return (
    <Panel>
      <h2>{title}</h2>
      <List aria-label={title}>
        {rows.map((row) => (
          <li key={row.tag.animalId}>
            <Tag tag={row.tag} />
            <div>
              <p>
                {row.hits.map((hit) => hitText(hit, herd)).join('; ')}
                {row.reason ? `${row.hits.length > 0 ? '. ' : ''}“${row.reason}”` : ''}
              </p>
              <Small>{say('Decided on {date}.', { date: fullDate(row.on) })}</Small>
            </div>
          </li>
        ))}
      </List>
    </Panel>
  );
}

const List = styled(PlainList)`
  li {
    display: grid;
    grid-template-columns: 112px minmax(0, 1fr);
    gap: ${space(3)};
    padding: ${space(2)} 0;
    border-top: 1px solid ${colour('line')};
  }
`;
