import type { SharedNumberView } from '@yaylak/contract';
import { spacedDigits } from '@yaylak/core';
import styled from 'styled-components';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

/** Numbers that two animals wear or wore: which of them a paper of some year means. */
export function SharedNumbers({ shared }: { readonly shared: readonly SharedNumberView[] }) {
  if (shared.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Numbers used twice')}</h2>
      <Small>{say('An old result or paper with such a number means the one that wore it on that day.')}</Small>
      <List>
        {shared.map((s) => (
          <li key={`${s.kind} ${s.colour} ${s.text}`}>
            <b data-now={s.isNow || undefined}>
              {s.colour ?? s.kind} {s.kind === 'electronic' ? spacedDigits(s.text) : s.text}
              {s.isNow ? say(': two wear it now; re-tag one of them') : ''}
            </b>
            {s.wearers.map((w) => (
              <Row key={`${w.tag.animalId} ${w.from}`}>
                <Tag tag={w.tag} />
                <span>
                  {say('{date} to {value}', {
                    date: fullDate(w.from),
                    value: w.until === null ? say('now') : fullDate(w.until),
                  })}
                </span>
              </Row>
            ))}
          </li>
        ))}
      </List>
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(3)} 0 0;
  li {
    padding: ${space(2)} 0;
    border-top: 1px solid ${colour('line')};
  }
  b[data-now] {
    color: ${colour('madder')};
  }
`;
