import { scoreTrend, type Mob } from '@yaylak/core';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour, fonts, space } from '../../../theme/tokens';
import { FEMALE_KIND_WORDS, MOB_WORDS, scoreText, TREND_WORDS } from '../../../words/condition';
import { shortDate } from '../../../words/dates';
import type { Draft, FieldName } from '../draft';
import { Ask, BigInput } from '../fields';
import type { AtHand } from './atHand';
import { StationRow, useFigureKeys } from './parts';
import { aimAt, scoreAt, scoreBefore, suggestedMob, typedScores } from './score';
import { say } from '@yaylak/contract';

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly onType: (name: FieldName) => (text: string) => void;
  /** The keys of the mobs, given the one it goes to. */
  readonly children: (mob: Mob | undefined) => ReactNode;
}

/** One field a scorer; beside them the last score, the aim, and where the animal goes. */
export function ScoreFields({ draft, at, onType, children }: Props) {
  const figureKeys = useFigureKeys();
  const all = typedScores(draft, at);
  const now = scoreAt(draft, at);
  const before = scoreBefore(at);
  // Two hands are held against each other: the second is not to hear what was felt before.
  const isShown = all.length < 2 || now !== undefined;
  const suggested = suggestedMob(draft, at);
  const mob = draft.mob ?? suggested;
  const spray = at.job.settings.score?.sprays.find((s) => s.mob === mob);
  const kind = at.animal?.femaleKind ?? 'usual';
  return (
    <>
      <Ask>
        <ScoreRow>
          {all.map(({ by, field, typed }) => (
            <label key={field} htmlFor={`race-${field}`}>
              <span>{all.length > 1 ? say('Score by {by}', { by }) : say('Score, 1 to 5')}</span>
              <BigInput
                style={{ maxWidth: 150 }}
                id={`race-${field}`}
                autoComplete="off"
                inputMode={figureKeys}
                value={draft.fields[field] ?? ''}
                onChange={(e) => onType(field)(e.target.value)}
              />
              {typed.kind === 'score' && (draft.fields[field] ?? '').match(/[.,]$/) ? (
                <em>{scoreText(typed.score)}</em>
              ) : null}
            </label>
          ))}
          <div aria-live="polite">
            <b>
              {say('Aim {score}{value}', {
                score: scoreText(aimAt(at)),
                value: kind === 'usual' ? '' : `, ${FEMALE_KIND_WORDS[kind]}`,
              })}
            </b>
            {isShown ? (
              <span>
                {before
                  ? say('Last {score} on {date}', {
                      score: scoreText(before.score),
                      date: shortDate(at.animal?.scores.findLast(([on]) => on < at.job.on)?.[0] ?? at.job.on),
                    })
                  : say('First score')}
                {before && now ? `: ${TREND_WORDS[scoreTrend(before, now)]}` : ''}
              </span>
            ) : (
              <span>{say('Each feels for himself; the last score shows when both are in.')}</span>
            )}
            <span>
              {say('By hand over the short ribs, standing free. Not by eye under wool, not hunched in a crate.')}
            </span>
          </div>
        </ScoreRow>
      </Ask>
      <StationRow name={say('Feed mob')}>
        {children(mob)}
        {mob ? (
          <span>
            {draft.mob && suggested && draft.mob !== suggested
              ? `${say('The score says {mob}.', { mob: MOB_WORDS[suggested] })} `
              : ''}
            {spray
              ? say('Spray {colour} on the {n}.', { colour: say(spray.colour), n: at.job.settings.score?.place ?? '' })
              : ''}
          </span>
        ) : null}
      </StationRow>
    </>
  );
}

const ScoreRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: ${space(3)} ${space(5)};
  label {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space(1)} ${space(3)};
    max-width: 230px;
  }
  label > span {
    flex-basis: 100%;
  }
  em {
    font: 700 20px ${fonts.heading};
  }
  div {
    display: flex;
    flex-direction: column;
    flex: 1 1 240px;
    gap: 2px;
  }
  div b {
    font: 700 17px ${fonts.heading};
  }
  div span {
    color: ${colour('inkSoft')};
    font-size: 14px;
  }
`;
