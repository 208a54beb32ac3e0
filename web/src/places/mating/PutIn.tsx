import { MARK_COLOURS, StayEntry, type MaleToMateView, type MatingView } from '@yaylak/contract';
import { useWatch } from 'react-hook-form';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Small } from '../../parts/Panel';
import { countText } from '../../words/format';

type Colour = (typeof MARK_COLOURS)[number];

interface Typed {
  readonly on: string;
  readonly groupId: string;
  readonly colour: Colour | '';
  readonly isTeaser: boolean;
  readonly reason: string;
}

interface Props {
  readonly male: MaleToMateView;
  readonly view: MatingView;
  readonly onDone: () => void;
}

/** A male is put in with a group; what stands against it is asked a reason for. */
export function PutIn({ male, view, onDone }: Props) {
  const { tag } = male;
  const name = tag.name ?? tag.text;
  const asked = useEntryForm<Typed>({
    of: () => StayEntry,
    start: { on: view.on, groupId: view.groups[0]?.id ?? '', colour: '', isTeaser: false, reason: '' },
    read: ({ on, groupId, colour, isTeaser, reason }) => ({
      type: 'stay',
      animalId: tag.animalId,
      on,
      groupId,
      ...(colour === '' ? {} : { colour }),
      ...(isTeaser ? { isTeaser } : {}),
      ...(reason.trim() === '' || isTeaser ? {} : { reason: reason.trim() }),
    }),
    words: { on: 'Give the day he goes in.', groupId: 'Choose the group.' },
  });
  const [groupId, isTeaser] = useWatch({ control: asked.form.control, name: ['groupId', 'isTeaser'] });
  const groupOf = (id: string) => view.groups.find((g) => g.id === id);
  const group = groupOf(groupId);
  return (
    <EntryForm
      {...asked}
      done={(typed) => `Put ${name} in with ${groupOf(typed.groupId)?.name ?? 'them'}`}
      onDone={onDone}
      submit="Put him in"
      against={isTeaser ? null : <FormField name="reason" label="Reason for going ahead" />}
    >
      <FormField name="on" label="On" type="date" />
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <FormChoice
          name="groupId"
          label="With"
          options={view.groups.map((g) => [g.id, `${g.name}, ${countText(g.females, 'female', 'females')}`] as const)}
        />
        <FormChoice
          name="colour"
          label="Raddle or harness"
          options={[['', 'none'], ...MARK_COLOURS.map((c) => [c, c] as const)]}
        />
      </Row>
      <FormTick name="isTeaser" label="a teaser: finds heats, sires nothing" />
      {group && !isTeaser && group.females > male.capacity ? (
        <p role="status">
          {group.name} has {group.females}, and he should have {male.capacity} at the most. Put a second one in, or part
          the group.
        </p>
      ) : null}
      {male.notWith > 0 && !isTeaser ? (
        <Small>He is not to be put with {male.notWith} of the females here: see his pedigree, or Pairing.</Small>
      ) : null}
    </EntryForm>
  );
}
