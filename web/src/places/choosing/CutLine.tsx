import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import { colour, space, touchable } from '../../theme/tokens';

interface Props {
  readonly name: string;
  readonly at: number;
  readonly most: number;
  /** The place a pointer at this height is at: how many rows lie above it. */
  readonly placeAt: (y: number) => number;
  readonly onMove: (to: number) => void;
}

const step = (key: string): number =>
  key === 'ArrowDown' || key === ']' ? 1 : key === 'ArrowUp' || key === '[' ? -1 : 0;

/** A line of the ranking, moved by dragging it or by its keys; it is where it is let go. */
export function CutLine({ name, at, most, placeAt, onMove }: Props) {
  const [dragged, setDragged] = useState<number>();
  const within = (n: number): number => Math.max(0, Math.min(most, n));
  const shown = dragged ?? at;
  return (
    <Line
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={shown}
      aria-orientation="vertical"
      data-dragged={dragged !== undefined || undefined}
      onKeyDown={(e: KeyboardEvent) => {
        const by = step(e.key);
        if (by === 0) return;
        onMove(within(at + by));
        e.preventDefault();
        e.stopPropagation();
      }}
      onPointerDown={(e: PointerEvent<HTMLDivElement>) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged(at);
      }}
      onPointerMove={(e: PointerEvent<HTMLDivElement>) => {
        if (dragged !== undefined) setDragged(within(placeAt(e.clientY)));
      }}
      onPointerUp={() => {
        if (dragged !== undefined && dragged !== at) onMove(dragged);
        setDragged(undefined);
      }}
      onPointerCancel={() => setDragged(undefined)}
    >
      <span>
        {name}: {shown}
      </span>
    </Line>
  );
}

const Line = styled.div`
  ${touchable}
  height: 22px;
  display: flex;
  align-items: center;
  cursor: ns-resize;
  touch-action: none;
  background: linear-gradient(${colour('madder')}, ${colour('madder')}) center / 100% 3px no-repeat;
  span {
    margin-left: auto;
    padding: 0 ${space(2)};
    font-size: 12px;
    font-weight: 700;
    color: ${colour('madder')};
    background: ${colour('panel')};
  }
  &[data-dragged] span {
    background: ${colour('madder')};
    color: ${colour('panel')};
  }
`;
