import { MARK_COLOURS, type MaleToMateView, type MatingView } from '@yaylak/contract';
import { useState } from 'react';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tick } from '../../parts/Tick';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';

interface Props {
  readonly male: MaleToMateView;
  readonly view: MatingView;
  readonly onClose: () => void;
}

type Colour = (typeof MARK_COLOURS)[number];

/** A male is put in with a group, his raddle changed, or he is taken out. */
export function StaySheet({ male, view, onClose }: Props) {
  const write = useWrite();
  const { tag } = male;
  const [groupId, setGroupId] = useState(view.groups[0]?.id ?? '');
  const [colour, setColour] = useState<Colour | ''>('');
  const [isTeaser, setTeaser] = useState(false);
  const [on, setOn] = useState(view.on);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const name = tag.name ?? tag.text;
  const group = view.groups.find((g) => g.id === groupId);
  const keep = async (draft: EntryDraft, done: string): Promise<void> => {
    const refused = await write([draft], done);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  const base = { animalId: tag.animalId, on };
  const colours = MARK_COLOURS.map((c) => [c, c] as const);
  return (
    <Sheet title={male.stays.length > 0 ? `${name} and his group` : `Put ${name} in`} isOpen onClose={onClose}>
      <Field label="On" type="date" value={on} onChange={setOn} />
      {male.stays.map((s) => (
        <Row key={s.stayId} $gap={3} style={{ alignItems: 'flex-end' }}>
          <span>
            {s.groupName}, {countText(s.females, 'female', 'females')}
          </span>
          <Choice label="Raddle" value={colour} options={[['', 'choose'], ...colours]} onChange={setColour} />
          <Button
            isDisabled={colour === ''}
            onPress={() =>
              void keep(
                { type: 'harness', ...base, stayId: s.stayId, colour: colour as Colour },
                `${name} wears ${colour} now`,
              )
            }
          >
            Change the raddle
          </Button>
          <Button
            onPress={() =>
              void keep({ type: 'stay-end', ...base, stayId: s.stayId }, `Took ${name} out of ${s.groupName}`)
            }
          >
            Take him out
          </Button>
        </Row>
      ))}
      {male.stays.length === 0 ? (
        <>
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Choice
              label="With"
              value={groupId}
              options={view.groups.map(
                (g) => [g.id, `${g.name}, ${countText(g.females, 'female', 'females')}`] as const,
              )}
              onChange={setGroupId}
            />
            <Choice
              label="Raddle or harness"
              value={colour}
              options={[['', 'none'], ...colours]}
              onChange={setColour}
            />
          </Row>
          <Tick label="a teaser: finds heats, sires nothing" isSelected={isTeaser} onChange={setTeaser} />
          {group && !isTeaser && group.females > male.capacity ? (
            <p role="status">
              {group.name} has {group.females}, and he should have {male.capacity} at the most. Put a second one in, or
              part the group.
            </p>
          ) : null}
          {male.notWith > 0 && !isTeaser ? (
            <Small>He is not to be put with {male.notWith} of the females here: see his pedigree, or Pairing.</Small>
          ) : null}
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      {problem && male.stays.length === 0 && !isTeaser ? (
        <Field label="Reason for going ahead" value={reason} onChange={setReason} />
      ) : null}
      {male.stays.length === 0 ? (
        <Row>
          <Button
            kind="main"
            isDisabled={groupId === ''}
            onPress={() =>
              void keep(
                {
                  type: 'stay',
                  ...base,
                  groupId,
                  ...(colour === '' ? {} : { colour }),
                  ...(isTeaser ? { isTeaser } : {}),
                  ...(reason.trim() === '' || isTeaser ? {} : { reason: reason.trim() }),
                },
                `Put ${name} in with ${group?.name ?? 'them'}`,
              )
            }
          >
            Put him in
          </Button>
        </Row>
      ) : null}
      <Small>Change the colour with each cycle, light before dark: who is marked twice came back.</Small>
    </Sheet>
  );
}
