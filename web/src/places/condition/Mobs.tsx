import type { ConditionAnimal } from '@yaylak/contract';
import type { Mob } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { useWrite } from '../../parts/useWrite';
import { MobBoxes } from '../../shared/condition/MobBoxes';
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

const FIRST = 24;

/** The feed mobs: how many in each, who changed, and who does not stand where the score says. */
export function Mobs({ animals, on }: Props) {
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  const changed = animals.filter((a) => a.mob !== null && a.mobBefore !== null && a.mob !== a.mobBefore);
  const elsewhere = animals.filter((a) => a.mob !== a.suggestedMob);
  const none = animals.filter((a) => a.mob === null).length;
  const firstChanged = useFirst(changed, FIRST);
  const firstElsewhere = useFirst(elsewhere, FIRST);
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
      <MobBoxes
        words={(mob) => `${MOB_WORDS[mob]}: ${WHAT[mob]}`}
        count={(mob) => animals.filter((a) => a.mob === mob).length}
        others={none > 0 ? { words: say('not put yet'), count: none } : undefined}
      />
      {changed.length > 0 ? (
        <>
          <Small>{say('Changed at the last sorting ({n})', { n: changed.length })}</Small>
          <Row>
            {firstChanged.shown.map((a) => (
              <Row key={a.tag.animalId} $gap={1}>
                <Tag tag={a.tag} />
                <span>
                  {a.mobBefore ? MOB_WORDS[a.mobBefore] : ''} → {a.mob ? MOB_WORDS[a.mob] : ''}
                </span>
              </Row>
            ))}
            {firstChanged.more}
          </Row>
        </>
      ) : null}
      {elsewhere.length > 0 ? (
        <>
          <Small style={{ marginTop: 8 }}>{say('Not where the score says ({n})', { n: elsewhere.length })}</Small>
          <Row>
            {firstElsewhere.shown.map((a) => (
              <Row key={a.tag.animalId} $gap={1}>
                <Tag tag={a.tag} />
                <span>
                  {scoreText(a.last.score)}: {MOB_WORDS[a.suggestedMob]}
                  {a.mob ? say(', is with the {mob}', { mob: MOB_WORDS[a.mob] }) : ''}
                </span>
              </Row>
            ))}
            {firstElsewhere.more}
            <Button onPress={() => void put()}>{say('Put {n} where the score says', { n: elsewhere.length })}</Button>
          </Row>
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}
