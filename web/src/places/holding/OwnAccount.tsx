import { ChangeOwn, LEAST_PASSWORD, MakeKey, say, type KeyMade, type MeView, type PeopleView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ask } from '../../api/client';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { against } from '../../parts/form/against';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { LinkButton } from '../../parts/LinkButton';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { fullDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { ROLE_WORDS } from '../../words/writer';

interface Props {
  readonly me: MeView;
  readonly onShown: (view: PeopleView) => void;
}

/** One’s own password, PIN and keys. */
export function OwnAccount({ me, onShown }: Props) {
  const [isChanging, setChanging] = useState(false);
  const [isWithKeys, setWithKeys] = useState(false);
  return (
    <Panel>
      <Stack>
        <h2>{say('You')}</h2>
        <p>
          <b>{me.name}</b>, {ROLE_WORDS[me.role]}.{' '}
          {me.hasPin
            ? say('With your PIN you take over on any device on which you have logged in by password before.')
            : say('With a PIN you take over quickly on a tablet that others use too.')}
        </p>
        <Row>
          <Button onPress={() => setChanging(true)}>{say('Password and PIN')}</Button>
          <Button onPress={() => setWithKeys(true)}>{say('Keys for scripts')}</Button>
          <LinkButton as={Link} to="/log-in">
            {say('Somebody else, or log out')}
          </LinkButton>
        </Row>
      </Stack>
      {isChanging ? <OwnSheet me={me} onShown={onShown} onClose={() => setChanging(false)} /> : null}
      {isWithKeys ? <KeysSheet me={me} onShown={onShown} onClose={() => setWithKeys(false)} /> : null}
    </Panel>
  );
}

function OwnSheet({ me, onShown, onClose }: Props & { readonly onClose: () => void }) {
  const undo = useUndo();
  const form = useTypedForm<{ readonly password: string; readonly newPassword: string; readonly pin: string }>({
    start: { password: '', newPassword: '', pin: '' },
    made: (typed) => [{ shape: ChangeOwn, value: changed(typed) }],
    words: {
      newPassword: say('A password has {least} characters at least: three or four words are easily kept in mind.', {
        least: LEAST_PASSWORD,
      }),
      pin: say('A PIN has four to eight digits.'),
    },
    also: ({ newPassword, pin }): Readonly<Record<string, string>> =>
      newPassword === '' && pin === '' ? { pin: say('Type a new PIN, or a new password.') } : {},
  });
  const changed = ({ password, newPassword, pin }: ChangeOwn): ChangeOwn => ({
    password,
    ...(newPassword ? { newPassword } : {}),
    ...(pin ? { pin } : {}),
  });
  return (
    <Sheet title={say('Password and PIN')} isOpen onClose={onClose} isForLooking>
      <SendForm
        form={form}
        send={(typed) =>
          against(ask<PeopleView>('/api/household/own', { method: 'PUT', body: changed(typed) }).then(onShown))
        }
        onDone={() => {
          undo.say(say('Changed.'));
          onClose();
        }}
        submit={say('Save')}
      >
        <FormField
          name="pin"
          label={me.hasPin ? say('Another PIN') : say('PIN')}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          hint={say('Four to eight digits. Five wrong ones, and the password is asked for.')}
        />
        <FormField
          name="newPassword"
          label={say('New password')}
          type="password"
          autoComplete="new-password"
          hint={say('Ends your log-ins on other devices.')}
        />
        <FormField
          name="password"
          label={say('Your password as it is now')}
          type="password"
          autoComplete="current-password"
        />
      </SendForm>
    </Sheet>
  );
}

function KeysSheet({ me: { keys }, onShown, onClose }: Props & { readonly onClose: () => void }) {
  const [made, setMade] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [id, setId] = useState(newId);
  const form = useTypedForm<{ readonly name: string }>({
    start: { name: '' },
    made: ({ name }) => [{ shape: MakeKey, value: { id, name } }],
    words: { name: say('Type what the key is for.') },
  });
  const show = ({ people, key }: KeyMade): void => {
    onShown(people);
    setMade(key);
    setId(newId());
    form.reset();
  };
  const end = async (key: string): Promise<void> => {
    try {
      onShown(await ask<PeopleView>(`/api/household/keys/${key}`, { method: 'DELETE' }));
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  return (
    <Sheet title={say('Keys for scripts')} isOpen onClose={onClose} isForLooking>
      <Stack>
        <p>
          {say(
            'A script of yours sends its key with each request, as Authorization: Bearer and the key. It writes under your name and may what you may, people and keys aside. The page /api/docs lists what can be asked.',
          )}
        </p>
        {made ? (
          <Stack>
            <p role="status">{say('This is the key. It is shown now and never again: copy it.')}</p>
            <Made>{made}</Made>
          </Stack>
        ) : null}
        {keys.length > 0 ? (
          <PlainList>
            {keys.map((key) => (
              <li key={key.id}>
                <Row style={{ justifyContent: 'space-between' }}>
                  <span>
                    {key.name}{' '}
                    <Small as="span">
                      {key.usedOn
                        ? say('made {date}, last used {used}', {
                            date: fullDate(key.madeOn),
                            used: fullDate(key.usedOn),
                          })
                        : say('made {date}, not used yet', { date: fullDate(key.madeOn) })}
                    </Small>
                  </span>
                  <AskButton
                    kind="quiet"
                    label={say('End')}
                    name={say('End the key {name}', { name: key.name })}
                    ask={say('End it for good?')}
                    onConfirm={() => void end(key.id)}
                  />
                </Row>
              </li>
            ))}
          </PlainList>
        ) : null}
        {problem ? <p role="alert">{problem}</p> : null}
        <SendForm
          form={form}
          send={({ name }) =>
            against(ask<KeyMade>('/api/household/keys', { method: 'POST', body: { id, name } }).then(show))
          }
          onDone={() => undefined}
          submit={say('Make a key')}
        >
          <FieldRow>
            <FormField name="name" label={say('What it is for')} placeholder={say('barn scales')} />
          </FieldRow>
        </SendForm>
      </Stack>
    </Sheet>
  );
}

const Made = styled.code`
  overflow-wrap: anywhere;
  user-select: all;
`;
