import { useQuery } from '@tanstack/react-query';
import { capital, fieldWord, listed, type TagNeedView, say } from '@yaylak/contract';
import { dayOf, spacedDigits } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { FitForm } from '../../shared/tags/FitForm';
import { colour, space } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';

/** One that wants a tag: why, and the form to fit it, with the number it lost already typed. */
export function NeedRow({ need }: { readonly need: TagNeedView }) {
  const lost = need.lost.at(-1);
  const [isFitting, setFitting] = useState(false);
  const { data: holding } = useQuery(holdingQuery);
  return (
    <Line>
      <Row style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
        <Row $gap={3}>
          <Tag tag={need.tag} />
          <span>
            {needWords(need)}
            <Small>
              {[...whichOf(need, holding?.today), need.groupName ?? say('no group')].join(', ')}
              {need.worn.length > 0 ? say(', tagged {listed}', { listed: listed(need.worn.map(shortWords)) }) : ''}
            </Small>
          </span>
        </Row>
        {isFitting ? null : (
          <Button aria-label={say('Fit one to {text}', { text: need.tag.text })} onPress={() => setFitting(true)}>
            {say('Fit')}
          </Button>
        )}
      </Row>
      {isFitting ? (
        <FitForm
          animal={need}
          today={holding?.today ?? ''}
          start={{
            kind: lost && lost.kind !== 'name' ? lost.kind : kindMissing(need),
            ...(lost?.kind === 'visual' ? { text: lost.text } : {}),
            ...(lost?.colour ? { colour: lost.colour } : {}),
          }}
          onDone={() => setFitting(false)}
        />
      ) : null}
    </Line>
  );
}

/** Of one without a number what tells it from the others: what it is, its birth and its dam. */
function whichOf({ need, species, sex, bornOn, dam }: TagNeedView, today: string | undefined): readonly string[] {
  if (need !== 'none-worn') return [];
  const age = bornOn === null || today === undefined ? undefined : dayOf(today) - dayOf(bornOn);
  return [
    capital(fieldWord({ species, sex }, age)),
    ...(bornOn === null ? [] : [say('born {date}', { date: shortDate(bornOn) })]),
    ...(dam === null ? [] : [say('of {dam}', { dam })]),
  ];
}

/** What it does not wear yet: the visual one first, for it is read across a pen. */
const kindMissing = ({ worn }: TagNeedView): 'visual' | 'electronic' =>
  worn.some((w) => w.kind === 'visual') ? 'electronic' : 'visual';

const shortWords = ({ kind, text, colour: ring }: TagNeedView['worn'][number]): string =>
  kind === 'electronic'
    ? say('electronic {spacedDigits}', { spacedDigits: spacedDigits(text) })
    : `${ring ? `${ring} ` : ''}${text}`;

function needWords({ need, lost, worn, advised }: TagNeedView): string {
  const last = lost.at(-1);
  if (last) return `${last.how === 'lost' ? say('Lost') : say('Taken out')}: ${shortWords(last)}, ${fullDate(last.on)}`;
  if (need === 'none-worn') return say('Has no tag');
  return say('Has {n} of {advised} {advised, plural, one {tag} other {tags}} it should', { n: worn.length, advised });
}

const Line = styled.li`
  padding: ${space(3)} ${space(4)};
  & + & {
    border-top: 1px solid ${colour('line')};
  }
`;
