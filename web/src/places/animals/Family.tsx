import type { AnimalView, TagView } from '@yaylak/contract';
import styled from 'styled-components';
import { FigureTable } from '../../parts/FigureTable';
import { TagRow } from '../../parts/TagRow';
import { Panel, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { figureText, perYearFigures } from '../../words/format';
import { DECISION_WORDS } from '../../words/reasons';
import { say, lower } from '@yaylak/contract';
import { RearedHow } from '../../parts/hows/RearedHow';

interface Props {
  readonly view: AnimalView;
}

/** What a breeding female or male has given. */
export function Given({ view }: Props) {
  const { record, row } = view;
  if (!record) return null;
  return (
    <Panel>
      <h2>{row.sex === 'female' ? say('What she has given') : say('What he has given')}</h2>
      <FigureTable $isSum>
        <tbody>
          <tr>
            <th scope="row">{say('Litters')}</th>
            <td>{record.litters}</td>
          </tr>
          <tr>
            <th scope="row">{say('Born, reared')}</th>
            <td>
              {record.born}, {record.weaned}
            </td>
          </tr>
          <tr>
            <th scope="row">{say('Reared a year')}</th>
            <td>
              {perYearFigures(record)} <RearedHow />
            </td>
          </tr>
          <tr>
            <th scope="row">{say('Over')}</th>
            <td>{say('{figure} years', { figure: figureText(record.years, 1) })}</td>
          </tr>
        </tbody>
      </FigureTable>
    </Panel>
  );
}

/** Three generations up, one down. */
export function Family({ view }: Props) {
  const { row, ancestors, young } = view;
  const one = (label: string, tag: TagView | null) => (
    <div>
      <Small>{label}</Small>
      {tag ? <Tag tag={tag} /> : <span>{say('not known')}</span>}
    </div>
  );
  const here = young.filter((y) => y.isPresent);
  return (
    <Panel>
      <h2>{say('Family')}</h2>
      <Pairs>
        {one(row.donor ? say('Carried by') : say('Dam'), row.dam)}
        {one(say('Sire'), row.sire)}
        {row.donor ? one(say('Embryo of'), row.donor) : null}
        {one(say("Dam's dam"), ancestors.damDam)}
        {one(say("Sire's dam"), ancestors.sireDam)}
        {one(say("Dam's sire"), ancestors.damSire)}
        {one(say("Sire's sire"), ancestors.sireSire)}
      </Pairs>
      {young.length > 0 ? (
        <>
          <Small style={{ marginTop: 12 }}>
            {say('Young still here ({n} of {n2})', { n: here.length, n2: young.length })}
          </Small>
          <TagRow tags={here.map((y) => y.tag)} />
        </>
      ) : null}
    </Panel>
  );
}

export function ChoicesMade({ view }: Props) {
  const choices = view.timeline.flatMap((t) => (t.entry.type === 'choice' && !t.struck ? [t.entry] : []));
  if (choices.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Choices made')}</h2>
      {choices.map((c) => (
        <p key={c.id} style={{ marginTop: 6 }}>
          {fullDate(c.on)} <b>{lower(DECISION_WORDS[c.decision])}</b>
          {c.place
            ? say(', place {place} of {of} {among}', { place: c.place, of: c.of ?? '', among: c.among })
            : `, ${c.among}`}
          {c.suggested && c.suggested !== c.decision
            ? say(', against “{word}”', { word: lower(DECISION_WORDS[c.suggested]) })
            : ''}
          {c.reason ? `: ${c.reason}` : ''}
        </p>
      ))}
    </Panel>
  );
}

const Pairs = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(2)} ${space(3)};
  margin-top: ${space(2)};
`;
