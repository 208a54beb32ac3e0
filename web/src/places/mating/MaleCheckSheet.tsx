import type { MaleToMateView } from '@yaylak/contract';
import { MALE_PARTS, PART_GRADES, readTypedNumber, type MalePart, type PartGrade } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { space } from '../../theme/tokens';
import { GRADE_WORDS, PART_WORDS } from '../../words/mating';
import { say } from '@yaylak/contract';

interface Props {
  readonly male: Pick<MaleToMateView, 'tag'>;
  readonly on: string;
  readonly onClose: () => void;
}

/** A male looked at before the season, part by part. */
export function MaleCheckSheet({ male: { tag }, on: today, onClose }: Props) {
  const write = useWrite();
  const [grades, setGrades] = useState<Partial<Record<MalePart, PartGrade>>>({});
  const [girth, setGirth] = useState('');
  const [on, setOn] = useState(today);
  const [problem, setProblem] = useState<string>();
  const name = tag.name ?? tag.text;
  const submit = async (): Promise<void> => {
    if (Object.keys(grades).length === 0) return setProblem(say('Give at least one part a grade.'));
    const typed = readTypedNumber(girth);
    if (typed.kind === 'refused' && typed.reason !== 'empty')
      return setProblem(say('Around the testicles: “{girth}” is not a number. Write it as 33.5.', { girth }));
    const refused = await write(
      [
        {
          type: 'male-check',
          animalId: tag.animalId,
          on,
          grades,
          ...(typed.kind === 'number' ? { girthCm: typed.value } : {}),
        },
      ],
      say('Recorded the check of {name}', { name }),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={say('Check {name} before mating', { name })} isOpen onClose={onClose}>
      {MALE_PARTS.map((part) => (
        <Part key={part} role="group" aria-label={PART_WORDS[part]}>
          <span>{PART_WORDS[part]}</span>
          {PART_GRADES.map((grade) => (
            <Chip
              key={grade}
              type="button"
              aria-pressed={grades[part] === grade}
              onClick={() => setGrades({ ...grades, [part]: grade })}
            >
              {GRADE_WORDS[grade]}
            </Chip>
          ))}
        </Part>
      ))}
      <Row $gap={3}>
        <Field label={say('Around the testicles, cm')} inputMode="decimal" value={girth} onChange={setGirth} />
        <Field label={say('On')} type="date" value={on} onChange={setOn} />
      </Row>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          {say('Save')}
        </Button>
      </Row>
    </Sheet>
  );
}

const Part = styled.div`
  display: grid;
  grid-template-columns: 130px repeat(3, auto);
  justify-content: start;
  align-items: center;
  gap: ${space(2)};
  button {
    min-height: 44px;
  }
`;
