import type { GradeView, SetAnimal } from '@yaylak/contract';
import { JUDGED_FROM_DAYS, type EyeState } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { EYE_WORDS } from '../../words/choosing';
import { countText, shortDate } from '../../words/format';
import type { StepProps } from './Chooser';
import { ChoiceCell } from './ChoiceCell';
import { DecisionMarks } from './DecisionMarks';
import { idOf } from './decisions';
import { LetBackSheet } from './LetBackSheet';
import { Beside, DenseTable, Frame } from '../../parts/Beside';
import { Strictness } from './Strictness';
import { useDecide } from './useDecide';

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
        name: `Looking over ${words}`,
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
              'All have been looked over.'
            ) : (
              <>
                {countText(todo.length, 'animal has', 'animals have')} not been looked over against all standards. Look
                before you study figures: one that fails leaves the list.
              </>
            )}
          </p>
          {todo.length > 0 ? (
            <Button kind="main" onPress={lookOver}>
              Look over {todo.length} at the race
            </Button>
          ) : null}
        </Row>
      </Panel>
      <Frame>
        <DenseTable aria-label="By eye">
          <thead>
            <tr>
              <th>Animal</th>
              <th>By eye</th>
              <th>What was found</th>
              <th>Choice</th>
              <th aria-label="Let back" />
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
                      {a.eye.failed.map(gradeText).join('; ')}. Let back: {a.eye.letBack}
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
                      label="Remove"
                      name={`Take ${a.tag.text} off`}
                      ask={`Take ${a.tag.text} off the list?`}
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
                  <Button kind="quiet" aria-label={`Let ${a.tag.text} back`} onPress={() => setLettingBack(a)}>
                    Let back…
                  </Button>
                </td>
              </tr>
            ))}
            {view.notRanked.map((a) => (
              <tr key={idOf(a)}>
                <td>
                  <Tag tag={a.tag} />
                </td>
                <td>too early</td>
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
  `${name}${typeof grade === 'number' ? ` ${grade} of 5` : ''}, ${shortDate(on)}, ${by}`;

function foundText({ eye }: SetAnimal): string {
  const points = eye.graded.filter((g) => typeof g.grade === 'number').map((g) => `${g.name} ${g.grade}`);
  const missing = eye.state === 'in-part' ? [`still to look at: ${eye.missing.join(', ')}`] : [];
  return [...points, ...missing].join('; ');
}

function youngText({ ageDays }: SetAnimal): string {
  if (ageDays !== null && ageDays < JUDGED_FROM_DAYS)
    return `${countText(ageDays, 'day', 'days')} old. Nobody is judged before ${JUDGED_FROM_DAYS} days.`;
  return 'No weight from 21 days of age on, and not both parents known. Weigh it to have it ranked.';
}
