import { stepName, say } from '@yaylak/contract';
import { isoOf, type Clash, type Day, type PlanStep } from '@yaylak/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import { Chip } from '../../parts/Chip';
import { dotted, slanted } from '../../parts/weave';
import { colour, radius, space, touch, touchable } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';
import { at, axisOf, monthsOf, namedMonths } from './axis';
import type { PlanOnPage } from './useYear';

interface Props {
  readonly page: PlanOnPage;
  readonly today: Day;
  readonly clashes: readonly Clash[];
  /** So many days off where it is kept; told while it is moved. */
  readonly onMove: (step: PlanStep, days: number) => void;
  readonly onLetGo: (step: PlanStep) => void;
  readonly onGiveUp: () => void;
  readonly onDone: (step: PlanStep) => void;
}

const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 };
const TONES: Partial<Record<PlanStep['kind'], string>> = {
  mating: 'madder',
  flushing: 'weld',
  births: 'births',
  processing: 'births',
  weaning: 'moss',
  sale: 'moss',
};
/** The width of the names and of the words at the end, with their gaps. */
const SIDES_PX = 176 + 224 + 16;

/** The steps of a plan as bars over one axis; each can be dragged, or moved by the arrow keys. */
export function StepRows({ page, today, clashes, onMove, onLetGo, onGiveUp, onDone }: Props) {
  const { steps, view, plan } = page;
  // The axis stands still while a bar is moved, so that a day is as wide at the end as at the start.
  const [held, setHeld] = useState<ReturnType<typeof axisOf>>();
  const drag = useRef<{ readonly x: number; readonly width: number } | undefined>(undefined);
  /** Days off where the step is kept, while it is moved by the pointer or the keys. */
  const off = useRef(0);
  const frame = useRef<HTMLOListElement>(null);
  const axis = held ?? axisOf(steps.map((s) => s.window));
  const days = axis.to - axis.from;

  const onDown = (event: PointerEvent<HTMLElement>): void => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    off.current = 0;
    drag.current = { x: event.clientX, width: (frame.current?.clientWidth ?? SIDES_PX + 1) - SIDES_PX };
    setHeld(axis);
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>, step: PlanStep): void => {
    const start = drag.current;
    if (!start) return;
    const wanted = Math.round(((event.clientX - start.x) / start.width) * days);
    if (wanted === off.current) return;
    off.current = wanted;
    onMove(step, wanted);
  };
  const onUp = (step: PlanStep): void => {
    if (!drag.current) return;
    end();
    onLetGo(step);
  };
  const end = (): void => {
    drag.current = undefined;
    off.current = 0;
    setHeld(undefined);
  };
  const onKey = (event: KeyboardEvent<HTMLElement>, step: PlanStep): void => {
    const by = KEYS[event.key];
    if (by !== undefined) {
      setHeld(axis);
      off.current += event.shiftKey && Math.abs(by) === 1 ? by * 7 : by;
      onMove(step, off.current);
    } else if (event.key === 'Enter') {
      end();
      onLetGo(step);
    } else if (event.key === 'Escape') {
      end();
      onGiveUp();
    } else return;
    event.preventDefault();
  };
  return (
    <Rows ref={frame} aria-label={say('Steps of {name}', { name: view.facts.name })}>
      <li aria-hidden>
        <span />
        <Months>
          {namedMonths(axis).map(({ day, name }) => (
            <span key={day} style={{ left: `${at(axis, day)}%` }}>
              {name}
            </span>
          ))}
        </Months>
        <span />
      </li>
      {steps.map((step) => {
        const { opens, bestFrom, bestTo, closes } = step.window;
        const name = `${stepName(step, view.facts)}${step.litter === undefined ? '' : ` (${step.litter})`}`;
        const isHurt = clashes.some((c) => c.step === step.key);
        const doneOn = plan.done[step.key];
        const happened = view.happened[step.key];
        return (
          <li key={step.key}>
            <Name data-hurt={isHurt || undefined}>
              {isHurt ? '! ' : ''}
              {name}
            </Name>
            <Track>
              {monthsOf(axis).map(({ day }) => (
                <i key={day} style={{ left: `${at(axis, day)}%` }} />
              ))}
              <Bar
                role="slider"
                tabIndex={0}
                aria-label={name}
                aria-valuenow={bestFrom - today}
                aria-valuemin={axis.from - today}
                aria-valuemax={axis.to - today}
                aria-valuetext={stretchWords(step)}
                data-tone={TONES[step.kind] ?? 'plain'}
                data-done={doneOn !== undefined || happened !== undefined || undefined}
                style={{
                  left: `${at(axis, opens)}%`,
                  width: `${Math.max(0.8, at(axis, closes + 1) - at(axis, opens))}%`,
                }}
                onPointerDown={onDown}
                onPointerMove={(e) => onPointerMove(e, step)}
                onPointerUp={() => onUp(step)}
                onPointerCancel={() => {
                  end();
                  onGiveUp();
                }}
                onKeyDown={(e) => onKey(e, step)}
                onBlur={() => {
                  if (drag.current) return;
                  end();
                  onLetGo(step);
                }}
              >
                <Best
                  style={{
                    left: `${(100 * (bestFrom - opens)) / (closes + 1 - opens)}%`,
                    width: `${(100 * (bestTo + 1 - bestFrom)) / (closes + 1 - opens)}%`,
                  }}
                />
              </Bar>
              <Now style={{ left: `${at(axis, today)}%` }} />
            </Track>
            <End>
              <span>{stretchWords(step)}</span>
              {happened ? (
                <em>{say('happened {date}', { date: shortDate(happened.from) })}</em>
              ) : (
                <Chip
                  type="button"
                  aria-pressed={doneOn !== undefined}
                  aria-label={
                    doneOn === undefined
                      ? say('Done: {name}', { name })
                      : say('Done on {date}: {name}', { date: fullDate(isoOf(doneOn)), name })
                  }
                  onClick={() => onDone(step)}
                >
                  {doneOn === undefined ? say('done') : shortDate(isoOf(doneOn))}
                </Chip>
              )}
            </End>
          </li>
        );
      })}
    </Rows>
  );
}

/** From when to when, the best days of a window. */
function stretchWords({ window: w }: PlanStep): string {
  const from = isoOf(w.bestFrom);
  const to = isoOf(w.bestTo);
  if (from === to) return fullDate(from);
  return say('{date} to {value}', {
    date: shortDate(from),
    value: from.slice(0, 4) === to.slice(0, 4) ? shortDate(to) : fullDate(to),
  });
}

const Rows = styled.ol`
  list-style: none;
  margin: ${space(3)} 0 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: 176px minmax(0, 1fr) 224px;
    gap: 8px;
    align-items: center;
    min-height: ${touch};
  }
  @media (max-width: 700px) {
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
      padding: ${space(2)} 0;
    }
  }
`;
const Months = styled.div`
  position: relative;
  height: 18px;
  font-size: 12px;
  color: ${colour('inkSoft')};
  span {
    position: absolute;
    white-space: nowrap;
  }
`;
const Name = styled.span`
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  &[data-hurt] {
    color: ${colour('madder')};
    font-weight: 700;
  }
`;
const Track = styled.div`
  position: relative;
  height: 30px;
  i {
    position: absolute;
    top: 0;
    bottom: 0;
    width: 1px;
    background: ${colour('line')};
  }
`;
const Bar = styled.div`
  ${touchable}
  position: absolute;
  top: 3px;
  height: 24px;
  min-width: 10px;
  border-radius: ${radius};
  border: 1px solid ${colour('lineStrong')};
  background: ${colour('stretch')};
  cursor: grab;
  touch-action: none;
  overflow: hidden;
  &:active {
    cursor: grabbing;
  }
  &:focus-visible {
    outline: 3px solid ${colour('indigo')};
    outline-offset: 2px;
    z-index: 2;
  }
  &[data-tone='madder'] {
    background: ${colour('madderWash')};
    border-color: ${colour('madder')};
  }
  &[data-tone='weld'],
  &[data-tone='births'] {
    background: ${colour('weldWash')};
    border-color: ${colour('weldFill')};
  }
  &[data-tone='moss'] {
    background: ${colour('mossWash')};
    border-color: ${colour('moss')};
  }
  &[data-done] {
    opacity: 0.5;
  }
`;
const Best = styled.span`
  position: absolute;
  top: 0;
  bottom: 0;
  background: ${colour('lineStrong')};
  opacity: 0.75;
  [data-tone='madder'] > & {
    background: ${slanted(colour('madder'), colour('madderWash'))};
  }
  [data-tone='weld'] > & {
    background: ${colour('weldFill')};
  }
  [data-tone='births'] > & {
    background: ${dotted(colour('panel'), colour('weldFill'))};
  }
  [data-tone='moss'] > & {
    background: ${colour('mossFill')};
  }
`;
const Now = styled.b`
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: ${colour('ink')};
  pointer-events: none;
`;
const End = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space(2)};
  font-size: 14px;
  em {
    font-style: normal;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  span,
  button,
  em {
    white-space: nowrap;
  }
  button {
    min-height: ${touch};
    min-width: 64px;
    font-size: 13px;
    padding: 0 ${space(2)};
  }
`;
