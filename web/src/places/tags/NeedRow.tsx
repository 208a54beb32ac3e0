import { useQuery } from '@tanstack/react-query';
import type { TagNeedView } from '@yaylak/contract';
import { spacedDigits, TAG_COLOURS, type TagColour } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { colour, space } from '../../theme/tokens';
import { countText, fullDate } from '../../words/format';

type Fitted = 'visual' | 'electronic' | 'tattoo';

/** One that wants a tag: why, and the field to fit it, with the number it lost already typed. */
export function NeedRow({ need }: { readonly need: TagNeedView }) {
  const lost = need.lost.at(-1);
  const [isFitting, setFitting] = useState(false);
  const [kind, setKind] = useState<Fitted>(lost && lost.kind !== 'name' ? lost.kind : kindMissing(need));
  const [text, setText] = useState(lost?.kind === 'visual' ? lost.text : '');
  const [ring, setRing] = useState<TagColour>(lost?.colour ?? need.tag.colour ?? 'yellow');
  const [problem, setProblem] = useState<string>();
  const { data: holding } = useQuery(holdingQuery);
  const write = useWrite();
  const fit = async (): Promise<void> => {
    const { animalId } = need.tag;
    const on = holding?.today ?? '';
    const worn = kind === 'visual' ? { colour: ring } : {};
    const refused = await write(
      [{ type: 'identifier', animalId, on, kind, text: text.trim(), ...worn }],
      `Fitted ${text.trim()}`,
    );
    setProblem(refused.join(' ') || undefined);
    if (refused.length === 0) setFitting(false);
  };
  return (
    <Line>
      <Row style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
        <Row $gap={3}>
          <Tag tag={need.tag} />
          <span>
            {needWords(need)}
            <Small>
              {need.groupName ?? 'no group'}
              {need.worn.length > 0 ? `, wears ${need.worn.map(shortWords).join(' and ')}` : ''}
            </Small>
          </span>
        </Row>
        {isFitting ? null : (
          <Button aria-label={`Fit one to ${need.tag.text}`} onPress={() => setFitting(true)}>
            Fit
          </Button>
        )}
      </Row>
      {isFitting ? (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void fit();
          }}
        >
          <Row $gap={3} style={{ alignItems: 'flex-end', marginTop: 8 }}>
            <Choice
              label="Kind"
              value={kind}
              options={[
                ['visual', 'visual'],
                ['electronic', 'electronic'],
                ['tattoo', 'tattoo'],
              ]}
              onChange={setKind}
            />
            <Field label="Number" value={text} onChange={setText} autoFocus />
            {kind === 'visual' ? (
              <Choice label="Colour" value={ring} options={TAG_COLOURS.map((c) => [c, c])} onChange={setRing} />
            ) : null}
            <Button kind="main" type="submit" isDisabled={text.trim() === ''}>
              Fit it
            </Button>
            <Button onPress={() => setFitting(false)}>Not now</Button>
          </Row>
          {problem ? <Against role="alert">{problem}</Against> : null}
        </form>
      ) : null}
    </Line>
  );
}

/** What it does not wear yet: the visual one first, for it is read across a pen. */
const kindMissing = ({ worn }: TagNeedView): Fitted =>
  worn.some((w) => w.kind === 'visual') ? 'electronic' : 'visual';

const shortWords = ({ kind, text, colour: ring }: TagNeedView['worn'][number]): string =>
  kind === 'electronic' ? `electronic ${spacedDigits(text)}` : `${ring ? `${ring} ` : ''}${text}`;

function needWords({ need, lost, worn, advised }: TagNeedView): string {
  const last = lost.at(-1);
  if (last) return `${last.how === 'lost' ? 'Lost' : 'Taken out'}: ${shortWords(last)}, ${fullDate(last.on)}`;
  if (need === 'none-worn') return 'Wears no tag';
  return `Wears ${worn.length} of ${countText(advised, 'tag', 'tags')} it should`;
}

const Line = styled.li`
  padding: ${space(3)} ${space(4)};
  & + & {
    border-top: 1px solid ${colour('line')};
  }
`;
const Against = styled.p`
  margin-top: ${space(2)};
  color: ${colour('madder')};
  font-weight: 600;
`;
