import { useQuery } from '@tanstack/react-query';
import { dayOf, SPECIES_WORDS } from '@yaylak/core';
import { Fragment } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { yearBandQuery } from '../api/queries';
import { colour, phone, space } from '../theme/tokens';
import { shortDate } from '../words/format';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const KIND_WORDS = { births: 'born', rearing: 'rearing' } as const;

/** The year across the top: a lane per species, woven from real births and the rearing after them. */
export function YearBand() {
  const { data } = useQuery(yearBandQuery);
  const navigate = useNavigate();
  if (!data) return <Lanes aria-hidden style={{ minHeight: 84 }} />;
  const first = dayOf(`${data.year}-01-01`);
  const length = dayOf(`${data.year}-12-31`) - first + 1;
  const at = (iso: string, end = 0): number => Math.min(100, Math.max(0, (100 * (dayOf(iso) + end - first)) / length));
  return (
    <Lanes role="group" aria-label={`The year ${data.year}`}>
      <span />
      <Months aria-hidden>
        {MONTHS.map((m) => (
          <span key={m}>{m}</span>
        ))}
      </Months>
      {data.lanes.map((lane) => (
        <Fragment key={lane.species}>
          <LaneName>{SPECIES_WORDS[lane.species].name}</LaneName>
          <Lane>
            {lane.blocks.map((b) => {
              const words = `${SPECIES_WORDS[lane.species].name}: ${b.young} ${KIND_WORDS[b.kind]}, ${shortDate(b.from)} to ${shortDate(b.to)}`;
              return (
                <Block
                  key={`${b.kind} ${b.from}`}
                  type="button"
                  data-kind={b.kind}
                  aria-label={words}
                  title={words}
                  style={{ left: `${at(b.from)}%`, width: `${Math.max(0.6, at(b.to, 1) - at(b.from))}%` }}
                  onClick={() =>
                    void navigate(`/animals?species=${lane.species}&bornIn=${b.batchFrom.slice(0, 4)}&presence=all`)
                  }
                  onKeyDown={moveAlong}
                />
              );
            })}
          </Lane>
        </Fragment>
      ))}
      <TodayFrame aria-hidden>
        <TodayLine style={{ left: `${at(data.today)}%` }}>
          <span>{shortDate(data.today)}</span>
        </TodayLine>
      </TodayFrame>
    </Lanes>
  );
}

/** Arrow keys go along the blocks in the order they stand. */
function moveAlong(event: React.KeyboardEvent<HTMLButtonElement>): void {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (step === 0) return;
  const blocks = [...(event.currentTarget.closest('[role=group]')?.querySelectorAll('button') ?? [])];
  blocks[blocks.indexOf(event.currentTarget) + step]?.focus();
  event.preventDefault();
}

const Lanes = styled.div`
  position: relative;
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  gap: 5px ${space(2)};
  align-items: center;
  color: ${colour('bandInk')};
  font-size: 13px;
  ${phone} {
    display: none;
  }
`;
const Months = styled.div`
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  font-size: 12px;
  color: ${colour('bandSoft')};
`;
const LaneName = styled.span`
  font-size: 12px;
  line-height: 12px;
`;
const Lane = styled.div`
  position: relative;
  height: 12px;
  background: ${colour('bandLine')};
  border-radius: 2px;
`;
const Block = styled.button`
  position: absolute;
  top: 0;
  height: 12px;
  padding: 0;
  border: 0;
  border-radius: 2px;
  cursor: pointer;
  &[data-kind='births'] {
    background: radial-gradient(circle, #fff3d2 1.6px, transparent 2px) 0 0 / 9px 12px #b97f14;
  }
  &[data-kind='rearing'] {
    background: #66875f;
  }
  &:focus-visible {
    outline: 2px solid #fff;
    z-index: 1;
  }
`;
const TodayFrame = styled.div`
  position: absolute;
  left: calc(62px + ${space(2)});
  right: 0;
  top: 0;
  bottom: -8px;
  pointer-events: none;
`;
const TodayLine = styled.div`
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: #fff;
  span {
    position: absolute;
    bottom: -5px;
    left: 4px;
    font-size: 12px;
    white-space: nowrap;
    background: #14110f;
    padding: 0 5px;
    border-radius: 3px;
  }
`;
