import { MARK_COLOURS, StayEntry, type MaleToMateView, type MatingView, say } from '@yaylak/contract';
import { useWatch } from 'react-hook-form';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Small } from '../../parts/Panel';

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
    words: { on: say('Give the day he goes in.'), groupId: say('Choose the group.') },
  });
  const [groupId, isTeaser] = useWatch({ control: asked.form.control, name: ['groupId', 'isTeaser'] });
  const groupOf = (id: string) => view.groups.find((g) => g.id === id);
  const group = groupOf(groupId);
  return (
    <EntryForm
      {...asked}
      done={(typed) => say('Put {name} in with {n}', { name, n: groupOf(typed.groupId)?.name ?? say('them') })}
      onDone={onDone}
      submit={say('Put him in')}
      against={isTeaser ? null : <FormField name="reason" label={say('Reason for going ahead')} />}
    >
      <FormField name="on" label={say('On')} type="date" />
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <FormChoice
          name="groupId"
          label={say('With')}
          options={view.groups.map(
            (g) =>
              [
                g.id,
                `${g.name}, ${say('{females} {females, plural, one {female} other {females}}', { females: g.females })}`,
              ] as const,
          )}
        />
        <FormChoice
          name="colour"
          label={say('Raddle or harness')}
          options={[['', say('none')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
        />
      </Row>
      <FormTick name="isTeaser" label={say('a teaser: finds heats, sires nothing')} />
      {group && !isTeaser && group.females > male.capacity ? (
        <p role="status">
          {say(
            '{name} has {females}, and he should have {capacity} at the most. Put a second one in, or part the group.',
            { name: group.name, females: group.females, capacity: male.capacity },
          )}
        </p>
      ) : null}
      {male.notWith > 0 && !isTeaser ? (
        <Small>
          {say('He is not to be put with {notWith} of the females here: see his pedigree, or Pairing.', {
            notWith: male.notWith,
          })}
        </Small>
      ) : null}
    </EntryForm>
  );
}
