import { useQuery } from '@tanstack/react-query';
import { say, type HouseholdView } from '@yaylak/contract';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { ask } from '../../api/client';
import { householdQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Panel, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { useWindowTitle } from '../../parts/useWindowTitle';
import { fullDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { Narrow } from './Narrow';

/** Where a device of the house is let in, by the code from the computer's screen. */
export function JoinPage() {
  useWindowTitle(say('Let this device in'));
  const { data, error, refetch } = useQuery(householdQuery);
  return (
    <Narrow>
      <h1>{say('Let this device in')}</h1>
      {data ? (
        <Inside household={data} />
      ) : error ? (
        <Failed error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading rows={3} />
      )}
    </Narrow>
  );
}

function Inside({ household: { isHere, devices } }: { readonly household: HouseholdView }) {
  const [device] = devices;
  if (!isHere && !device) return <JoinForm />;
  return (
    <Panel>
      <Stack>
        <p>
          {isHere || !device
            ? say('This is the computer with the book. Other devices are let in from here.')
            : say('This device is let in as {name} since {date}.', {
                name: device.name,
                date: fullDate(device.joinedOn),
              })}
        </p>
        <div>
          <LinkButton as={Link} to={isHere ? '/holding/devices' : '/'}>
            {isHere ? say('Let a device in') : say('Open the book')}
          </LinkButton>
        </div>
      </Stack>
    </Panel>
  );
}

function JoinForm() {
  // Handed on by the code that was scanned; it stands behind the # and was sent nowhere.
  const [code, setCode] = useState(() => window.location.hash.slice(1, 41));
  const [name, setName] = useState('');
  const [id] = useState(newId);
  const [problem, setProblem] = useState<string>();
  const [isUnderWay, setUnderWay] = useState(false);
  const join = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    setUnderWay(true);
    setProblem(undefined);
    try {
      await ask<HouseholdView>('/api/household/join', { method: 'POST', body: { id, code, name } });
      // Anew from the start: what was asked before was refused, and what waits here is sent.
      window.location.assign('/');
    } catch (e) {
      setProblem((e as Error).message);
      setUnderWay(false);
    }
  };
  return (
    <Panel>
      <form noValidate onSubmit={(e) => void join(e)}>
        <Stack>
          <p>{say('The code is shown on the computer with the book, under Holding, Tablets and phones.')}</p>
          <Field label={say('Code')} value={code} onChange={setCode} autoComplete="off" />
          <Field
            label={say('What this device is called')}
            placeholder={say('Barn tablet')}
            value={name}
            onChange={setName}
          />
          <Small>{say('It appears under that name in the list of devices.')}</Small>
          {problem ? <p role="alert">{problem}</p> : null}
          <div>
            <Button type="submit" kind="main" isDisabled={isUnderWay || code.trim() === '' || name.trim() === ''}>
              {say('Let in')}
            </Button>
          </div>
        </Stack>
      </form>
    </Panel>
  );
}
