import { CAUSE_WORDS, type TagView, say, SPECIES_WORDS } from '@yaylak/contract';
import { DEATH_CAUSES, type DeathCause, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { ChooseYoung, firstOf, type YoungToChoose } from './ChooseYoung';

interface Props {
  readonly dam: TagView;
  readonly species: Species;
  readonly young: readonly YoungToChoose[];
  readonly today: string;
  readonly onClose: () => void;
}

/** Young that died, and of what. */
export function LossSheet({ dam, species, young, today, onClose }: Props) {
  const write = useWrite();
  const [chosen, setChosen] = useState(() => firstOf(young));
  const [cause, setCause] = useState<DeathCause>('unknown');
  const [on, setOn] = useState(today);
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const submit = async (): Promise<void> => {
    if (chosen.length === 0) return setProblem(say('Which: choose at least one.'));
    const reason = words.trim();
    const refused = await write(
      chosen.map((animalId) => ({
        type: 'departure',
        animalId,
        on,
        how: 'died',
        cause,
        ...(reason === '' ? {} : { reason }),
      })),
      say('{count} of {n} died', { count: countText(chosen.length, one, many), n: dam.name ?? dam.text }),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={say('Deaths in the litter of {n}', { n: dam.name ?? dam.text })} isOpen onClose={onClose}>
      <ChooseYoung species={species} young={young} chosen={chosen} onChange={setChosen} />
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label={say('Of what')}
          value={cause}
          options={DEATH_CAUSES.map((c) => [c, CAUSE_WORDS[c]])}
          onChange={setCause}
        />
        <Field label={say('On')} type="date" value={on} onChange={setOn} />
      </Row>
      <Field label={say('What was seen')} value={words} onChange={setWords} />
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          {say('Save')}
        </Button>
      </Row>
      <Small>
        {say(
          'Several in a few days, or with the same signs: the vet. Gloves on, and the body disposed of as the law requires.',
        )}
      </Small>
    </Sheet>
  );
}
