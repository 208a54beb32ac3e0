import type { TagLaterView } from '@yaylak/contract';
import styled from 'styled-components';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { PlainList } from '../../parts/PlainList';
import { say, SPECIES_WORDS } from '@yaylak/contract';

const FIRST_SHOWN = 8;

/** Young that are tagged later, a line for each litter. */
export function TagLater({ later }: { readonly later: readonly TagLaterView[] }) {
  const { shown, more } = useFirst(later, FIRST_SHOWN);
  if (later.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Tagged later')}</h2>
      <List>
        {shown.map(({ dam, species, bornOn, count, from }) => (
          <li key={`${dam?.animalId ?? species} ${bornOn}`}>
            <Row $gap={3}>
              {dam ? <Tag tag={dam} /> : <span>{say('no dam')}</span>}
              <span>
                {say('{count} of {date}', {
                  count: countText(count, ...SPECIES_WORDS[species].young.unknown),
                  date: shortDate(bornOn),
                })}
              </span>
            </Row>
            <Small>{say('from {date}', { date: fullDate(from) })}</Small>
          </li>
        ))}
      </List>
      {more}
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(3)} 0 0;
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: ${space(2)};
    min-height: 44px;
    border-top: 1px solid ${colour('line')};
  }
`;
