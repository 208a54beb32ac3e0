import { canTellText, percentText, say, SPECIES_WORDS } from '@yaylak/contract';
import type { AgeFit, TooSoonTold } from '@yaylak/core';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour, fonts, space } from '../../../theme/tokens';
import { shortDate } from '../../../words/dates';
import { countText } from '../../../words/format';
import type { Draft, FieldName } from '../draft';
import { Ask, BigInput } from '../fields';
import type { AtHand } from './atHand';
import { Count, SmallField, StationRow, useFigureKeys } from './parts';
import { fitAt, scanTyped, servicesAt, tooSoonAt } from './scan';

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly onType: (name: FieldName) => (text: string) => void;
  /** The keys of the findings. */
  readonly children: ReactNode;
}

const COUNTS = ['0', '1', '2', '3', '4', '?'] as const;
const MOST_SHOWN = 4;

/** How many and how old in one field; beside it the days since each service, or nothing where it is done blind. */
export function ScanFields({ draft, at, onType, children }: Props) {
  const figureKeys = useFigureKeys();
  const { way = 'scan', learner, isBlind = false } = at.job.settings.scan ?? {};
  const typed = scanTyped(draft);
  const fit = fitAt(draft, at);
  const services = servicesAt(at);
  const age = /[\s.,]+\d+$/.exec(draft.fields.scan ?? '')?.[0] ?? '';
  const soon = tooSoonAt(at, way);
  if (at.sex !== 'female') return <StationRow name={say('Scan')}>{say('No female: nothing to scan.')}</StationRow>;
  return (
    <>
      <Ask>
        <ScanRow>
          <label htmlFor="race-scan">
            <span>{way === 'scan' ? say('Young, and age in days') : say('Young felt')}</span>
            <BigInput
              style={{ maxWidth: 190 }}
              id="race-scan"
              autoComplete="off"
              inputMode={figureKeys}
              value={draft.fields.scan ?? ''}
              onChange={(e) => onType('scan')(e.target.value)}
            />
          </label>
          <div aria-live="polite">
            <b>{typed.kind === 'scan' ? saidText(typed, at) : say('0 empty, 2 62 two of 62 days, ? doubtful')}</b>
            {isBlind ? (
              <span>{say('Blind: the services stay hidden until the job is over.')}</span>
            ) : (
              <>
                {services.length === 0 ? <span>{say('No service on record.')}</span> : null}
                {services.slice(-MOST_SHOWN).map((s) => (
                  <span key={s.from}>
                    {say('{days} {days, plural, one {day} other {days}} since {list}, {date}', {
                      days: s.days,
                      list: s.males.join(` ${say('or')} `),
                      date: shortDate(s.to),
                    })}
                  </span>
                ))}
                {fit ? <em>{fitText(fit, services)}</em> : null}
              </>
            )}
          </div>
        </ScanRow>
      </Ask>
      <StationRow name={say('Count')}>
        {COUNTS.map((n) => (
          <Count
            key={n}
            type="button"
            tabIndex={-1}
            aria-pressed={(draft.fields.scan ?? '').trim().startsWith(n)}
            onClick={() => onType('scan')(n === '0' || n === '?' ? n : `${n}${age}`)}
          >
            {n === '0' ? say('Empty') : n}
          </Count>
        ))}
        {learner ? (
          <SmallField
            id="race-learnerAge"
            label={say('{learner} says, days', { learner })}
            isFigure
            width={80}
            value={draft.fields.learnerAge ?? ''}
            onType={onType('learnerAge')}
          />
        ) : null}
      </StationRow>
      {way === 'scan' ? (
        <StationRow name={say('Found')} isWide>
          {children}
        </StationRow>
      ) : null}
      <SoonReason soon={soon} value={draft.fields.reason ?? ''} onType={onType('reason')} />
    </>
  );
}

/** Why it is tested before the test can tell; asked only where it is too soon. */
export function SoonReason({
  soon,
  value,
  onType,
}: {
  readonly soon: TooSoonTold | undefined;
  readonly value: string;
  readonly onType: (text: string) => void;
}) {
  if (soon === undefined) return null;
  return (
    <StationRow name={say('Too soon')}>
      <span>{canTellText(soon)}</span>
      <SmallField id="race-reason" label={say('Reason for going ahead')} width={260} value={value} onType={onType} />
    </StationRow>
  );
}

function saidText(typed: Extract<ReturnType<typeof scanTyped>, { kind: 'scan' }>, at: AtHand): string {
  if (typed.result === 'doubtful') return say('Doubtful');
  if (typed.result === 'empty') return say('Empty');
  const [one, many] = SPECIES_WORDS[at.species].young.unknown;
  const age =
    typed.ageDays === undefined
      ? ''
      : say(', {ageDays} {ageDays, plural, one {day} other {days}} old', { ageDays: typed.ageDays });
  return `${countText(typed.young ?? 1, one, many)}${age}`;
}

function fitText(fit: AgeFit, services: ReturnType<typeof servicesAt>): string {
  if (fit.kind === 'none-fits') return say('The age fits no service.');
  const service = services[fit.nearest];
  const off =
    fit.daysOff === 0 ? '' : `, ${Math.abs(fit.daysOff)} d ${fit.daysOff > 0 ? say('older') : say('younger')}`;
  const chance = fit.chances.length > 1 ? ` (${percentText(fit.chances[fit.nearest] ?? 0)})` : '';
  return say('Fits {date}, {n}{off}{chance}.', {
    date: shortDate(service?.to ?? ''),
    n: service?.males.join(` ${say('or')} `) ?? '',
    off,
    chance,
  });
}

const ScanRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: ${space(3)} ${space(5)};
  label > span {
    display: block;
  }
  div {
    display: flex;
    flex-direction: column;
    flex: 1 1 260px;
    gap: 2px;
  }
  div b {
    font: 700 17px ${fonts.heading};
  }
  div span {
    color: ${colour('inkSoft')};
    font-size: 14px;
  }
  em {
    font-style: normal;
    font-weight: 700;
    color: ${colour('indigo')};
  }
`;
