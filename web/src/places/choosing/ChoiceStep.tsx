import { useQuery } from '@tanstack/react-query';
import { DRAFT_DECISIONS, type DraftDecision, say, lower } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { DRAFT_DECISION_WORDS, WAS_TO_BE } from '../../words/choosing';
import { shortDate } from '../../words/dates';
import { DECISION_WORDS } from '../../words/reasons';
import { reservedText } from '../../words/reserved';
import { ChoiceCell } from './ChoiceCell';
import type { StepProps } from './Chooser';
import { choiceFile } from './choiceFile';
import {
  changedSinceWritten,
  choosable,
  countsOf,
  decisionOf,
  idOf,
  isOverruled,
  lacksReason,
  type Choosable,
} from './decisions';
import { GatePanel } from './GatePanel';
import { Beside, DenseTable, Frame } from '../../parts/Beside';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { ReasonField } from './ReasonField';
import { keyOf } from './setKey';
import { useDecide } from './useDecide';
import { useDropDraft } from './useDropDraft';
import { WriteSheet } from './WriteSheet';

/** What was decided, who was decided on otherwise than suggested, and what is done with it. */
export function ChoiceStep({ choosing, view, set, words }: StepProps) {
  const { data: holding } = useQuery(holdingQuery);
  const decide = useDecide(choosing);
  const drop = useDropDraft(set, view);
  const [isWriting, setWriting] = useState(false);
  const all = choosable(view);
  const counts = countsOf(all);
  const written = all.filter((a) => a.written !== null);
  const changed = all.filter(changedSinceWritten);
  const isWritten = all.every((a) => decisionOf(a) === 'undecided' || a.written?.decision === decisionOf(a));
  const reason = (row: Choosable, text: string): void => {
    const decision = row.decided?.decision ?? row.suggestion;
    choosing.change({ decide: [{ animalId: idOf(row), decision, reason: text }] });
  };
  return (
    <Beside
      aside={
        <>
          <Panel>
            <h2>{say('Record it')}</h2>
            <Small>
              {written.length === 0
                ? say('Nothing has been recorded yet: this is a draft, kept on the server as you go.')
                : isWritten
                  ? say('Recorded as it stands.')
                  : say('{n} {n, plural, one {animal differs} other {animals differ}} from what was last recorded.', {
                      n: changed.length + all.filter((a) => a.written === null).length,
                    })}
            </Small>
            <Row style={{ marginTop: 12 }}>
              <Button kind="main" isDisabled={all.length === 0} onPress={() => setWriting(true)}>
                {say('Record the choice')}
              </Button>
            </Row>
          </Panel>
          <GatePanel view={view} set={set} words={words} />
          <Panel>
            <h2>{say('Lists')}</h2>
            <Row>
              <LinkButton as={Link} to={`/choosing/lists?set=${encodeURIComponent(keyOf(set))}`}>
                {say('Print the lists')}
              </LinkButton>
              <Button onPress={() => choiceFile(view, words, holding?.today ?? '')}>{say('Save as CSV')}</Button>
              {view.draft ? <HistoryButton what="choice" thingId={view.draft.id} name={say('this choice')} /> : null}
            </Row>
          </Panel>
          {view.draft ? (
            <AskButton
              kind="quiet"
              label={say('Start afresh')}
              ask={say('Throw this draft away?')}
              onConfirm={() => void drop()}
              style={{ alignSelf: 'flex-start' }}
            />
          ) : null}
        </>
      }
    >
      <Counts aria-label={say('How many')}>
        {DRAFT_DECISIONS.filter((d) => counts[d] > 0).map((d) => (
          <li key={d}>
            <b>{counts[d]}</b> {lower(DRAFT_DECISION_WORDS[d])}
          </li>
        ))}
      </Counts>
      {view.left.length > 0 ? (
        <NotePanel $tone="weld">
          <h3>{say('Left since you decided')}</h3>
          {view.left.map((l) => (
            <p key={l.tag.animalId}>
              <Tag tag={l.tag} /> {l.how} {shortDate(l.on)}; {WAS_TO_BE[l.decision]}.
            </p>
          ))}
        </NotePanel>
      ) : null}
      {changed.length > 0 ? (
        <NotePanel $tone="indigo">
          <h3>{say('Changed since it was last recorded')}</h3>
          {changed.map((a) => (
            <p key={idOf(a)}>
              <Tag tag={a.tag} /> {wasText(a)}
            </p>
          ))}
        </NotePanel>
      ) : null}
      <Frame>
        <DenseTable aria-label={say('The choice')}>
          <thead>
            <tr>
              <th>{say('Animal')}</th>
              <th>{say('Suggested')}</th>
              <th>{say('Choice')}</th>
              <th>{say('Reason')}</th>
              <th>{say('Reserved')}</th>
            </tr>
          </thead>
          <tbody>
            {DRAFT_DECISIONS.flatMap((decision) =>
              all
                .filter((a) => decisionOf(a) === decision)
                .map((a) => (
                  <tr key={idOf(a)}>
                    <td>
                      <Tag tag={a.tag} />
                    </td>
                    <td>{DECISION_WORDS[a.suggestion]}</td>
                    <td>
                      <ChoiceCell row={a} onDecide={decide} />
                    </td>
                    <td>
                      {isOverruled(a) ? (
                        <ReasonField row={a} onReason={(text) => reason(a, text)} isMissing={lacksReason(a)} />
                      ) : (
                        reasonOf(a, decision)
                      )}
                    </td>
                    <td>{a.tag.reserved ? reservedText(a.tag.reserved) : ''}</td>
                  </tr>
                )),
            )}
          </tbody>
        </DenseTable>
      </Frame>
      <WriteSheet view={view} words={words} isOpen={isWriting} onClose={() => setWriting(false)} onReason={reason} />
    </Beside>
  );
}

/** Why it stands so where it follows the suggestion. */
function reasonOf(a: Choosable, decision: DraftDecision): string {
  if (decision === 'undecided') return say('nothing is recorded of it');
  if (a.eye.letBack !== null) return say('let back: {letBack}', { letBack: a.eye.letBack });
  const [failed] = a.eye.failed;
  if (failed) return say('failed {word}', { word: lower(failed.name) });
  return 'place' in a ? say('place {place}', { place: a.place }) : '';
}

const wasText = (a: Choosable): string => {
  const now = lower(DRAFT_DECISION_WORDS[decisionOf(a)]);
  const [was, on] = a.written ? [lower(DECISION_WORDS[a.written.decision]), shortDate(a.written.on)] : ['', ''];
  const [failed] = a.eye.failed;
  const because =
    failed && a.written && failed.on > a.written.on ? say(', failed {word} since', { word: lower(failed.name) }) : '';
  return say('{was} on {on}, now {now}{because}', { was, on, now, because });
};

const Counts = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(5)};
  margin: 0;
  padding: 0;
  list-style: none;
  color: ${colour('inkSoft')};
  b {
    font-size: 26px;
    color: ${colour('ink')};
  }
`;
