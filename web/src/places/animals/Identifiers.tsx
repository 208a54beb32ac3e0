import type { AnimalView } from '@yaylak/contract';
import { IDENTIFIER_KINDS, spacedDigits, TAG_COLOURS, type IdentifierKind, type TagColour } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { fullDate } from '../../words/format';
import { Problem } from './SelectionBar';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

/** What it wears and wore; fit one, or write one down as lost. */
export function Identifiers({ view, today }: Props) {
  const [isAdding, setAdding] = useState(false);
  const [kind, setKind] = useState<IdentifierKind>('visual');
  const [text, setText] = useState('');
  const [colour, setColour] = useState<TagColour>('yellow');
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  const undo = useUndo();
  const { animalId } = view.row.tag;
  const fit = async (): Promise<void> => {
    const refused = await write(
      [{ type: 'identifier', animalId, on: today, kind, text: text.trim(), ...(kind === 'visual' ? { colour } : {}) }],
      `Fitted ${text.trim()}`,
    );
    setProblem(refused.join(' ') || undefined);
    if (refused.length > 0) return;
    setAdding(false);
    setText('');
  };
  const lose = async (identifierId: string, words: string): Promise<void> => {
    const refused = await write(
      [{ type: 'identifier-end', animalId, on: today, identifierId, how: 'lost' }],
      `Lost: ${words}`,
    );
    if (refused.length > 0) undo.say(refused.join(' '));
  };
  return (
    <Panel>
      <h2>Identifiers</h2>
      {view.identifiers.length === 0 ? <p>None. Two are advised from birth.</p> : null}
      {view.identifiers.map((i) => {
        const words = `${i.colour ?? ''} ${i.kind === 'electronic' ? spacedDigits(i.text) : i.text}`.trim();
        return (
          <Row key={i.entryId} style={{ justifyContent: 'space-between', marginTop: 6, flexWrap: 'nowrap' }}>
            <span>
              {i.ended ? <s>{words}</s> : words}
              <Small>
                {i.kind}
                {i.ear ? `, ${i.ear} ear` : ''},{' '}
                {i.ended
                  ? `${i.ended.how} ${fullDate(i.ended.on)}${i.ended.reason ? `: ${i.ended.reason}` : ''}`
                  : `since ${fullDate(i.fittedOn)}`}
              </Small>
            </span>
            {i.ended || i.kind === 'name' ? null : (
              <Button kind="quiet" onPress={() => void lose(i.entryId, words)} aria-label={`Lost: ${words}`}>
                Lost
              </Button>
            )}
          </Row>
        );
      })}
      {isAdding ? (
        <form
          style={{ display: 'flex', flexDirection: 'column', gap: 8, marginTop: 8 }}
          onSubmit={(e) => {
            e.preventDefault();
            void fit();
          }}
        >
          <Row>
            <Choice label="Kind" value={kind} options={IDENTIFIER_KINDS.map((k) => [k, k])} onChange={setKind} />
            {kind === 'visual' ? (
              <Choice label="Colour" value={colour} options={TAG_COLOURS.map((c) => [c, c])} onChange={setColour} />
            ) : null}
          </Row>
          <Field label="Number or name" value={text} onChange={setText} error={undefined} />
          {problem ? <Problem role="alert">{problem}</Problem> : null}
          <Button type="submit" kind="main" isDisabled={text.trim() === ''}>
            Fit it
          </Button>
        </form>
      ) : (
        <Button style={{ marginTop: 8 }} onPress={() => setAdding(true)}>
          Fit another
        </Button>
      )}
    </Panel>
  );
}
