import { useQuery, useQueryClient } from '@tanstack/react-query';
import { say, type DeviceView, type HouseholdView } from '@yaylak/contract';
import { useState } from 'react';
import { householdQuery } from '../../api/queries';
import { Beside } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { Panel, Small, Stack } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { fullDate } from '../../words/dates';
import { LetIn } from './LetIn';
import { ListWithButtons } from './ListWithButtons';
import { TurnAwaySheet } from './TurnAwaySheet';

/** While a code is shown: the device that joins by it stands in the list a moment later. */
const LOOK_MS = 3_000;

/** Who of the house is let in to the book, and by what. */
export function Devices() {
  const { data, error, refetch } = useQuery({
    ...householdQuery,
    refetchInterval: (query) => (query.state.data?.code ? LOOK_MS : false),
  });
  const client = useQueryClient();
  const [wanted, setWanted] = useState<DeviceView>();
  const show = (view: HouseholdView): void => {
    client.setQueryData(householdQuery.queryKey, view);
  };
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={4} />;
  if (!data.isHere) return <OnDevice device={data.devices[0]} />;
  return (
    <Beside aside={<WhatFor />}>
      {data.door ? <LetIn door={data.door} code={data.code} onShown={show} /> : <NotOpen />}
      {data.devices.length === 0 ? (
        data.door ? (
          <Empty title={say('Nobody let in yet')}>{say('A device that has joined appears here.')}</Empty>
        ) : null
      ) : (
        <Panel>
          <h2>{say('Devices let in')}</h2>
          <ListWithButtons>
            <thead>
              <tr>
                <th>{say('Device')}</th>
                <th>{say('Since')}</th>
                <th>{say('Last here')}</th>
                <th aria-label={say('Turn away')} />
              </tr>
            </thead>
            <tbody>
              {data.devices.map((device) => (
                <tr key={device.id}>
                  <td>{device.name}</td>
                  <td data-under={say('Since')}>{fullDate(device.joinedOn)}</td>
                  <td data-under={say('Last here')}>{fullDate(device.seenOn)}</td>
                  <td>
                    <Button
                      kind="quiet"
                      aria-label={say('Turn away {name}', { name: device.name })}
                      onPress={() => setWanted(device)}
                    >
                      {say('Turn away')}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </ListWithButtons>
        </Panel>
      )}
      {wanted ? <TurnAwaySheet device={wanted} onDone={show} onClose={() => setWanted(undefined)} /> : null}
    </Beside>
  );
}

function NotOpen() {
  return (
    <Panel>
      <Stack>
        <h2>{say('On this computer only')}</h2>
        <p>
          {say(
            'Yaylak answers this computer only. To let tablets and phones of the house in, stop it and start it with',
          )}
        </p>
        <p>
          <code>{say('npm start -- --home')}</code>
        </p>
        <Small>
          {say(
            'Then a code is shown here for each device. The line between the two is encrypted, which also lets a tablet keep the book for the barn, where there is no network.',
          )}
        </Small>
      </Stack>
    </Panel>
  );
}

function OnDevice({ device }: { readonly device: DeviceView | undefined }) {
  return (
    <Panel>
      <h2>{device?.name ?? say('Not let in')}</h2>
      <p>
        {device
          ? say('Let in since {date}. Others are let in, or turned away, on the computer with the book.', {
              date: fullDate(device.joinedOn),
            })
          : say('Devices are let in on the computer with the book.')}
      </p>
    </Panel>
  );
}

function WhatFor() {
  return (
    <>
      <Panel>
        <h2>{say('Who is let in')}</h2>
        <Small>
          {say(
            'A device that was let in reads and writes the whole book, or, where people log in, what who is logged in may. Show a code to people of the household only, and turn away a device that is lost or sold.',
          )}
        </Small>
      </Panel>
      <Panel>
        <h2>{say('What a device is asked to trust')}</h2>
        <Small>
          {say(
            'This book has an authority of its own, whose certificate a device takes in once. It can vouch for computers within a house and for nothing else, so that it is of no use to anybody outside. Its key stays on this computer, beside the book.',
          )}
        </Small>
      </Panel>
    </>
  );
}
