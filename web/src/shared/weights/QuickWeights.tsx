import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { dayOf, scaleUnit } from '@yaylak/core';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { Wrong } from '../../parts/Wrong';
import { Field } from '../../parts/Field';
import { LineTable } from '../../parts/LineTable';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useUnsaved } from '../../parts/unsaved';
import { useWrite } from '../../parts/useWrite';
import { checkReadingText } from '../../words/doubts';
import { shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { useDoubts } from '../../outbox/useDoubts';
import { quickWeight } from './quickWeights';
import { say, fieldWord } from '@yaylak/contract';

interface Props {
  readonly animals: readonly RosterAnimal[];
  readonly onDone?: () => void;
}

/** Weights of a page of the notebook, one under the other: Enter goes to the next, those left empty are left out. */
export function QuickWeights({ animals, onDone }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const unit = useWeightUnit();
  const write = useWrite();
  const doubts = useDoubts();
  const today = holding?.today ?? '';
  const [on, setOn] = useState(today);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<readonly string[]>([]);
  const table = useRef<HTMLTableElement>(null);
  const filled = animals.filter((a) => (typed[a.tag.animalId] ?? '').trim() !== '');
  const saved = useUnsaved(filled.length > 0);

  const save = async (): Promise<void> => {
    const wrong = filled.flatMap((a) =>
      quickWeight(typed[a.tag.animalId] ?? '', scaleUnit(a.species, unit)).kind === 'kg'
        ? []
        : [
            say('{text}: “{n}” is not a weight. Type what the scale said.', {
              text: a.tag.text,
              n: typed[a.tag.animalId] ?? '',
            }),
          ],
    );
    if (on === '' || on > today) wrong.push(say('Give the day they were weighed, today or earlier.'));
    setProblems(wrong);
    if (wrong.length > 0 || filled.length === 0) return;
    const drafts = filled.flatMap((a) => {
      const read = quickWeight(typed[a.tag.animalId] ?? '', scaleUnit(a.species, unit));
      return read.kind === 'kg'
        ? [{ type: 'weight', animalId: a.tag.animalId, on, kg: read.kg, method: 'scale' } as const]
        : [];
    });
    const questions = (await doubts(drafts)).flatMap((doubt, i) => {
      const draft = drafts[i];
      const animal = filled[i];
      return doubt && draft && animal
        ? [`${animal.tag.text}: ${checkReadingText(draft.kg, doubt, unit, animal.species)}`]
        : [];
    });
    if (questions.join() !== asked.join()) {
      setAsked(questions);
      if (questions.length > 0) return;
    }
    const refused = await write(
      drafts,
      say('Recorded {n} {n, plural, one {weight} other {weights}}', { n: drafts.length }),
    );
    setProblems(refused);
    if (refused.length > 0) return;
    setTyped({});
    setAsked([]);
    saved();
    onDone?.();
  };
  const goOn = (from: HTMLInputElement): void => {
    const fields = [...(table.current?.querySelectorAll('input') ?? [])];
    (fields[fields.indexOf(from) + 1] ?? from).focus();
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Field label={say('Weighed on')} type="date" value={on} onChange={setOn} style={{ maxWidth: 220 }} />
      <Fit>
        <LineTable ref={table} aria-label={say('Weights to type in')}>
          <thead>
            <tr>
              <th>{say('Animal')}</th>
              <th>{say('Last weight')}</th>
              <th>{say('Weight now')}</th>
            </tr>
          </thead>
          <tbody>
            {animals.map((a) => {
              const last = a.weights.at(-1);
              const scale = scaleUnit(a.species, unit);
              return (
                <tr key={a.tag.animalId}>
                  <td>
                    <Row>
                      <Tag tag={a.tag} isStatic />{' '}
                      <Small as="span">
                        {fieldWord(a, a.bornOn === null || today === '' ? undefined : dayOf(today) - dayOf(a.bornOn))}
                      </Small>
                    </Row>
                  </td>
                  <td>{last ? `${weightText(last[1], unit, a.species)}, ${shortDate(last[0])}` : say('none yet')}</td>
                  <td>
                    <Field
                      isLabelHidden
                      label={say('Weight of {text}, {scale}', { text: a.tag.text, scale })}
                      placeholder={scale}
                      inputMode="decimal"
                      value={typed[a.tag.animalId] ?? ''}
                      onChange={(text) => setTyped({ ...typed, [a.tag.animalId]: text })}
                      onKeyDown={(e) => {
                        // Every other key is the sheet's as well: Escape puts it away.
                        if (e.key !== 'Enter' || !(e.target instanceof HTMLInputElement))
                          return e.continuePropagation();
                        e.preventDefault();
                        goOn(e.target);
                      }}
                      style={{ width: 120 }}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </LineTable>
      </Fit>
      {problems.map((problem) => (
        <Wrong key={problem} role="alert">
          {problem}
        </Wrong>
      ))}
      <Asked questions={asked} again={say('Press again if it is so.')} />
      <Button type="submit" kind="main" isDisabled={filled.length === 0}>
        {filled.length === 0
          ? say('Save the weights')
          : say('Save {n} {n, plural, one {weight} other {weights}}', { n: filled.length })}
      </Button>
    </form>
  );
}

const Fit = styled.div`
  overflow-x: auto;
  margin-block: 12px;
`;
