import type { WindowView } from '@yaylak/contract';
import { dayOf, windowStage, type Day, type WindowStage } from '@yaylak/core';
import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { shortDate } from '../words/format';
import { StretchBox, StretchLabels, StretchNow, StretchTrack } from './stretchLook';

const STAGE_WORDS: Readonly<Record<WindowStage, string>> = {
  early: 'not yet',
  open: 'open',
  best: 'best now',
  closing: 'closing',
  over: 'late',
};

interface Props {
  readonly window: WindowView;
  readonly today: string;
}

/** When a thing is due: too early, open, best, closing, over, with a mark for today. */
export function WindowBar({ window: w, today }: Props) {
  const days = { opens: dayOf(w.opens), bestFrom: dayOf(w.bestFrom), bestTo: dayOf(w.bestTo), closes: dayOf(w.closes) };
  const now = dayOf(today);
  const stage = windowStage(days, now);
  const length = days.closes - days.opens + 1;
  const margin = Math.max(2, Math.round(length * 0.25));
  const from = Math.min(days.opens - margin, now - 1);
  const to = Math.max(days.closes + margin, now + 1);
  const at = (day: number): number => (100 * (day - from)) / (to - from);
  const stretch = (a: Day | number, b: Day | number, fill: string) => (
    <Stretch style={{ left: `${at(a)}%`, width: `${Math.max(1.5, at(b) - at(a))}%`, background: fill }} />
  );
  const words = `${STAGE_WORDS[stage]}: opens ${shortDate(w.opens)}, best ${shortDate(w.bestFrom)} to ${shortDate(w.bestTo)}, closes ${shortDate(w.closes)}`;
  return (
    <StretchBox role="img" aria-label={words} title={words}>
      <StretchTrack>
        {stretch(days.opens, days.closes + 1, colour('mossWash'))}
        {stretch(days.bestFrom, days.bestTo + 1, colour('mossFill'))}
        {stretch(days.closes + 1, to, colour('madderWash'))}
        <StretchNow style={{ left: `${at(now + 0.5)}%` }} />
      </StretchTrack>
      <Labels>
        <span>{shortDate(w.opens)}</span>
        <b data-stage={stage}>{STAGE_WORDS[stage]}</b>
        <span>{shortDate(w.closes)}</span>
      </Labels>
    </StretchBox>
  );
}

const Stretch = styled.span`
  position: absolute;
  top: 0;
  height: 8px;
  border-radius: 4px;
`;
const Labels = styled(StretchLabels)`
  b[data-stage='best'],
  b[data-stage='open'] {
    color: ${colour('moss')};
  }
  b[data-stage='closing'],
  b[data-stage='over'] {
    color: ${colour('madder')};
  }
`;
