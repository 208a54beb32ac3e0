import { useQuery } from '@tanstack/react-query';
import { resolveIdentifier } from '@yaylak/core';
import { useState } from 'react';
import { rosterQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { TreatSheet } from '../../shared/remedies/TreatSheet';
import { say } from '@yaylak/contract';

/** Asks whom to treat, a whole group or single numbers, and then with what. */
export function TreatWhom() {
  const { data: roster } = useQuery(rosterQuery);
  const [isOpen, setOpen] = useState(false);
  const [groupId, setGroupId] = useState('');
  const [numbers, setNumbers] = useState('');
  const [problem, setProblem] = useState<string>();
  const [chosen, setChosen] = useState<readonly string[]>();
  const animals = roster?.animals ?? [];
  const groups = [...new Map(animals.flatMap((a) => (a.groupId ? [[a.groupId, a.groupName ?? '']] : [])))] as [
    string,
    string,
  ][];
  const go = (): void => {
    const ids = new Set(groupId === '' ? [] : animals.filter((a) => a.groupId === groupId).map((a) => a.tag.animalId));
    const index = animals.flatMap((a) =>
      [...a.worn.map(([text]) => text), a.tag.text].map((text) => ({
        animalId: a.tag.animalId,
        text,
        isPresent: true,
        isWorn: true,
      })),
    );
    for (const number of numbers.split(/[,;]/).filter((n) => n.trim() !== '')) {
      const found = resolveIdentifier(index, number);
      if (found.kind !== 'one')
        return setProblem(
          found.kind === 'none'
            ? say('No animal here is tagged “{trim}”. Type the whole number.', { trim: number.trim() })
            : say('Several animals are tagged “{trim}”. Treat it from its own page.', { trim: number.trim() }),
        );
      ids.add(found.animalId);
    }
    if (ids.size === 0) return setProblem(say('Choose a group, or type at least one number.'));
    setProblem(undefined);
    setOpen(false);
    setChosen([...ids]);
  };
  return (
    <>
      <Button kind="main" onPress={() => setOpen(true)}>
        {say('Treat')}
      </Button>
      <Sheet isForLooking title={say('Treat whom?')} isOpen={isOpen} onClose={() => setOpen(false)}>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            go();
          }}
        >
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Choice
              label={say('A whole group')}
              value={groupId}
              options={[['', say('no group')], ...groups.sort((a, b) => a[1].localeCompare(b[1]))]}
              onChange={setGroupId}
            />
            <Field label={say('Or numbers, with commas between')} value={numbers} onChange={setNumbers} />
            <Button kind="main" type="submit">
              {say('Continue')}
            </Button>
          </Row>
          {problem ? <p role="alert">{problem}</p> : null}
        </form>
      </Sheet>
      {chosen ? <TreatSheet animalIds={chosen} onClose={() => setChosen(undefined)} /> : null}
    </>
  );
}
