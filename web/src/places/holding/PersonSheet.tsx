import {
  AddPerson,
  ChangePerson,
  LEAST_PASSWORD,
  ROLES,
  say,
  type PeopleView,
  type PersonView,
  type Role,
} from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { AskButton } from '../../parts/AskButton';
import { against } from '../../parts/form/against';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { newId } from '../../words/ids';
import { ROLE_WORDS } from '../../words/writer';

interface Props {
  readonly onDone: (view: PeopleView) => void;
  readonly onClose: () => void;
}

const ROLE_OPTIONS = ROLES.map((role) => [role, ROLE_WORDS[role]] as const);
const TOO_SHORT = say('A password has {least} characters at least: three or four words are easily kept in mind.', {
  least: LEAST_PASSWORD,
});

/** Sends a change of who there is. @returns what speaks against it, as a form wants it */
const sent = (work: Promise<PeopleView>, { onDone, onClose }: Props): Promise<readonly string[]> =>
  against(
    work.then((view) => {
      onDone(view);
      onClose();
    }),
  );

/** One more of the household; the first is an owner. */
export function AddPersonSheet({ isFirst = false, ...props }: Props & { readonly isFirst?: boolean }) {
  const [id] = useState(newId);
  const form = useTypedForm<Omit<AddPerson, 'id'>>({
    start: { name: '', role: isFirst ? 'owner' : 'helper', password: '' },
    made: (typed) => [{ shape: AddPerson, value: { id, ...typed } }],
    words: { name: say('Type the name that is to stand under what they write.'), password: TOO_SHORT },
  });
  return (
    <Sheet title={isFirst ? say('The first person') : say('Add somebody')} isOpen onClose={props.onClose} isForLooking>
      <Stack>
        {isFirst ? (
          <p>
            {say(
              'The first is an owner, and adds the others. From then on everybody logs in. Devices that are let in stay so; what waits on them is sent once somebody logs in there.',
            )}
          </p>
        ) : null}
        <SendForm
          form={form}
          send={(typed) =>
            sent(ask<PeopleView>('/api/household/people', { method: 'POST', body: { id, ...typed } }), props)
          }
          onDone={() => undefined}
          submit={say('Add')}
        >
          <FormField name="name" label={say('Name')} autoComplete="off" hint={say('It stays under what they write.')} />
          {isFirst ? null : <FormChoice name="role" label={say('Role')} options={ROLE_OPTIONS} />}
          <FormField
            name="password"
            label={say('Password')}
            type="password"
            autoComplete="new-password"
            hint={say('They can change it themselves.')}
          />
        </SendForm>
      </Stack>
    </Sheet>
  );
}

/** Another role for somebody, a new password, or the door. */
export function PersonSheet({ person: { id, name, role }, ...props }: Props & { readonly person: PersonView }) {
  const [problem, setProblem] = useState<string>();
  const form = useTypedForm<{ readonly role: Role; readonly password: string }>({
    start: { role, password: '' },
    made: (typed) => [{ shape: ChangePerson, value: changed(typed) }],
    words: { password: TOO_SHORT },
  });
  const changed = (typed: { readonly role: Role; readonly password: string }): ChangePerson => ({
    ...(typed.role === role ? {} : { role: typed.role }),
    ...(typed.password === '' ? {} : { password: typed.password }),
  });
  const remove = async (): Promise<void> => {
    const [against] = await sent(ask<PeopleView>(`/api/household/people/${id}`, { method: 'DELETE' }), props);
    setProblem(against);
  };
  return (
    <Sheet title={name} isOpen onClose={props.onClose} isForLooking>
      <Stack>
        <SendForm
          form={form}
          send={(typed) =>
            sent(ask<PeopleView>(`/api/household/people/${id}`, { method: 'PUT', body: changed(typed) }), props)
          }
          onDone={() => undefined}
          submit={say('Save')}
          more={
            <AskButton
              kind="quiet"
              label={say('Let in no more')}
              ask={say('Let {name} in no more?', { name })}
              onConfirm={() => void remove()}
            />
          }
        >
          <FormChoice name="role" label={say('Role')} options={ROLE_OPTIONS} />
          <FormField
            name="password"
            label={say('New password')}
            type="password"
            autoComplete="new-password"
            hint={say('Left empty the one they have stays. A new one ends their log-ins and their PIN everywhere.')}
          />
        </SendForm>
        {problem ? <p role="alert">{problem}</p> : null}
        <Small>{say('What {name} wrote stays in the book, under that name.', { name })}</Small>
      </Stack>
    </Sheet>
  );
}
