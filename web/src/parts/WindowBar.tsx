import type { HourWindowView, WindowView } from '@yaylak/contract';
import { dayOf, isoMoment, momentOf, windowStage, type Moment, type WindowOf, type WindowStage } from '@yaylak/core';
import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { dayAndHour, shortDate } from '../words/dates';
import { StretchBox, StretchLabels, StretchNow, StretchTrack } from './stretchLook';
import { say } from '@yaylak/contract';

const STAGE_WORDS: Readonly<Record<WindowStage, string>> = {
  early: say('not yet'),
  open: say('open'),
  best: say('best now'),
  closing: say('closing'),
  over: say('late'),
};

interface Props {
  readonly window: WindowView;
  readonly today: string;
}

/** When a thing is due: too early, open, best, closing, over, with a mark for today. */
export function WindowBar({ window: w, today }: Props) {
  const days = { opens: dayOf(w.opens), bestFrom: dayOf(w.bestFrom), bestTo: dayOf(w.bestTo), closes: dayOf(w.closes) };
  // A day is drawn to its end, and today's mark stands in its middle.
  return <Bar window={days} now={dayOf(today)} unit={1} text={w} timeOf={shortDate} />;
}

/** The same by the hour: a heat's window for service. */
/** @param earliest when it may have opened already, as standing began between two looks */
export function HourBar({
  window: w,
  now,
  earliest = null,
}: {
  readonly window: HourWindowView;
  readonly now: string;
  readonly earliest?: string | null;
}) {
  const moments = {
    opens: momentOf(w.opens),
    bestFrom: momentOf(w.bestFrom),
    bestTo: momentOf(w.bestTo),
    closes: momentOf(w.closes),
  };
  const today = isoMoment(momentOf(now)).slice(0, 10);
  return (
    <Bar<Moment>
      window={moments}
      earliest={earliest === null ? undefined : { at: momentOf(earliest), text: earliest }}
      now={momentOf(now)}
      unit={0}
      text={w}
      timeOf={(at) => dayAndHour(at, today)}
    />
  );
}

function Bar<T extends number>({
  window: w,
  earliest,
  now,
  unit,
  text,
  timeOf,
}: {
  readonly window: WindowOf<T>;
  readonly earliest?: { readonly at: T; readonly text: string } | undefined;
  readonly now: T;
  /** Width of one step: 1 where the ends are whole days. */
  readonly unit: 0 | 1;
  readonly text: WindowView;
  readonly timeOf: (end: string) => string;
}) {
  const stage = windowStage(w, now);
  const length = w.closes - w.opens + unit;
  const margin = Math.max(2, Math.round(length * 0.25));
  const from = Math.min((earliest?.at ?? w.opens) - margin, now - 1);
  const to = Math.max(w.closes + margin, now + 1);
  const at = (place: number): number => (100 * (place - from)) / (to - from);
  const stretch = (a: number, b: number, fill: string) => (
    <Stretch style={{ left: `${at(a)}%`, width: `${Math.max(1.5, at(b) - at(a))}%`, background: fill }} />
  );
  const isPerhaps = earliest !== undefined && now >= earliest.at && now < w.opens;
  const label = isPerhaps ? say('perhaps open') : STAGE_WORDS[stage];
  const perhaps = earliest ? say(', perhaps already {earliest}', { earliest: timeOf(earliest.text) }) : '';
  const words = say('{label}: opens {opens}{perhaps}, best {from} to {to}, closes {closes}', {
    label,
    opens: timeOf(text.opens),
    perhaps,
    from: timeOf(text.bestFrom),
    to: timeOf(text.bestTo),
    closes: timeOf(text.closes),
  });
  return (
    <StretchBox role="img" aria-label={words} title={words}>
      <StretchTrack>
        {earliest && earliest.at < w.opens ? (
          <Perhaps style={{ left: `${at(earliest.at)}%`, width: `${at(w.opens) - at(earliest.at)}%` }} />
        ) : null}
        {stretch(w.opens, w.closes + unit, colour('mossWash'))}
        {stretch(w.bestFrom, w.bestTo + unit, colour('mossFill'))}
        {stretch(w.closes + unit, to, colour('madderWash'))}
        <StretchNow style={{ left: `${at(now + unit / 2)}%` }} />
      </StretchTrack>
      <Labels>
        <span>{timeOf(text.opens)}</span>
        <b data-stage={isPerhaps ? 'open' : stage}>{label}</b>
        <span>{timeOf(text.closes)}</span>
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
/** A window that may have opened already: its edge is not known. */
const Perhaps = styled.span`
  position: absolute;
  top: 3px;
  height: 0;
  border-top: 2px dashed ${colour('mossFill')};
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
