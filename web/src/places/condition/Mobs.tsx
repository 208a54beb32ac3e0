import type { ConditionAnimal } from '@yaylak/contract';
import { MOBS, type Mob } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { colour, fonts, space } from '../../theme/tokens';
import { MOB_WORDS, scoreText } from '../../words/condition';

import { say } from '@yaylak/contract';

interface Props {
  readonly animals: readonly ConditionAnimal[];
  readonly on: string;
}

const WHAT: Readonly<Record<Mob, string>> = {
  thin: say('feed up'),
  fit: say('hold'),
  fat: say('no flushing, more walking'),
};

/** The feed mobs: how many in each, who changed, and who does not stand where the score says. */
export function Mobs({ animals, on }: Props) {
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  const changed = animals.filter((a) => a.mob !== null && a.mobBefore !== null && a.mob !== a.mobBefore);
  const elsewhere = animals.filter((a) => a.mob !== a.suggestedMob);
  const put = async (): Promise<void> => {
    const refused = await write(
      elsewhere.map((a) => ({
        type: 'mob',
        animalId: a.tag.animalId,
        on,
        mob: a.suggestedMob,
        suggested: a.suggestedMob,
      })),
      say('Put {n} {n, plural, one {animal} other {animals}} to the mob the score says', { n: elsewhere.length }),
    );
    setProblem(refused.join(' ') || undefined);
  };
  return (
    <Panel>
      <h2>{say('Feed mobs')}</h2>
      <Three>
        {MOBS.map((mob) => (
          <div key={mob} data-mob={mob}>
            <span>
              {MOB_WORDS[mob]}: {WHAT[mob]}
            </span>
            <b>{animals.filter((a) => a.mob === mob).length}</b>
          </div>
        ))}
        {animals.some((a) => a.mob === null) ? (
          <div>
            <span>{say('not put yet')}</span>
            <b>{animals.filter((a) => a.mob === null).length}</b>
          </div>
        ) : null}
      </Three>
      {changed.length > 0 ? (
        <>
          <Small>{say('Changed at the last sorting ({n})', { n: changed.length })}</Small>
          <Row>
            {changed.slice(0, 24).map((a) => (
              <Row key={a.tag.animalId} $gap={1}>
                <Tag tag={a.tag} />
                <span>
                  {a.mobBefore ? MOB_WORDS[a.mobBefore] : ''} → {a.mob ? MOB_WORDS[a.mob] : ''}
                </span>
              </Row>
            ))}
          </Row>
        </>
      ) : null}
      {elsewhere.length > 0 ? (
        <>
          <Small style={{ marginTop: 8 }}>{say('Not where the score says ({n})', { n: elsewhere.length })}</Small>
          <Row>
            {elsewhere.slice(0, 24).map((a) => (
              <Row key={a.tag.animalId} $gap={1}>
                <Tag tag={a.tag} />
                <span>
                  {scoreText(a.last.score)}: {MOB_WORDS[a.suggestedMob]}
                  {a.mob ? say(', is with the {mob}', { mob: MOB_WORDS[a.mob] }) : ''}
                </span>
              </Row>
            ))}
            <Button onPress={() => void put()}>{say('Put {n} where the score says', { n: elsewhere.length })}</Button>
          </Row>
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

const Three = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  margin: ${space(2)} 0;
  div {
    flex: 1 1 150px;
    padding: ${space(2)} ${space(3)};
    border: 1px solid ${colour('line')};
    border-left: 5px solid ${colour('lineStrong')};
    border-radius: 8px;
  }
  div[data-mob='thin'] {
    border-left-color: ${colour('madder')};
  }
  div[data-mob='fit'] {
    border-left-color: ${colour('moss')};
  }
  div[data-mob='fat'] {
    border-left-color: ${colour('plum')};
  }
  b {
    display: block;
    font: 700 26px ${fonts.heading};
  }
`;
