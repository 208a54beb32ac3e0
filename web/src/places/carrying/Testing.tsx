import {
  EVIDENCE_WAY_WORDS,
  tooSoonText,
  type CarryingView,
  type TestPlanView,
  say,
  SPECIES_WORDS,
  capital,
} from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { How } from '../../parts/How';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { countText, moneyText } from '../../words/format';

const START_WORDS = { blood: say('Plan tubes for'), scan: say('Scan'), palpation: say('Feel') } as const;

/** Who can be tested now by which way, the best day for all, and who only later, with the day. */
export function Testing({ view }: { readonly view: CarryingView }) {
  const startJob = useStartJob();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [isAll, setAll] = useState(false);
  const all = view.testing.filter((p) => p.of > 0);
  const plans = isAll ? all : all.filter((p) => p.isUsed);
  if (all.length === 0) return null;
  const words = SPECIES_WORDS[view.species].grown.female;
  const start = async ({ way, ready, later }: TestPlanView): Promise<void> => {
    const animalIds = ready.map((t) => t.animalId);
    const name = `${countText(ready.length, words[0], words[1])}, ${EVIDENCE_WAY_WORDS[way]}`;
    // Tubes are numbered from the first one in the rack: it is looked at before anything is filled.
    if (way === 'blood')
      return void navigate('/race', {
        state: {
          animalIds: animalIds.length > 0 ? animalIds : later.map((l) => l.tag.animalId),
          name,
          plan: { stations: ['sample'], settings: { sample: { purpose: 'pregnancy', firstTube: 'B-001' } }, gates: [] },
        },
      });
    setProblem(await startJob({ name, stations: ['scan'], settings: { scan: { way } }, gates: [], animalIds }));
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          {say('Who can be tested')}
          <How of={say('Who can be tested')}>
            <p>
              {say(
                'Each way tells from so many days after the last service on, and blood not before what is left of the last birth is gone. Days, what it finds and its price are set under Holding; ask your laboratory for theirs.',
              )}
            </p>
            <p>{say('The best day is the one on which the most are in their best stretch, so that one visit does.')}</p>
          </How>
        </h2>
        {all.length > plans.length || isAll ? (
          <Button kind="quiet" onPress={() => setAll(!isAll)}>
            {isAll ? say('Only the ways used here') : say('Other ways too')}
          </Button>
        ) : null}
      </Row>
      {plans.length === 0 ? <Small>{say('None by the ways used here; they are set under Holding.')}</Small> : null}
      {plans.map((p) => (
        <Way key={p.way} role="group" aria-label={EVIDENCE_WAY_WORDS[p.way]}>
          <div>
            <b>{capital(EVIDENCE_WAY_WORDS[p.way])}</b>
            <Small>
              {p.ready.length > 0
                ? say('now {n} of {of}', { n: p.ready.length, of: p.of })
                : say('none of {of} yet', { of: p.of })}
              {p.bestDay ? bestText(p, view.on) : ''}
              {p.priceMinor > 0
                ? say('; {money} a head, {money2} for all {of}', {
                    money: moneyText(p.priceMinor, view.currency),
                    money2: moneyText(p.priceMinor * p.of, view.currency),
                    of: p.of,
                  })
                : ''}
            </Small>
            {p.later.length > 0 ? (
              <details>
                <summary>{say('{n} {n, plural, one {comes later} other {come later}}', { n: p.later.length })}</summary>
                <ul>
                  {p.later.map((l) => (
                    <li key={l.tag.animalId}>
                      <Tag tag={l.tag} /> <Small as="span">{tooSoonText(l.tooSoon)}</Small>
                    </li>
                  ))}
                </ul>
              </details>
            ) : null}
          </div>
          <Button
            kind={p.way === plans[0]?.way ? 'main' : 'plain'}
            isDisabled={p.ready.length === 0 && p.way !== 'blood'}
            onPress={() => void start(p)}
          >
            {START_WORDS[p.way]} {p.ready.length > 0 ? p.ready.length : p.of}
            {p.ready.length === 0 ? say(', too soon') : ''}
          </Button>
        </Way>
      ))}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

function bestText({ bestDay, of }: TestPlanView, today: string): string {
  if (!bestDay) return '';
  const when = dayOf(bestDay.on) === dayOf(today) ? say('today') : say('on {date}', { date: shortDate(bestDay.on) });
  return say('; best {when}: {open} of {of} can be tested, {best} at their best time', {
    when,
    open: bestDay.open,
    of,
    best: bestDay.best,
  });
}

const Way = styled.div`
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: ${space(3)};
  padding: ${space(2)} 0;
  border-top: 1px solid ${colour('line')};
  summary {
    cursor: pointer;
    font-size: 14px;
  }
  ul {
    list-style: none;
    margin: ${space(1)} 0 0;
    padding: 0;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: ${space(2)};
    align-items: center;
    padding: 2px 0;
  }
`;
