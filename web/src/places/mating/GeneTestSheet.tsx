import { useQuery } from '@tanstack/react-query';
import { GeneTestEntry, type PedigreeView, type TagView, say } from '@yaylak/contract';
import { GENE_RESULTS, type GeneResult } from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { holdingQuery } from '../../api/queries';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';

interface Props {
  readonly tag: TagView;
  readonly view: PedigreeView;
  readonly onClose: () => void;
}

/** None of those the species was tested for before. */
const ANOTHER = '';

const GENE_RESULT_WORDS: Readonly<Record<GeneResult, string>> = {
  free: say('free'),
  carrier: say('carrier'),
  affected: say('affected'),
  unaffected: say('not affected'),
};

interface Typed {
  readonly chosen: string;
  readonly gene: string;
  readonly result: GeneResult;
  readonly laboratory: string;
  readonly on: string;
}

/** What a laboratory said of a recessive disorder; opened once the day is known. */
export function GeneTestSheet(props: Props) {
  const { data: holding } = useQuery(holdingQuery);
  return holding ? <GeneTestForm {...props} today={holding.today} /> : null;
}

function GeneTestForm({ tag, view, onClose, today }: Props & { readonly today: string }) {
  const asked = useEntryForm<Typed>({
    of: () => GeneTestEntry,
    start: { chosen: view.genes[0] ?? ANOTHER, gene: '', result: 'free', laboratory: '', on: today },
    read: ({ chosen, gene, result, laboratory, on }) => ({
      type: 'gene-test',
      animalId: tag.animalId,
      on,
      gene: (chosen === ANOTHER ? gene : chosen).trim(),
      result,
      ...(laboratory.trim() === '' ? {} : { laboratory: laboratory.trim() }),
    }),
    words: {
      gene: say('Type which disorder was tested, in up to 40 letters.'),
      on: say('Give the day it was tested.'),
    },
  });
  const chosen = useWatch({ control: asked.form.control, name: 'chosen' });
  return (
    <Sheet title={say('Gene test of {n}', { n: tag.name ?? tag.text })} isOpen onClose={onClose}>
      <EntryForm {...asked} done={() => say('Recorded the test of {text}', { text: tag.text })} onDone={onClose}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          {view.genes.length > 0 ? (
            <FormChoice
              name="chosen"
              label={say('Disorder')}
              options={[...view.genes.map((g) => [g, g] as const), [ANOTHER, 'another']]}
            />
          ) : null}
          {chosen === ANOTHER ? <FormField name="gene" label={say('Name of the disorder')} autoFocus /> : null}
          <FormChoice
            name="result"
            label={say('Result')}
            options={GENE_RESULTS.map((r) => [r, GENE_RESULT_WORDS[r]] as const)}
          />
        </Row>
        <Row $gap={3}>
          <FormField name="laboratory" label={say('Laboratory')} />
          <FormField name="on" label={say('On')} type="date" />
        </Row>
        <Small>
          {say(
            'Its forebears and young are told from it what they may carry. Free, carrier of one copy, or affected; “not affected” where only that is known, such as of a grown healthy animal.',
          )}
        </Small>
      </EntryForm>
    </Sheet>
  );
}
