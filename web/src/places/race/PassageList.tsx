import { ageWords, dayOf, type Age, type Species, type WeightUnit } from '@yaylak/core';
import { memo } from 'react';
import styled from 'styled-components';
import { Panel } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, space } from '../../theme/tokens';
import { MOB_WORDS, scoreText } from '../../words/condition';
import { ageText, bornText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import type { Passage } from './raceLog';
import type { Race } from './useRace';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

const SEEN_SHOWN = 8;
const MISSING_SHOWN = 40;

/** Who came, newest last, and who is not seen yet. */
export const PassageList = memo(function PassageList({ race }: { readonly race: Race }) {
  const unit = useWeightUnit();
  const { passages, listed, animals, on } = race;
  const seen = new Set(passages.map((p) => p.animalId));
  const missing = listed.filter((a) => !seen.has(a.tag.animalId));
  const seenListed = listed.length - missing.length;
  const others = seen.size - seenListed;
  return (
    <Panel style={{ padding: 12 }}>
      <Title>
        <span>{say('Through the race')}</span>
        <b data-testid="seen-count">{say('{seenListed} of {n}', { seenListed, n: listed.length })}</b>
      </Title>
      {others > 0 ? <p>{say('and {others} not on the list', { others })}</p> : null}
      <List>
        {passages.slice(-SEEN_SHOWN).map((p) => {
          const animal = animals.get(p.animalId);
          return (
            <li key={p.writtenAt + p.animalId}>
              {animal ? <Tag tag={animal.tag} isStatic /> : <span>?</span>}
              <span>{readingWords(p, unit, animal?.species)}</span>
              <b data-refused={p.refusedBecause !== undefined || undefined}>
                {p.refusedBecause ? say('needs a look') : (p.gate ?? '')}
              </b>
            </li>
          );
        })}
      </List>
      <Title>
        <span>{say('Not seen yet')}</span>
        <b data-tone={missing.length > 0 || undefined}>{missing.length}</b>
      </Title>
      <List>
        {missing.slice(0, MISSING_SHOWN).map((a) => (
          <li key={a.tag.animalId}>
            <Tag tag={a.tag} isStatic />
            <span>
              {a.bornOn && on !== '' && a.bornOn <= on ? shortAge(ageWords(dayOf(a.bornOn), dayOf(on))) : ''}
              {a.birthType !== null && a.birthType <= 3 ? ` ${bornText(a.species, a.birthType, null)}` : ''}
            </span>
          </li>
        ))}
      </List>
      {missing.length > MISSING_SHOWN ? <p>{say('and {n} more', { n: missing.length - MISSING_SHOWN })}</p> : null}
    </Panel>
  );
});

/** What was read of it on its way: weight, score and mob. */
function readingWords({ kg, entries }: Passage, unit: WeightUnit, species: Species | undefined): string {
  const scores = entries.flatMap((e) => (e.type === 'score' ? [scoreText(e.score)] : []));
  const mob = entries.find((e) => e.type === 'mob');
  const parts = [
    ...(kg === undefined ? [] : [weightText(kg, unit, species)]),
    ...(scores.length > 0 ? [`${scores.join(' / ')}${mob?.type === 'mob' ? ` ${MOB_WORDS[mob.mob]}` : ''}`] : []),
  ];
  return parts.length === 0 ? 'seen' : parts.join(', ');
}

/** Months do not matter once it is years. */
const shortAge = (age: Age): string =>
  age.unit === 'years' ? say('{count} {count, plural, one {year} other {years}}', { count: age.count }) : ageText(age);

const Title = styled.div`
  display: flex;
  justify-content: space-between;
  margin: ${space(1)} 0;
  color: ${colour('inkSoft')};
  b {
    color: ${colour('ink')};
  }
  b[data-tone] {
    color: ${colour('madder')};
  }
`;
const List = styled(PlainList)`
  margin: 0 0 ${space(3)};
  font-size: 13px;
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: ${space(1)};
    min-height: 32px;
  }
  li > span:last-child {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  li > span:not(:last-child) {
    flex: none;
  }
  li > b {
    max-width: 66px;
    text-align: right;
    line-height: 1.1;
    overflow-wrap: anywhere;
  }
  b[data-refused] {
    color: ${colour('madder')};
  }
`;
