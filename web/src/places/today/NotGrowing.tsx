import type { NotGrowingView } from '@yaylak/contract';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { scaleUnit } from '@yaylak/core';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { fullDate, gainText, perDayText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { PlainList } from '../../parts/PlainList';

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
      <h2>Not growing as they should</h2>
      <Small>Gain of the last two months, against others of their age, sex and group</Small>
      {rows.length === 0 ? <p style={{ marginTop: 8 }}>Nobody, as far as the weighings can tell.</p> : null}
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
              <How of={`Gain of ${row.tag.text}`}>
                <p>
                  {gainText(row.gain, scaleUnit(row.species, unit))} over {row.gain.readings} readings,{' '}
                  {fullDate(row.gain.from)} to {fullDate(row.gain.to)}.
                </p>
                <p>
                  {row.groupSize} contemporaries{row.groupName ? ` in ${row.groupName}` : ''} have a median of{' '}
                  {perDayText(row.groupMedianKgPerDay, scaleUnit(row.species, unit))}; half of it,{' '}
                  {perDayText(row.gain.lineKgPerDay ?? 0, scaleUnit(row.species, unit))}, is the line. The whole range
                  lies under it, so it is not chance.
                  {row.isSmallGroup ? ' The group is small: take it with care.' : ''}
                </p>
                <p>Look at teeth, worms, feet and whether it gets to the trough. If it lasts, ask your vet.</p>
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
