import { useQuery } from '@tanstack/react-query';
import { listed, type FemaleToMateView, type MatingView, say, SPECIES_WORDS } from '@yaylak/contract';
import { useState } from 'react';
import { matingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { useInAddress } from '../../parts/useInAddress';
import { useNewKey } from '../../parts/useWindowKey';
import { dayAndHour } from '../../words/dates';
import { countText } from '../../words/format';
import { useSpeciesOptions } from '../../words/useHolding';
import { HeatSheet } from './HeatSheet';
import { Heats } from './Heats';
import { MatingTabs } from './MatingTabs';
import { NotYet } from './NotYet';
import { Partings } from './Partings';
import { Ready } from './Ready';
import { SchoolChoice } from './SchoolChoice';
import { Served } from './Served';
import { ServeSheet } from './ServeSheet';
import { useMatingScope } from './useMating';

/** Who is on heat and when to serve her, who is served and not back, who may be mated, and who not yet. */
export function MatingPage() {
  const speciesOptions = useSpeciesOptions();
  const { query, setSpecies, setGroup } = useMatingScope();
  const [servedId, serve] = useInAddress('serve');
  const { data, error, refetch } = useQuery({ ...matingQuery(query), placeholderData: (before) => before });
  const [isLooking, setLooking] = useState(false);
  useNewKey(() => setLooking(true));
  if (!data)
    return (
      <Page title={say('Mating')}>{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>
    );
  const female = data.females.find((f) => f.tag.animalId === servedId);
  const hot = new Set(data.heats.map((h) => h.tag.animalId));
  const served = data.females.filter((f) => f.chance !== null);
  const ready = data.females.filter((f) => f.isReady && !hot.has(f.tag.animalId) && !served.includes(f));
  const notYet = data.females.filter((f) => !f.isReady && f.chance === null);
  const onServe = (f: FemaleToMateView): void => serve(f.tag.animalId);
  return (
    <Page
      title={question(data)}
      lead={answer(data, ready.length)}
      actions={
        <>
          <MatingTabs species={data.species} but="" />
          <Button kind="main" onPress={() => setLooking(true)}>
            {say('Record heat check')}
          </Button>
        </>
      }
      aside={<Aside data={data} />}
    >
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice label={say('Species')} value={data.species} options={speciesOptions} onChange={setSpecies} />
        <Choice
          label={say('Group')}
          value={query.groupId ?? ''}
          options={[['', say('all of them')], ...data.groups.map((g) => [g.id, `${g.name} (${g.females})`] as const)]}
          onChange={setGroup}
        />
        <SchoolChoice view={data} />
      </Row>
      <Heats view={data} onServe={(id) => serve(id)} />
      <Served females={served} view={data} onServe={onServe} />
      <Ready females={ready} view={data} onServe={onServe} />
      <NotYet females={notYet} on={data.on} />
      {isLooking ? <HeatSheet view={data} onClose={() => setLooking(false)} /> : null}
      {female ? (
        <ServeSheet
          key={female.tag.animalId}
          female={female}
          heat={data.heats.find((h) => h.tag.animalId === female.tag.animalId)}
          view={data}
          onClose={() => serve(undefined)}
        />
      ) : null}
    </Page>
  );
}

const question = ({ species }: MatingView): string => {
  const { grown, isTakenToMale } = SPECIES_WORDS[species];
  return isTakenToMale
    ? say('Which {value} go to the {value2}?', { value: grown.female[1], value2: grown.male[0] })
    : say('Which {value} are on heat, and when to serve?', { value: grown.female[1] });
};

function answer({ heats, now, species }: MatingView, ready: number): string {
  const today = now.slice(0, 10);
  const open = heats.filter((h) => h.window !== null && h.window.closes >= now && h.services.length === 0);
  const [first] = open;
  const female = SPECIES_WORDS[species].grown.female;
  const free =
    ready === 0
      ? say('no others may be mated today.')
      : say('{count} may be mated.', {
          count: countText(ready, say('more {value}', { value: female[0] }), say('more {value}', { value: female[1] })),
        });
  if (!first?.window) return say('None is waiting to be served; {free}', { free });
  const { bestFrom, bestTo, closes } = first.window;
  const when =
    bestFrom > now
      ? say('best from {dayAndHour}', { dayAndHour: dayAndHour(bestFrom, today) })
      : bestTo >= now
        ? say('best until {dayAndHour}', { dayAndHour: dayAndHour(bestTo, today) })
        : say('over at {dayAndHour}', { dayAndHour: dayAndHour(closes, today) });
  const name = first.tag.name ?? first.tag.text;
  return `${open.length === 1 ? say('Serve {name}', { name }) : say('Serve {name} first of {n}', { name, n: open.length })}: ${when}; ${free}`;
}

function Aside({ data }: { readonly data: MatingView }) {
  const [last] = data.looks;
  const today = data.now.slice(0, 10);
  const hours = last === undefined ? undefined : (Date.parse(`${data.now}Z`) - Date.parse(`${last}Z`)) / 3_600_000;
  return (
    <>
      <Panel>
        <h2>{say('Heat checks')}</h2>
        {data.looks.length === 0 ? (
          <p>{say('None recorded yet. Look twice a day, when they are at rest.')}</p>
        ) : (
          <p>
            {say('Last {listed}.', { listed: listed(data.looks.map((l) => dayAndHour(l, today))) })}
            {hours !== undefined && hours > 14 && data.school !== 'none' ? (
              <b> {say('More than half a day ago.')}</b>
            ) : null}
          </p>
        )}
        <Small>
          {say('Standing counts at once. Where nobody saw it, {value}; how many is set under Holding.', {
            value:
              data.signsNeeded === 1
                ? say('one sign is enough')
                : say('{signsNeeded} signs must agree', { signsNeeded: data.signsNeeded }),
          })}
        </Small>
      </Panel>
      <Partings rows={data.partings} today={data.on} />
      <NotePanel $tone="weld">
        <h2>{say('Safety')}</h2>
        <Small>
          {say(
            'A male in the mating season is not to be trusted: never turn your back on him, keep children out, lead a bull by ring and pole or leave him to those who can. Insemination and hormones are for those trained in them; your vet and the local rules decide.',
          )}
        </Small>
      </NotePanel>
    </>
  );
}
