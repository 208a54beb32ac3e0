import type { MarkInField } from '@yaylak/contract';
import styled from 'styled-components';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/format';
import { PlainList } from '../../parts/PlainList';

const MOST_SHOWN = 24;

/** What the sprayed marks mean that people see from across the field, and on whom they are. */
export function MarksInField({ marks }: { readonly marks: readonly MarkInField[] }) {
  if (marks.length === 0) return null;
  return (
    <Panel>
      <h2>Marks in the field</h2>
      <List>
        {marks.map((m) => (
          <li key={`${m.colour} ${m.place} ${m.purpose}`}>
            <Row>
              <i style={{ background: m.colour }} aria-hidden />
              <b>
                {m.colour} on the {m.place}: {m.purpose}
              </b>
            </Row>
            <Small>
              {m.groups.map((g) => `${g.count} in ${g.name}`).join(', ')}
              {m.until === null ? '' : `; ${m.isUntilForAll ? '' : 'the first '}until ${shortDate(m.until)}`}
            </Small>
            <Row style={{ marginTop: 4 }}>
              {m.tags.slice(0, MOST_SHOWN).map((tag) => (
                <Tag key={tag.animalId} tag={tag} />
              ))}
              {m.tags.length > MOST_SHOWN ? <Small>and {m.tags.length - MOST_SHOWN} more</Small> : null}
            </Row>
          </li>
        ))}
      </List>
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 0;
  li {
    padding: ${space(3)} 0;
  }
  li + li {
    border-top: 1px solid ${colour('line')};
  }
  i {
    width: 14px;
    height: 14px;
    border-radius: 50%;
  }
`;
