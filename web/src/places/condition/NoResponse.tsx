import type { NoResponseView } from '@yaylak/contract';
import { CONDITION_CHECKS, type ConditionCheck } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { colour, space } from '../../theme/tokens';
import { CHECK_WORDS, scoreText } from '../../words/condition';
import { shortDate } from '../../words/dates';
import { say, lower } from '@yaylak/contract';

interface Props {
  readonly rows: readonly NoResponseView[];
  readonly on: string;
}

/** Fed up and no gain: what to look at, what was found, and what follows. */
export function NoResponse({ rows, on }: Props) {
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  if (rows.length === 0) return null;
  const keep = async (drafts: Parameters<typeof write>[0], done: string): Promise<void> =>
    setProblem((await write(drafts, done)).join(' ') || undefined);
  const check = (row: NoResponseView, what: ConditionCheck, isFound: boolean): Promise<void> =>
    keep(
      [{ type: 'check', animalId: row.tag.animalId, on, what, isFound }],
      `${row.tag.text}: ${lower(CHECK_WORDS[what][isFound ? 'found' : 'clear'])}`,
    );
  const cull = (row: NoResponseView): Promise<void> =>
    keep(
      [
        {
          type: 'choice',
          animalId: row.tag.animalId,
          on,
          decision: 'sell',
          suggested: 'sell',
          among: say('those that do not answer to feed'),
          reason: reasonOf(row),
        },
      ],
      say('Chosen: sell {text}', { text: row.tag.text }),
    );
  return (
    <Panel>
      <h2>{say('Fed up and no gain ({n})', { n: rows.length })}</h2>
      <Small>{say('Two scorings at least 60 days apart, in the thin mob all the time, and no gain to be seen.')}</Small>
      {rows.map((row) => (
        <Line key={row.tag.animalId}>
          <Row $gap={3}>
            <Tag tag={row.tag} />
            <span>
              {say('{score} on {date}, {score2} on {date2}: {days} days{value}', {
                score: scoreText(row.from.score),
                date: shortDate(row.from.on),
                score2: scoreText(row.to.score),
                date2: shortDate(row.to.on),
                days: row.days,
                value: row.ageYears === null ? '' : say(', {ageYears} years old', { ageYears: row.ageYears }),
              })}
            </span>
          </Row>
          <Row>
            {CONDITION_CHECKS.map((what) => {
              const made = row.made.find((m) => m.what === what);
              return (
                <Row
                  key={what}
                  $gap={1}
                  role="group"
                  aria-label={say('{name} of {text}', { name: CHECK_WORDS[what].name, text: row.tag.text })}
                >
                  <span>{CHECK_WORDS[what].name}</span>
                  {[false, true].map((isFound) => (
                    <Chip
                      key={String(isFound)}
                      type="button"
                      aria-pressed={made?.isFound === isFound}
                      aria-label={CHECK_WORDS[what][isFound ? 'found' : 'clear']}
                      onClick={() => void check(row, what, isFound)}
                    >
                      {isFound ? say('found') : say('clear')}
                    </Chip>
                  ))}
                </Row>
              );
            })}
          </Row>
          <Row>
            <b>{SUGGESTION_WORDS[row.suggestion]}</b>
            <span>{reasonOf(row)}</span>
            {row.suggestion === 'cull' ? (
              <Button aria-label={say('Record: sell {text}', { text: row.tag.text })} onPress={() => void cull(row)}>
                {say('Record: sell')}
              </Button>
            ) : null}
          </Row>
        </Line>
      ))}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

const SUGGESTION_WORDS: Readonly<Record<NoResponseView['suggestion'], string>> = {
  check: say('Look at her.'),
  treat: say('See to it, and score again in 60 days.'),
  cull: say('Cull.'),
};

/** Why, with the figures it stands on. */
function reasonOf({ from, to, days, made, stillToCheck, suggestion }: NoResponseView): string {
  const scores = say('{score} to {score2} in {days} days of feeding up', {
    score: scoreText(from.score),
    score2: scoreText(to.score),
    days,
  });
  const found = made.filter((m) => m.isFound).map((m) => lower(CHECK_WORDS[m.what].found));
  if (suggestion === 'check')
    return say('{scores}; still to look at: {list}.', {
      scores,
      list: stillToCheck.map((c) => lower(CHECK_WORDS[c].name)).join(', '),
    });
  return found.length > 0
    ? `${scores}; ${found.join(', ')}.`
    : say('{scores}; all looked at, nothing found.', { scores });
}

const Line = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(2)};
  padding: ${space(3)} 0;
  & + & {
    border-top: 1px solid ${colour('line')};
  }
`;
