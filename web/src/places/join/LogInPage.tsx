import { useQuery } from '@tanstack/react-query';
import { LogIn, say, SwitchHands, type MeView, type PeopleView, type PersonView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { OutsideError } from '../../api/client';
import { peopleQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { against } from '../../parts/form/against';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { LinkButton } from '../../parts/LinkButton';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { useWindowTitle } from '../../parts/useWindowTitle';
import { ROLE_WORDS } from '../../words/writer';
import { Narrow } from './Narrow';
import { useHands } from './useHands';

/** Where somebody logs in on this device, or the hands on it change. */
export function LogInPage() {
  useWindowTitle(say('Log in'));
  const { data, error, refetch } = useQuery(peopleQuery);
  return (
    <Narrow>
      <h1>{data?.me ? say('Who works here') : say('Log in')}</h1>
      {data ? (
        <Inside people={data} />
      ) : error ? (
        <Failed error={error} {...(error instanceof OutsideError ? {} : { onRetry: () => void refetch() })} />
      ) : (
        <Loading rows={3} />
      )}
    </Narrow>
  );
}

function Inside({ people: { isAsked, me, people } }: { readonly people: PeopleView }) {
  const [chosen, setChosen] = useState<PersonView>();
  const others = people.filter((p) => p.isByPin && p.id !== me?.id);
  if (!isAsked)
    return (
      <Panel>
        <Stack>
          <p>{say('Nobody has to log in to this book. Everybody writes under the name that stands in Holding.')}</p>
          <div>
            <LinkButton as={Link} to="/">
              {say('Open the book')}
            </LinkButton>
          </div>
        </Stack>
      </Panel>
    );
  return (
    <>
      {me ? <Me me={me} /> : null}
      {others.length > 0 ? (
        <Panel>
          <Stack>
            <h2>{say('Change hands by PIN')}</h2>
            <Row>
              {others.map((p) => (
                <Button key={p.id} aria-pressed={p.id === chosen?.id} onPress={() => setChosen(p)}>
                  {p.name}
                </Button>
              ))}
            </Row>
            {chosen ? <ByPin key={chosen.id} person={chosen} /> : null}
          </Stack>
        </Panel>
      ) : null}
      <ByPassword isOther={me !== null} />
    </>
  );
}

function Me({ me: { name, role } }: { readonly me: MeView }) {
  const { logOut } = useHands();
  const [problem, setProblem] = useState<string>();
  return (
    <Panel>
      <Stack>
        <p>
          <b>{name}</b>, {ROLE_WORDS[role]}. {say('The name stands under everything that is written here.')}
        </p>
        {problem ? <p role="alert">{problem}</p> : null}
        <Row>
          <LinkButton as={Link} to="/">
            {say('Open the book')}
          </LinkButton>
          <LinkButton as={Link} to="/holding/people">
            {say('Password and PIN')}
          </LinkButton>
          <Button kind="quiet" onPress={() => void logOut().catch((e: Error) => setProblem(e.message))}>
            {say('Log out')}
          </Button>
        </Row>
        <Small>
          {say(
            'Logging out takes what was read off this device. What was written and is not in the book yet stays, and goes when somebody logs in.',
          )}
        </Small>
      </Stack>
    </Panel>
  );
}

function ByPin({ person: { id, name } }: { readonly person: PersonView }) {
  const { switchTo } = useHands();
  const form = useTypedForm<{ readonly pin: string }>({
    start: { pin: '' },
    made: ({ pin }) => [{ shape: SwitchHands, value: { id, pin } }],
    words: { pin: say('A PIN has four to eight digits.') },
  });
  return (
    <SendForm
      form={form}
      send={({ pin }) => against(switchTo(id, pin))}
      onDone={() => undefined}
      submit={say('Go on as {name}', { name })}
    >
      <FormField
        name="pin"
        label={say('PIN of {name}', { name })}
        type="password"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
      />
    </SendForm>
  );
}

function ByPassword({ isOther }: { readonly isOther: boolean }) {
  const { logIn } = useHands();
  const form = useTypedForm<LogIn>({
    start: { name: '', password: '' },
    made: (typed) => [{ shape: LogIn, value: typed }],
    words: { name: say('Type your name as it stands in the list of people.') },
  });
  return (
    <Panel>
      <Stack>
        {isOther ? <h2>{say('Somebody else')}</h2> : null}
        <SendForm
          form={form}
          send={({ name, password }) => against(logIn(name, password))}
          onDone={() => undefined}
          submit={say('Log in')}
        >
          <FormField name="name" label={say('Name')} autoComplete="username" />
          <FormField name="password" label={say('Password')} type="password" autoComplete="current-password" />
        </SendForm>
        <Small>
          {say(
            'Forgotten? An owner sets a new one under Holding, People. The owner’s own is set anew on the computer with the book: npm run password.',
          )}
        </Small>
      </Stack>
    </Panel>
  );
}
