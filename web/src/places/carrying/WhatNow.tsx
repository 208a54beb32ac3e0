import {
  percentText,
  WAY_ON_WORDS,
  type CarryingFemaleView,
  type CarryingView,
  type WhatNowView,
  say,
  lower,
} from '@yaylak/contract';
import { WAYS_ON, type Sensitivity, type WayOn } from '@yaylak/core';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { How } from '../../parts/How';
import { LinkButton } from '../../parts/LinkButton';
import { NotePanel, Row, Small, Stack } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { colour, space } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';
import { moneyText } from '../../words/format';
import { PlainList } from '../../parts/PlainList';

interface Props {
  readonly female: CarryingFemaleView;
  readonly view: CarryingView;
  /** All that want a decision. */
  readonly others: readonly CarryingFemaleView[];
  readonly onChoose: (id: string) => void;
}

/** Sell, keep, test or serve again: what each is expected to cost, what that hangs on, and the choice. */
export function WhatNow({ female, view, others, onChoose }: Props) {
  const write = useWrite();
  const { whatNow, tag, decided } = female;
  const [decision, setDecision] = useState<WayOn>();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  if (!whatNow) return null;
  const suggested = whatNow.ways[0]?.way ?? 'keep';
  const chosen = decision ?? decided?.decision ?? suggested;
  const isOverruled = chosen !== suggested;
  const submit = async (): Promise<void> => {
    if (isOverruled && reason.trim() === '')
      return setProblem(
        say('Why: say why {word} goes before what is cheapest.', { word: lower(WAY_ON_WORDS[chosen]) }),
      );
    const refused = await write(
      [
        {
          type: 'way-on',
          animalId: tag.animalId,
          on: view.on,
          decision: chosen,
          suggested,
          ...(typeof female.chance?.probability === 'number' ? { chance: female.chance.probability } : {}),
          evidence: evidenceText(whatNow, view.currency),
          ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
        },
      ],
      `${tag.text}: ${lower(WAY_ON_WORDS[chosen])}`,
    );
    setProblem(refused.length > 0 ? refused.join(' ') : undefined);
  };
  return (
    <NotePanel $tone="madder">
      <Stack $gap={3}>
        {others.length > 1 ? (
          <Choice
            label={say('What now with ({n})', { n: others.length })}
            value={tag.animalId}
            options={others.map((o) => [o.tag.animalId, `${o.tag.text}${o.tag.name ? ` ${o.tag.name}` : ''}`])}
            onChange={onChoose}
          />
        ) : null}
        <h2>
          <Row $gap={1}>
            <Tag tag={tag} /> {tag.name} {say('Sell, keep or test again?')}
          </Row>
        </h2>
        <Costs>
          <thead>
            <tr>
              <th>{say('If you')}</th>
              <th>
                {say('expected cost')}
                <HowCosts whatNow={whatNow} q={female.chance?.probability ?? 0} currency={view.currency} />
              </th>
            </tr>
          </thead>
          <tbody>
            {whatNow.ways.map(({ way, costMinor }) => (
              <tr key={way} data-best={way === suggested || undefined}>
                <td>{WAY_ON_WORDS[way]}</td>
                <td>{moneyText(costMinor, view.currency)}</td>
              </tr>
            ))}
          </tbody>
        </Costs>
        <Small>
          {say(
            '{value}{chancesUsed} {chancesUsed, plural, one {season empty so far} other {seasons empty so far}} of {chances}.{value2}',
            {
              value:
                whatNow.breakEven === null
                  ? ''
                  : `${say('Selling pays only below {percent} in young.', { percent: percentText(whatNow.breakEven) })} `,
              chancesUsed: whatNow.chancesUsed,
              chances: whatNow.chances,
              value2: whatNow.serveUntil
                ? ` ${say('Served again by {date}; never inseminate one that may carry.', { date: shortDate(whatNow.serveUntil) })}`
                : ` ${say('The season is over for serving again.')}`,
            },
          )}
        </Small>
        <Hangs rows={whatNow.sensitivity} suggested={suggested} currency={view.currency} />
        <Row $gap={2} style={{ alignItems: 'flex-end' }}>
          <Choice
            label={say('Decide')}
            value={chosen}
            options={WAYS_ON.filter((w) => whatNow.ways.some((x) => x.way === w)).map((w) => [w, WAY_ON_WORDS[w]])}
            onChange={(way) => {
              setDecision(way);
              setProblem(undefined);
            }}
          />
          <Field
            label={isOverruled ? say('Why') : say('Why (may be left empty)')}
            value={reason}
            onChange={setReason}
          />
        </Row>
        {problem ? <p role="alert">{problem}</p> : null}
        <Row>
          <Button kind="main" onPress={() => void submit()}>
            {say('Record decision')}
          </Button>
          {chosen === 'serve-again' ? (
            <LinkButton as={Link} to={`/mating?species=${view.species}&serve=${tag.animalId}`}>
              {say('Serve her')}
            </LinkButton>
          ) : null}
        </Row>
        {decided ? (
          <Small>
            {say('Decided on {date}: {word}{value}.', {
              date: fullDate(decided.on),
              word: lower(WAY_ON_WORDS[decided.decision]),
              value: decided.reason ? `, ${decided.reason}` : '',
            })}
          </Small>
        ) : null}
      </Stack>
    </NotePanel>
  );
}

const evidenceText = ({ ways, breakEven }: WhatNowView, currency: string): string =>
  [
    ...ways.map((w) => `${lower(WAY_ON_WORDS[w.way])} ${moneyText(w.costMinor, currency)}`),
    ...(breakEven === null ? [] : [say('selling pays below {percent}', { percent: percentText(breakEven) })]),
  ].join('; ');

function HowCosts({
  whatNow: w,
  q,
  currency,
}: {
  readonly whatNow: WhatNowView;
  readonly q: number;
  readonly currency: string;
}) {
  const keep = moneyText(w.keepDays * w.keepPerDayMinor, currency);
  return (
    <How of={say('The expected cost')}>
      <p>
        {say(
          'She carries with {percent}. What is right costs nothing. Keep: if she is empty, {keepDays} days of feed at {money}, {keep}, until the next mating has shown who took. Sell: if she is in young, {money2} are lost.',
          {
            percent: percentText(q),
            keepDays: w.keepDays,
            money: moneyText(w.keepPerDayMinor, currency),
            keep,
            money2: moneyText(w.lostIfSoldMinor, currency),
          },
        )}
      </p>
      {w.test ? (
        <p>
          {say(
            'Test again: {money} from {date} on, and then the cheaper of the two for each answer. Serve again: {percent} take; late young are worth less.',
            {
              money: moneyText(w.test.priceMinor, currency),
              date: shortDate(w.test.from),
              percent: percentText(w.takes),
            },
          )}
        </p>
      ) : null}
      <p>{say('All these figures are yours, under Holding.')}</p>
    </How>
  );
}

const INPUT_WORDS: Readonly<Record<Sensitivity['input'], string>> = {
  probability: say('chance she carries'),
  keep: say('cost of keeping her'),
  lostIfSold: say('lost if sold in young'),
  testPrice: say('price of the test'),
  takes: say('share that takes'),
  lateYoung: say('late young worth less'),
};

/** What the suggestion hangs on: how much it saves over the next way when each figure is halved or doubled. */
function Hangs({
  rows,
  suggested,
  currency,
}: {
  readonly rows: readonly Sensitivity[];
  readonly suggested: WayOn;
  readonly currency: string;
}) {
  const most = Math.max(1, ...rows.flatMap((r) => [Math.abs(r.low.margin), Math.abs(r.high.margin)]));
  if (rows.length === 0) return null;
  return (
    <details>
      <summary>{say('What this depends on')}</summary>
      <Small>
        {say(
          'Each figure halved and doubled by itself. To the left of the line {word} stays cheapest, to the right another way is cheaper, by so much.',
          { word: lower(WAY_ON_WORDS[suggested]) },
        )}
      </Small>
      <Bars>
        {rows.map((r) => {
          const [from, to] = [Math.min(r.low.margin, r.high.margin), Math.max(r.low.margin, r.high.margin)];
          const at = (margin: number): number => 50 + (50 * margin) / most;
          const turns = [r.low, r.high].find((e) => e.best !== suggested);
          return (
            <li key={r.input}>
              <span>{INPUT_WORDS[r.input]}</span>
              <div
                role="img"
                aria-label={say('{input}: from {money} to {money2}', {
                  input: INPUT_WORDS[r.input],
                  money: moneyText(from, currency),
                  money2: moneyText(to, currency),
                })}
              >
                <i style={{ left: `${at(from)}%`, width: `${Math.max(1, at(to) - at(from))}%` }} />
                <hr />
              </div>
              <Small>
                {turns ? say('then {word}', { word: lower(WAY_ON_WORDS[turns.best]) }) : say('does not change it')}
              </Small>
            </li>
          );
        })}
      </Bars>
    </details>
  );
}

const Costs = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    font-weight: 400;
    font-size: 13px;
    color: ${colour('inkSoft')};
    text-align: left;
  }
  td,
  th {
    padding: ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
  }
  td:last-child,
  th:last-child {
    text-align: right;
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }
  tr[data-best] td {
    font-weight: 700;
  }
`;
const Bars = styled(PlainList)`
  margin: ${space(2)} 0;
  li {
    padding: 3px 0;
    font-size: 13px;
  }
  div {
    position: relative;
    height: 14px;
    background: ${colour('mossWash')};
    background: linear-gradient(90deg, ${colour('mossWash')} 50%, ${colour('madderWash')} 50%);
    border-radius: 3px;
  }
  i {
    position: absolute;
    top: 3px;
    height: 8px;
    border-radius: 3px;
    background: ${colour('indigo')};
  }
  hr {
    position: absolute;
    left: 50%;
    top: 0;
    height: 14px;
    width: 1px;
    margin: 0;
    border: 0;
    background: ${colour('ink')};
  }
`;
