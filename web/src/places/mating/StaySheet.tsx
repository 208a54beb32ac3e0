import { MARK_COLOURS, type MaleToMateView, type MatingView, say } from '@yaylak/contract';
import { useState } from 'react';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';

import { PutIn } from './PutIn';

interface Props {
  readonly male: MaleToMateView;
  readonly view: MatingView;
  readonly onClose: () => void;
}

type Colour = (typeof MARK_COLOURS)[number];

/** A male is put in with a group, his raddle changed, or he is taken out. */
export function StaySheet({ male, view, onClose }: Props) {
  const name = male.tag.name ?? male.tag.text;
  const isIn = male.stays.length > 0;
  return (
    <Sheet
      title={isIn ? say('{name} and his group', { name }) : say('Put {name} in', { name })}
      isOpen
      onClose={onClose}
    >
      {isIn ? (
        <Running male={male} today={view.on} onDone={onClose} />
      ) : (
        <PutIn male={male} view={view} onDone={onClose} />
      )}
      <Small>{say('Change the colour with each cycle, light before dark: who is marked twice came back.')}</Small>
    </Sheet>
  );
}

interface RunningProps {
  readonly male: MaleToMateView;
  readonly today: string;
  readonly onDone: () => void;
}

/** Where he runs: another raddle, or out. */
function Running({ male: { tag, stays }, today, onDone }: RunningProps) {
  const write = useWrite();
  const [colour, setColour] = useState<Colour | ''>('');
  const [on, setOn] = useState(today);
  const [problem, setProblem] = useState<string>();
  const name = tag.name ?? tag.text;
  const keep = async (draft: EntryDraft, done: string): Promise<void> => {
    const refused = await write([draft], done);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onDone();
  };
  const base = { animalId: tag.animalId, on };
  return (
    <>
      <Field label={say('On')} type="date" value={on} onChange={setOn} />
      {stays.map((s) => (
        <Row key={s.stayId} $gap={3} style={{ alignItems: 'flex-end' }}>
          <span>
            {s.groupName}, {say('{females} {females, plural, one {female} other {females}}', { females: s.females })}
          </span>
          <Choice
            label={say('Raddle')}
            value={colour}
            options={[['', say('choose')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
            onChange={setColour}
          />
          <Button
            isDisabled={colour === ''}
            onPress={() =>
              void keep(
                { type: 'harness', ...base, stayId: s.stayId, colour: colour as Colour },
                say('{name} wears {colour} now', { name, colour }),
              )
            }
          >
            {say('Change the raddle')}
          </Button>
          <Button
            onPress={() =>
              void keep(
                { type: 'stay-end', ...base, stayId: s.stayId },
                say('Took {name} out of {groupName}', { name, groupName: s.groupName }),
              )
            }
          >
            {say('Take him out')}
          </Button>
        </Row>
      ))}
      {problem ? <p role="alert">{problem}</p> : null}
    </>
  );
}
