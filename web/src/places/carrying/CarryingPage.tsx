import { useQuery } from '@tanstack/react-query';
import type { CarryingFemaleView, CarryingView } from '@yaylak/contract';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { carryingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useInAddress } from '../../parts/useInAddress';
import { useNewKey } from '../../parts/useWindowKey';
import { fullDate } from '../../words/dates';
import { useSpeciesOptions } from '../../words/useHolding';
import { BirthsToCome } from './BirthsToCome';
import { FemaleRows } from './FemaleRows';
import { ResultsSheet } from './ResultsSheet';
import { StepsSheet } from './StepsSheet';
import { Testing } from './Testing';
import { TestSheet } from './TestSheet';
import { useCarryingScope } from './useCarrying';
import { WhatNow } from './WhatNow';
import { answerText, inOrder } from './words';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

const InYoungPanel = lazy(async () => ({ default: (await import('./InYoungPanel')).InYoungPanel }));

/** Who carries, how far the season is, who can be tested, and what to do with those that are empty. */
export function CarryingPage() {
  const { query, lostId, setSpecies, set } = useCarryingScope();
  const { data, error, refetch } = useQuery({ ...carryingQuery(query), placeholderData: (before) => before });
  const [open, setOpen] = useState<'results' | 'steps' | CarryingFemaleView>();
  const [chosenId, setChosenId] = useInAddress('asked');
  useNewKey(() => {
    const [first] = data ? inOrder(data.females) : [];
    if (first) setOpen(first);
  });
  if (!data)
    return (
      <Page title={say('Carrying')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const females = inOrder(data.females);
  // Sent here to say that one lost her young.
  const lost = females.find((f) => f.tag.animalId === lostId);
  const questions = females.filter((f) => f.whatNow !== null);
  const chosen =
    questions.find((f) => f.tag.animalId === chosenId) ?? questions.find((f) => !f.decided) ?? questions[0];
  return (
    <Page
      title={say('How many {value} are in young?', { value: SPECIES_WORDS[data.species].grown.female[1] })}
      lead={answerText(data)}
      actions={
        <>
          <Button onPress={() => setOpen('results')}>
            {say('Read in results{value}', {
              value:
                data.tubesOut > 0
                  ? ` (${say('{tubesOut} {tubesOut, plural, one {tube out} other {tubes out}}', { tubesOut: data.tubesOut })})`
                  : '',
            })}
          </Button>
          <LinkButton as={Link} to={`/births/list?species=${data.species}`}>
            {say('Birth list')}
          </LinkButton>
          <LinkButton as={Link} to="/carrying/ageing">
            {say('Ageing accuracy')}
          </LinkButton>
        </>
      }
      aside={
        <>
          {chosen ? (
            <WhatNow key={chosen.tag.animalId} female={chosen} view={data} others={questions} onChoose={setChosenId} />
          ) : null}
          {data.births ? (
            <BirthsToCome births={data.births} species={data.species} onSteps={() => setOpen('steps')} />
          ) : null}
          <Cautions />
        </>
      }
    >
      <Scope data={data} onSpecies={setSpecies} onSet={set} query={query} />
      {data.curve ? (
        <Suspense fallback={<Loading rows={5} />}>
          <InYoungPanel curve={data.curve} today={data.on} species={data.species} />
        </Suspense>
      ) : (
        <Empty
          title={say('Nobody was served yet')}
          action={<LeadTo to={`/mating?species=${data.species}`} words={say('Record a service')} />}
        >
          <Said
            text={
              'Services are recorded under <0>Mating</0>; from then on this page says who carries, and when it can be tested.'
            }
            parts={{ 0: <Link to={`/mating?species=${data.species}`} /> }}
          />
        </Empty>
      )}
      <Testing view={data} />
      {(
        [
          [say('One by one'), females.filter((f) => f.state !== 'not-marked')],
          [say('Ran with a raddled male, no mark'), females.filter((f) => f.state === 'not-marked')],
        ] as const
      ).map(([title, own]) =>
        own.length === 0 ? null : (
          <FemaleRows
            key={title}
            title={title}
            females={own}
            view={data}
            onWrite={setOpen}
            onAsk={(f) => setChosenId(f.tag.animalId)}
          />
        ),
      )}
      {open === 'results' ? <ResultsSheet onClose={() => setOpen(undefined)} /> : null}
      {open === 'steps' ? <StepsSheet species={data.species} onClose={() => setOpen(undefined)} /> : null}
      {lost && open === undefined ? (
        <TestSheet female={lost} species={data.species} today={data.on} of="loss" onClose={() => set('lost', '')} />
      ) : null}
      {typeof open === 'object' ? (
        <TestSheet female={open} species={data.species} today={data.on} onClose={() => setOpen(undefined)} />
      ) : null}
    </Page>
  );
}

interface ScopeProps {
  readonly data: CarryingView;
  readonly query: ReturnType<typeof useCarryingScope>['query'];
  readonly onSpecies: ReturnType<typeof useCarryingScope>['setSpecies'];
  readonly onSet: ReturnType<typeof useCarryingScope>['set'];
}

/** Species, group, male and season. */
function Scope({ data, query, onSpecies, onSet }: ScopeProps) {
  const speciesOptions = useSpeciesOptions();
  return (
    <Row $gap={3} style={{ alignItems: 'flex-end' }}>
      <Choice label={say('Species')} value={data.species} options={speciesOptions} onChange={onSpecies} />
      <Choice
        label={say('Group')}
        value={query.groupId ?? ''}
        options={[['', say('all of them')], ...data.groups.map((g) => [g.id, g.name] as const)]}
        onChange={(id) => onSet('groupId', id)}
      />
      <Choice
        label={say('Served by')}
        value={query.maleId ?? ''}
        options={[['', say('any male')], ...data.males.map((m) => [m.animalId, m.name ?? m.text] as const)]}
        onChange={(id) => onSet('maleId', id)}
      />
      {data.season === null ? null : (
        <Choice
          label={say('Season of mating')}
          value={data.season}
          options={data.seasons.map((s) => [
            s.from,
            say('from {date} ({females})', { date: fullDate(s.from), females: s.females }),
          ])}
          onChange={(from) => onSet('season', from)}
        />
      )}
    </Row>
  );
}

function Cautions() {
  return (
    <NotePanel $tone="weld">
      <h2>{say('Safety')}</h2>
      <Small>
        {say(
          'A new needle and a new tube for each animal, and the law on who may take blood. Feel a rabbit gently and never after day 14. A female that aborted may carry what people catch: gloves, and nobody who is pregnant near her or near births; ask your vet.',
        )}
      </Small>
    </NotePanel>
  );
}
