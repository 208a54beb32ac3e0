import type { TraitPoints } from '@yaylak/core';
import styled from 'styled-components';
import { colour } from '../../theme/tokens';
import { TRAIT_COLOURS } from './traitColours';

interface Props {
  readonly parts: readonly TraitPoints[];
  /** The most that any animal of the list gains or loses, so that bars can be compared. */
  readonly reach: number;
  readonly words: string;
}

/** What makes up an animal's worth: what adds stands right of the middle, what takes away left of it. */
export function IndexBar({ parts, reach, words }: Props) {
  const share = (points: number): number => (100 * Math.abs(points)) / Math.max(reach, 1e-9);
  const side = (isMore: boolean) =>
    parts
      .filter((p) => (isMore ? p.points > 0 : p.points < 0))
      .map((p) => <i key={p.trait} style={{ width: `${share(p.points)}%`, background: TRAIT_COLOURS[p.trait] }} />);
  return (
    <Bar role="img" aria-label={words} title={words}>
      <Side data-less>{side(false)}</Side>
      <Side>{side(true)}</Side>
    </Bar>
  );
}

const Bar = styled.span`
  display: inline-grid;
  grid-template-columns: 1fr 1fr;
  width: 92px;
  height: 10px;
  vertical-align: middle;
  background: ${colour('stretch')};
`;
const Side = styled.span`
  display: flex;
  overflow: hidden;
  i {
    height: 10px;
    min-width: 0;
  }
  &[data-less] {
    justify-content: flex-end;
    border-right: 1px solid ${colour('ink')};
  }
`;
