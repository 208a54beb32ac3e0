import type { Clash, Day } from '@yaylak/core';
import styled from 'styled-components';
import { dotted, slanted } from '../../parts/weave';
import { colour, phone, radius, space } from '../../theme/tokens';

import { at, axisOf, namedMonths } from './axis';
import type { PlanOnPage } from './useYear';
import { say } from '@yaylak/contract';

interface Props {
  readonly plans: readonly PlanOnPage[];
  readonly chosen: string | undefined;
  readonly clashes: readonly Clash[];
  readonly today: Day;
  readonly onChoose: (id: string) => void;
}

/** All plans as lanes over one axis, so that what meets is seen; one is chosen to look into. */
export function PlanChoice({ plans, chosen, clashes, today, onChoose }: Props) {
  const axis = axisOf(
    plans.flatMap((p) => p.steps.flatMap((s) => (DRAWN.includes(s.kind) ? [s.window] : []))),
    20,
  );
  return (
    <Lanes role="group" aria-label={say('Plans')}>
      <Months aria-hidden>
        {namedMonths(axis, 14).map(({ day, name }) => (
          <span key={day} style={{ left: `${at(axis, day)}%` }}>
            {name}
          </span>
        ))}
      </Months>
      {plans.map(({ view, steps }) => {
        const hurt = clashes.filter((c) => c.planId === view.id).length;
        return (
          <Lane key={view.id} type="button" aria-pressed={view.id === chosen} onClick={() => onChoose(view.id)}>
            <span>
              <b>{view.facts.name}</b>
              <small>
                {say('{females} head{value}', {
                  females: view.facts.females,
                  value: hurt > 0 ? `, ${say('{hurt} {hurt, plural, one {clash} other {clashes}}', { hurt })}` : '',
                })}
              </small>
            </span>
            <Track aria-hidden>
              {steps.flatMap((s) =>
                DRAWN.includes(s.kind)
                  ? [
                      <i
                        key={s.key}
                        data-kind={s.kind}
                        style={{
                          left: `${at(axis, s.window.opens)}%`,
                          width: `${Math.max(0.7, at(axis, s.window.closes + 1) - at(axis, s.window.opens))}%`,
                        }}
                      />,
                    ]
                  : [],
              )}
              <em style={{ left: `${at(axis, today)}%` }} />
            </Track>
          </Lane>
        );
      })}
    </Lanes>
  );
}

const DRAWN: readonly string[] = ['flushing', 'mating', 'births', 'weaning'];

const Lanes = styled.div`
  display: flex;
  flex-direction: column;
  gap: 2px;
`;
const Months = styled.div`
  position: relative;
  height: 18px;
  margin-left: 198px;
  margin-right: 12px;
  font-size: 12px;
  color: ${colour('inkSoft')};
  span {
    position: absolute;
    white-space: nowrap;
  }
  ${phone} {
    margin-left: 17px;
    span:nth-child(even) {
      display: none;
    }
  }
`;
const Lane = styled.button`
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr);
  gap: ${space(2)};
  align-items: center;
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid ${colour('line')};
  border-left: 5px solid transparent;
  border-radius: ${radius};
  background: ${colour('panel')};
  color: ${colour('ink')};
  text-align: left;
  cursor: pointer;
  small {
    display: block;
    color: ${colour('inkSoft')};
    font-size: 13px;
  }
  b {
    font-weight: 600;
  }
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
    padding: 6px 12px;
  }
  &[aria-pressed='true'] {
    border-color: ${colour('indigo')};
    background: ${colour('indigoWash')};
  }
`;
const Track = styled.span`
  position: relative;
  height: 16px;
  background: ${colour('ground')};
  border-radius: 3px;
  i {
    position: absolute;
    top: 0;
    height: 16px;
    border-radius: 3px;
    background: ${colour('stretch')};
  }
  i[data-kind='mating'] {
    background: ${slanted(colour('madder'), colour('madderWash'))};
  }
  i[data-kind='flushing'] {
    background: ${colour('weldWash')};
  }
  i[data-kind='births'] {
    background: ${dotted(colour('panel'), colour('weldFill'), 8)};
  }
  i[data-kind='weaning'] {
    background: ${colour('mossFill')};
  }
  em {
    position: absolute;
    top: -4px;
    bottom: -4px;
    width: 2px;
    background: ${colour('ink')};
  }
`;
