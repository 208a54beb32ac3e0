import { useQuery } from '@tanstack/react-query';
import type { PedigreeView, TagView } from '@yaylak/contract';
import { GENE_RESULTS, type GeneResult } from '@yaylak/core';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';

interface Props {
  readonly tag: TagView;
  readonly view: PedigreeView;
  readonly onClose: () => void;
}

/** None of those the species was tested for before. */
const ANOTHER = '';

const GENE_RESULT_WORDS: Readonly<Record<GeneResult, string>> = {
  free: 'free',
  carrier: 'carrier',
  affected: 'affected',
  unaffected: 'not affected',
};

/** What a laboratory said of a recessive disorder. */
export function GeneTestSheet({ tag, view, onClose }: Props) {
  const write = useWrite();
  const { data: holding } = useQuery(holdingQuery);
  const [chosen, setChosen] = useState(view.genes[0] ?? ANOTHER);
  const [typed, setTyped] = useState('');
  const gene = chosen === ANOTHER ? typed : chosen;
  const [result, setResult] = useState<GeneResult>('free');
  const [laboratory, setLaboratory] = useState('');
  const [typedOn, setOn] = useState<string>();
  const [problem, setProblem] = useState<string>();
  // The holding may be read after the sheet is opened: today is filled in whenever it comes, until a day is typed.
  const on = typedOn ?? holding?.today ?? '';
  const submit = async (): Promise<void> => {
    if (gene.trim() === '') return setProblem('Disorder: type which one was tested.');
    if (on === '') return setProblem('On: give the day it was tested.');
    const refused = await write(
      [
        {
          type: 'gene-test',
          animalId: tag.animalId,
          on,
          gene: gene.trim(),
          result,
          ...(laboratory.trim() === '' ? {} : { laboratory: laboratory.trim() }),
        },
      ],
      `Wrote down the test of ${tag.text}`,
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={`Gene test of ${tag.name ?? tag.text}`} isOpen onClose={onClose}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        {view.genes.length > 0 ? (
          <Choice
            label="Disorder"
            value={chosen}
            options={[...view.genes.map((g): [string, string] => [g, g]), [ANOTHER, 'another']]}
            onChange={setChosen}
          />
        ) : null}
        {chosen === ANOTHER ? <Field label="Name of the disorder" value={typed} onChange={setTyped} autoFocus /> : null}
        <Choice
          label="Result"
          value={result}
          options={GENE_RESULTS.map((r) => [r, GENE_RESULT_WORDS[r]])}
          onChange={setResult}
        />
      </Row>
      <Row $gap={3}>
        <Field label="Laboratory" value={laboratory} onChange={setLaboratory} />
        <Field label="On" type="date" value={on} onChange={setOn} />
      </Row>
      <Small>
        Its forebears and young are told from it what they may carry. Free, carrier of one copy, or affected; “not
        affected” where only that is known, such as of a grown healthy animal.
      </Small>
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          Write it down
        </Button>
      </Row>
    </Sheet>
  );
}
