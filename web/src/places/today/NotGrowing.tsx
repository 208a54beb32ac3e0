import type { NotGrowingView } from '@yaylak/contract';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { scaleUnit } from '@yaylak/core';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { gainText, perDayText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly rows: readonly NotGrowingView[];
  /** What shows the rest. */
  readonly more: ReactNode;
}

/** Young that surely gain under half of their contemporaries' median. */
export function NotGrowing({ rows, more }: Props) {
  const unit = useWeightUnit();
  return (
    <Panel>
      <h2>{say('Not growing as they should')}</h2>
      <Small>{say('Gain of the last two months, against others of their age, sex and group')}</Small>
      {rows.length === 0 ? <p style={{ marginTop: 8 }}>{say('Nobody, as far as the weighings can tell.')}</p> : null}
      <List>
        {rows.map((row) => {
          const share = Math.max(0, Math.min(1, row.gain.kgPerDay / row.groupMedianKgPerDay));
          return (
            <li key={row.tag.animalId}>
              <Tag tag={row.tag} />
              <Bar aria-hidden>
                <span style={{ width: `${Math.max(3, share * 100)}%` }} />
              </Bar>
              <b>{gainText(row.gain, scaleUnit(row.species, unit))}</b>
              <How of={say('Gain of {text}', { text: row.tag.text })}>
                <p>
                  {say('{gain} over {readings} readings, {date} to {date2}.', {
                    gain: gainText(row.gain, scaleUnit(row.species, unit)),
                    readings: row.gain.readings,
                    date: fullDate(row.gain.from),
                    date2: fullDate(row.gain.to),
                  })}
                </p>
                <p>
                  {say(
                    '{groupSize} contemporaries{value} have a median of {perDay}; half of it, {perDay2}, is the line. The whole range lies under it, so it is not chance.{value2}',
                    {
                      groupSize: row.groupSize,
                      value: row.groupName ? ` ${say('in {groupName}', { groupName: row.groupName })}` : '',
                      perDay: perDayText(row.groupMedianKgPerDay, scaleUnit(row.species, unit)),
                      perDay2: perDayText(row.gain.lineKgPerDay ?? 0, scaleUnit(row.species, unit)),
                      value2: row.isSmallGroup ? ` ${say('The group is small: take it with care.')}` : '',
                    },
                  )}
                </p>
                <p>{say('Look at teeth, worms, feet and whether it gets to the trough. If it lasts, ask your vet.')}</p>
              </How>
            </li>
          );
        })}
      </List>
      {more}
    </Panel>
  );
}

const List = styled(PlainList)`
  margin: ${space(3)} 0 0;
  li {
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: ${space(1)} ${space(2)};
    padding: ${space(1)} 0;
  }
  b {
    white-space: nowrap;
  }
`;
const Bar = styled.span`
  flex: 1;
  min-width: 24px;
  height: 8px;
  background: ${colour('stretch')};
  span {
    display: block;
    height: 8px;
    background: ${colour('madder')};
  }
`;
