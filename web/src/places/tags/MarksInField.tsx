import type { MarkInField } from '@yaylak/contract';
import styled from 'styled-components';
import { TagRow } from '../../parts/TagRow';
import { Panel, Row, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

/** What the sprayed marks mean that people see from across the field, and on whom they are. */
export function MarksInField({ marks }: { readonly marks: readonly MarkInField[] }) {
  if (marks.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Marks in the field')}</h2>
      <List>
        {marks.map((m) => (
          <li key={`${m.colour} ${m.place} ${m.purpose}`}>
            <Row>
              <i style={{ background: m.colour }} aria-hidden />
              <b>
                {say('{colour} on the {place}: {purpose}', {
                  colour: say(m.colour),
                  place: say(m.place),
                  purpose: m.purpose,
                })}
              </b>
            </Row>
            <Small>
              {m.groups.map((g) => say('{count} in {name}', { count: g.count, name: g.name })).join(', ')}
              {m.until === null
                ? ''
                : say('; {value}until {date}', {
                    value: m.isUntilForAll ? '' : `${say('the first')} `,
                    date: shortDate(m.until),
                  })}
            </Small>
            <TagRow tags={m.tags} />
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
