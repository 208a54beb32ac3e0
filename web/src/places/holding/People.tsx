import { useQuery, useQueryClient } from '@tanstack/react-query';
import { say, type HouseholdView, type PeopleView, type PersonView } from '@yaylak/contract';
import { useState } from 'react';
import { householdQuery, peopleQuery } from '../../api/queries';
import { Beside } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { ROLE_WORDS } from '../../words/writer';
import { ListWithButtons } from './ListWithButtons';
import { OwnAccount } from './OwnAccount';
import { AddPersonSheet, PersonSheet } from './PersonSheet';

/** Who of the household writes in the book, and who may what. */
export function People() {
  const { data, error, refetch } = useQuery(peopleQuery);
  const { data: house } = useQuery(householdQuery);
  const client = useQueryClient();
  const show = (view: PeopleView): void => {
    client.setQueryData(peopleQuery.queryKey, view);
    // The first one is logged in from now on: the name that stands under what is written is theirs.
    if (!data?.isAsked) void client.invalidateQueries();
  };
  if (!data || !house) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={4} />;
  return (
    <Beside aside={<WhoMay />}>
      {data.isAsked ? <Those people={data} onShown={show} /> : <None house={house} onShown={show} />}
    </Beside>
  );
}

function None({ house, onShown }: { readonly house: HouseholdView; readonly onShown: (view: PeopleView) => void }) {
  const [isAdding, setAdding] = useState(false);
  const canAdd = house.isHere && house.door !== null;
  return (
    <Panel>
      <Stack>
        <h2>{say('Nobody has to log in')}</h2>
        <p>
          {say(
            'Everybody writes under the name that stands in The holding. Once the first person is added, everybody logs in, on this computer too, and each entry bears the name of who wrote it.',
          )}
        </p>
        {canAdd ? (
          <div>
            <Button kind="main" onPress={() => setAdding(true)}>
              {say('Add the first person')}
            </Button>
          </div>
        ) : (
          <Small>
            {house.isHere
              ? say('People are for a book that is open to the house: start Yaylak with npm start -- --home.')
              : say('The first person is added on the computer with the book.')}
          </Small>
        )}
      </Stack>
      {isAdding ? <AddPersonSheet isFirst onDone={onShown} onClose={() => setAdding(false)} /> : null}
    </Panel>
  );
}

function Those({
  people: { me, people },
  onShown,
}: {
  readonly people: PeopleView;
  readonly onShown: (view: PeopleView) => void;
}) {
  const [isAdding, setAdding] = useState(false);
  const [wanted, setWanted] = useState<PersonView>();
  return (
    <>
      {me ? <OwnAccount me={me} onShown={onShown} /> : null}
      {me?.role === 'owner' ? (
        <Panel>
          <Row style={{ justifyContent: 'space-between' }}>
            <h2>{say('The household')}</h2>
            <Button kind="main" onPress={() => setAdding(true)}>
              {say('Add somebody')}
            </Button>
          </Row>
          <ListWithButtons>
            <thead>
              <tr>
                <th>{say('Name')}</th>
                <th>{say('Role')}</th>
                <th aria-label={say('Change')} />
              </tr>
            </thead>
            <tbody>
              {people.map((person) => (
                <tr key={person.id}>
                  <td>{person.name}</td>
                  <td data-under={say('Role')}>{ROLE_WORDS[person.role]}</td>
                  <td>
                    <Button
                      kind="quiet"
                      aria-label={say('Change {name}', { name: person.name })}
                      onPress={() => setWanted(person)}
                    >
                      {say('Change')}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </ListWithButtons>
          {isAdding ? <AddPersonSheet onDone={onShown} onClose={() => setAdding(false)} /> : null}
          {wanted ? <PersonSheet person={wanted} onDone={onShown} onClose={() => setWanted(undefined)} /> : null}
        </Panel>
      ) : null}
    </>
  );
}

function WhoMay() {
  return (
    <Panel>
      <h2>{say('Who may what')}</h2>
      <Stack>
        <Small>
          <b>{say('Owner')}</b>{' '}
          {say('Everything: also people, devices, putting a copy back, and bringing a whole book in.')}
        </Small>
        <Small>
          <b>{say('Keeper')}</b>{' '}
          {say(
            'Everything with the animals: also choosing, selling, settings, files, and striking out what others wrote.',
          )}
        </Small>
        <Small>
          <b>{say('Helper')}</b>{' '}
          {say(
            'Records what is done and found, and strikes out their own. Does not choose, sell, or change settings and records.',
          )}
        </Small>
        <Small>
          <b>{say('Viewer')}</b>{' '}
          {say('A vet, or a buyer: looks at the animals, and at nothing of what is sold. Writes nothing.')}
        </Small>
      </Stack>
    </Panel>
  );
}
