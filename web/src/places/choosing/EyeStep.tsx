import type { GradeView, SetAnimal } from '@yaylak/contract';
import { JUDGED_FROM_DAYS, type EyeState } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { EYE_WORDS } from '../../words/choosing';
import { shortDate } from '../../words/dates';
import type { StepProps } from './Chooser';
import { ChoiceCell } from './ChoiceCell';
import { DecisionMarks } from './DecisionMarks';
import { idOf } from './decisions';
import { LetBackSheet } from './LetBackSheet';
import { Beside, DenseTable, Frame } from '../../parts/Beside';
import { Strictness } from './Strictness';
import { useDecide } from './useDecide';
import { say } from '@yaylak/contract';

const ORDER: readonly EyeState[] = ['not-looked', 'in-part', 'passes'];

/** Who is looked at and who not yet; what fails leaves before the numbers. */
export function EyeStep({ choosing, view, set, words }: StepProps) {
  const navigate = useNavigate();
  const decide = useDecide(choosing);
  const [lettingBack, setLettingBack] = useState<SetAnimal>();
  const left = [...view.rows].sort((a, b) => ORDER.indexOf(a.eye.state) - ORDER.indexOf(b.eye.state));
  const todo = left.filter((r) => r.eye.state === 'not-looked' || r.eye.state === 'in-part');
  const lookOver = (): void =>
    void navigate('/race', {
      state: {
        animalIds: todo.map(idOf),
        name: say('Looking over {words}', { words }),
        plan: { stations: ['look'], settings: {}, gates: [] },
      },
    });
  return (
    <Beside
      aside={
        <>
          <DecisionMarks />
          <Strictness species={set.species} />
        </>
      }
    >
      <Panel>
        <Row style={{ justifyContent: 'space-between' }} $gap={3}>
          <p style={{ flex: '1 1 300px' }}>
            {todo.length === 0 ? (
              say('All have been looked over.')
            ) : (
              <>
                {say(
                  '{n} {n, plural, one {animal has} other {animals have}} not been looked over against all standards. Look before you study figures: one that fails leaves the list.',
                  { n: todo.length },
                )}
              </>
            )}
          </p>
          {todo.length > 0 ? (
            <Button kind="main" onPress={lookOver}>
              {say('Look over {n} at the race', { n: todo.length })}
            </Button>
          ) : null}
        </Row>
      </Panel>
      <Frame>
        <DenseTable aria-label={say('By eye')}>
          <thead>
            <tr>
              <th>{say('Animal')}</th>
              <th>{say('By eye')}</th>
              <th>{say('What was found')}</th>
              <th>{say('Choice')}</th>
              <th aria-label={say('Let back')} />
            </tr>
          </thead>
          <tbody>
            {left.map((a) => (
              <tr key={idOf(a)}>
                <td>
                  <Tag tag={a.tag} />
                </td>
                <td>{EYE_WORDS[a.eye.state]}</td>
                <td>
                  {a.eye.letBack === null ? (
                    foundText(a)
                  ) : (
                    <>
                      {say('{list}. Let back: {letBack}', {
                        list: a.eye.failed.map(gradeText).join('; '),
                        letBack: a.eye.letBack,
                      })}
                    </>
                  )}
                </td>
                <td>
                  <ChoiceCell row={a} onDecide={decide} />
                </td>
                <td>
                  {a.eye.letBack === null ? null : (
                    <AskButton
                      kind="quiet"
                      label={say('Remove')}
                      name={say('Take {text} off', { text: a.tag.text })}
                      ask={say('Take {text} off the list?', { text: a.tag.text })}
                      onConfirm={() => choosing.change({ letBack: [{ animalId: idOf(a), reason: '' }] })}
                    />
                  )}
                </td>
              </tr>
            ))}
            {view.failed.map((a) => (
              <tr key={idOf(a)} data-struck>
                <td>
                  <Tag tag={a.tag} />
                </td>
                <td data-struck>{EYE_WORDS[a.eye.state]}</td>
                <td>{a.eye.failed.map(gradeText).join('; ')}</td>
                <td>
                  <ChoiceCell row={a} onDecide={decide} />
                </td>
                <td>
                  <Button
                    kind="quiet"
                    aria-label={say('Let {text} back', { text: a.tag.text })}
                    onPress={() => setLettingBack(a)}
                  >
                    {say('Let back…')}
                  </Button>
                </td>
              </tr>
            ))}
            {view.notRanked.map((a) => (
              <tr key={idOf(a)}>
                <td>
                  <Tag tag={a.tag} />
                </td>
                <td>{say('too early')}</td>
                <td colSpan={3}>
                  <Small>{youngText(a)}</Small>
                </td>
              </tr>
            ))}
          </tbody>
        </DenseTable>
      </Frame>
      <LetBackSheet
        animal={lettingBack}
        onClose={() => setLettingBack(undefined)}
        onLetBack={(reason) => {
          if (lettingBack) choosing.change({ letBack: [{ animalId: idOf(lettingBack), reason }] });
          setLettingBack(undefined);
        }}
      />
    </Beside>
  );
}

/** A failed standard with its day and scorer: `Mouth, 3 Nov, Ayla`. */
const gradeText = ({ name, grade, on, by }: GradeView): string =>
  `${name}${typeof grade === 'number' ? ` ${say('{grade} of 5', { grade })}` : ''}, ${shortDate(on)}, ${by}`;

function foundText({ eye }: SetAnimal): string {
  const points = eye.graded.filter((g) => typeof g.grade === 'number').map((g) => `${g.name} ${g.grade}`);
  const missing = eye.state === 'in-part' ? [say('still to look at: {list}', { list: eye.missing.join(', ') })] : [];
  return [...points, ...missing].join('; ');
}

function youngText({ ageDays }: SetAnimal): string {
  if (ageDays !== null && ageDays < JUDGED_FROM_DAYS)
    return say('{ageDays} {ageDays, plural, one {day} other {days}} old. Nobody is judged before {days} days.', {
      ageDays,
      days: JUDGED_FROM_DAYS,
    });
  return say('No weight from 21 days of age on, and not both parents known. Weigh it to have it ranked.');
}
