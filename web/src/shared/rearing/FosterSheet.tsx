import { useQuery } from '@tanstack/react-query';
import type { TagView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useState } from 'react';
import { birthsQuery, damQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { FindOne } from '../../parts/FindOne';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { ChooseYoung, firstOf, type YoungToChoose } from './ChooseYoung';
import { say, SPECIES_WORDS } from '@yaylak/contract';

interface Props {
  /** With whom they are now. */
  readonly dam: TagView;
  readonly species: Species;
  readonly young: readonly YoungToChoose[];
  readonly today: string;
  readonly onClose: () => void;
}

const BY_TAG = say('by tag');
const BY_HAND = say('by hand');

/** Puts young under another dam, or takes them to be reared by hand. */
export function FosterSheet({ dam, species, young, today, onClose }: Props) {
  const write = useWrite();
  const { data } = useQuery(birthsQuery(species));
  const [chosen, setChosen] = useState(() => firstOf(young));
  const [to, setTo] = useState('');
  const [found, setFound] = useState<string>();
  const [on, setOn] = useState(today);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  // One that died or left rears nobody, whatever she bore.
  const others = (data?.recent ?? []).filter(
    (b) => b.tag.animalId !== dam.animalId && b.species === species && b.goneOn === null,
  );
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const submit = async (): Promise<void> => {
    const damId = to === BY_TAG ? found : to;
    if (chosen.length === 0) return setProblem(say('Which: choose at least one.'));
    if (!damId) return setProblem(say('To whom: choose the dam, or by hand.'));
    const who =
      to === BY_HAND
        ? say('to be reared by hand')
        : say('to {n}', { n: others.find((b) => b.tag.animalId === damId)?.tag.text ?? say('her new dam') });
    const refused = await write(
      chosen.map((animalId) => ({
        type: 'fostering',
        animalId,
        on,
        ...(to === BY_HAND ? {} : { damId }),
        ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      })),
      say('Put {count} of {n} {who}', { count: countText(chosen.length, one, many), n: dam.name ?? dam.text, who }),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={say('Foster {many} of {n}', { many, n: dam.name ?? dam.text })} isOpen onClose={onClose}>
      <ChooseYoung species={species} young={young} chosen={chosen} onChange={setChosen} />
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label={say('To whom')}
          value={to}
          options={[
            ['', say('choose the dam')],
            ...others.map((b) => [b.tag.animalId, `${b.tag.name ?? b.tag.text}: rears ${b.rears}`] as const),
            [BY_TAG, say('another, by her tag')],
            [BY_HAND, say('by hand, from the bottle')],
          ]}
          onChange={setTo}
        />
        <Field label={say('On')} type="date" value={on} onChange={setOn} />
      </Row>
      {to === BY_TAG ? <FindOne label={say('Tag of the dam')} onChoose={setFound} /> : null}
      {found && to === BY_TAG ? <Chosen id={found} /> : null}
      <Field label={say('Why')} value={reason} onChange={setReason} />
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" onPress={() => void submit()}>
          {say('Save')}
        </Button>
      </Row>
      <Small>
        {say(
          'The dam that bore them stays the dam in the pedigree; who rears them counts for their growth and for her record.',
        )}
      </Small>
    </Sheet>
  );
}

function Chosen({ id }: { readonly id: string }) {
  const { data } = useQuery(damQuery(id, {}));
  return data ? (
    <Row>
      <Tag tag={data.tag} isStatic />
      <Small>{say('rears {rears} now', { rears: data.rears })}</Small>
    </Row>
  ) : null;
}
