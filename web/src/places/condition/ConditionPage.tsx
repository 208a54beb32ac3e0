import { useQuery } from '@tanstack/react-query';
import {
  stageWords,
  usualScoring,
  type ConditionQuery,
  type ConditionView,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { CONDITION_STAGES, headWanted, SPECIES, type ConditionStage, type Species } from '@yaylak/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { conditionQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { TagRow } from '../../parts/TagRow';
import { useFirst } from '../../parts/useFirst';
import { useAddress } from '../../parts/useInAddress';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useNewKey } from '../../parts/useWindowKey';
import { fullDate, shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { Mobs } from './Mobs';
import { MustGain } from './MustGain';
import { NoResponse } from './NoResponse';
import { Rounds } from './Rounds';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

const MOST_TAGS = 12;

const SCORE = 'score-these';

/** Are they fit for what comes: the last round against the aim, who must gain, and who does not answer to feed. */
export function ConditionPage() {
  const first = useFirstSpecies();
  const speciesOptions = useSpeciesOptions();
  const [search, set] = useAddress();
  const species = SPECIES.find((s) => s === search.get('species')) ?? first;
  const query: ConditionQuery = {
    species,
    ...maybe('groupId', search.get('groupId')),
    ...maybe(
      'stage',
      CONDITION_STAGES.find((s) => s === search.get('stage')),
    ),
    ...maybe('by', search.get('by')),
  };
  const { data, error, refetch } = useQuery({ ...conditionQuery(query), placeholderData: (before) => before });
  const [problem, setProblem] = useState<string>();
  const startJob = useStartJob();
  const score = async (): Promise<void> => {
    if (!data) return;
    const who = [...data.animals.map((a) => a.tag.animalId), ...data.notScored.map((t) => t.animalId)];
    setProblem(
      await startJob({
        name: say('{n}, score {stage}', {
          n: data.group?.name ?? SPECIES_WORDS[species].name,
          stage: stageWords(data.stage, species),
        }),
        stations: ['score'],
        settings: { score: usualScoring(data.stage) },
        gates: [],
        animalIds: [...new Set(who)],
      }),
    );
  };
  // A job is begun by its own button: a letter only leads there.
  useNewKey(() => document.getElementById(SCORE)?.focus());
  if (!data)
    return (
      <Page title={say('Condition')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const [round] = data.rounds;
  return (
    <Page
      title={question(data)}
      lead={answer(data)}
      actions={
        <>
          <LinkButton as={Link} to="/condition/scorers">
            {say('Scorers')}
          </LinkButton>
          <LinkButton as={Link} to="/condition/practice">
            {say('Practice corner')}
          </LinkButton>
          <Button id={SCORE} kind="main" isDisabled={data.females === 0} onPress={() => void score()}>
            {say('Score {count}', { count: countText(data.females, ...SPECIES_WORDS[species].grown.female) })}
          </Button>
        </>
      }
      aside={<Aside data={data} />}
    >
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label={say('Species')}
          value={species}
          options={speciesOptions}
          onChange={(s: Species) => set({ species: s, groupId: '', stage: '', on: '' })}
        />
        <Choice
          label={say('Group')}
          value={query.groupId ?? ''}
          options={[
            ['', say('all grown females')],
            ...data.groups.map((g) => [g.id, `${g.name} (${g.females})`] as const),
          ]}
          onChange={(groupId) => set({ groupId })}
        />
        <Choice
          label={say('Aim')}
          value={data.stage}
          options={CONDITION_STAGES.map((s) => [s, stageWords(s, species)])}
          onChange={(stage: ConditionStage) => set({ stage, by: '' })}
        />
        <Field label={say('Wanted by')} type="date" value={data.by} onChange={(by) => set({ by, stage: data.stage })} />
        <Small>
          {data.byPlan
            ? say('from the plan {byPlan}', { byPlan: data.byPlan })
            : say('no plan gives a date for it; set your own')}
        </Small>
      </Row>
      {problem ? <p role="alert">{problem}</p> : null}
      {round ? (
        <>
          <Rounds rounds={data.rounds} stage={stageWords(data.stage, species)} shareWanted={data.shareWanted} />
          <Mobs animals={data.animals} on={data.on} />
          <MustGain animals={data.animals} by={data.by} on={data.on} />
          <NoResponse rows={data.noResponse} on={data.on} />
        </>
      ) : (
        <Empty
          title={say('Nobody has been scored yet')}
          action={<LeadTo to="/race" words={say('Score them at the race')} />}
        >
          <Said
            text={
              'Score them by hand at the race: it takes five seconds each. How each score feels stands in the <0>practice corner</0>.'
            }
            parts={{ 0: <Link to="/condition/practice" /> }}
          />
        </Empty>
      )}
    </Page>
  );
}

const maybe = <K extends string, V>(key: K, value: V | null | undefined): Partial<Record<K, V>> =>
  value === null || value === undefined || value === '' ? {} : ({ [key]: value } as Record<K, V>);

function question({ species, stage, by }: ConditionView): string {
  const what = { weaning: 'weaning', mating: 'mating', carrying: 'mid-pregnancy', birth: SPECIES_WORDS[species].birth };
  return say('Are the {value} fit for {value2} on {date}?', {
    value: SPECIES_WORDS[species].grown.female[1],
    value2: what[stage],
    date: shortDate(by),
  });
}

/** How many are at their aim, of how many wanted. */
function answer({ rounds, shareWanted }: ConditionView): string {
  const [round] = rounds;
  if (!round) return say('Not scored yet.');
  const wanted = headWanted(shareWanted, round.count);
  const share = Math.round((100 * round.atAim) / round.count);
  const short = wanted - round.atAim;
  return say('{atAim} of {count} ({share}\u00a0%) were at their aim or over it on {date}; {value}', {
    atAim: round.atAim,
    count: round.count,
    share,
    date: fullDate(round.to),
    value:
      short > 0
        ? say('{short} more are needed for {n}\u00a0%.', { short, n: Math.round(shareWanted * 100) })
        : say('that is enough.'),
  });
}

function Aside({ data }: { readonly data: ConditionView }) {
  const low = data.animals.filter((a) => a.last.score < data.alarmUnder);
  return (
    <>
      {low.length > 0 ? (
        <NotePanel $tone="madder">
          <h2>{say('Under {alarmUnder}', { alarmUnder: data.alarmUnder })}</h2>
          <p>{say('Too thin to carry or milk without harm. Feed apart now, and have her looked at.')}</p>
          <Row style={{ marginTop: 8 }}>
            {low.map((a) => (
              <Tag key={a.tag.animalId} tag={a.tag} />
            ))}
          </Row>
        </NotePanel>
      ) : null}
      <Alarms alarms={data.alarms} />
      {data.rounds.length > 0 && data.notScored.length > 0 ? (
        <Panel>
          <h2>{say('Not in the last round ({n})', { n: data.notScored.length })}</h2>
          <TagRow tags={data.notScored} first={MOST_TAGS} />
        </Panel>
      ) : null}
      <Panel>
        <h2>{say('Aims')}</h2>
        <Small>
          <Said
            text={
              'Scores from 1 to 5, by hand. More is wanted of heavy milkers and of those that reared three; how much, and where thin and fat begin, stands per species under <0>Holding</0>. When to score stands under <1>Year plan</1>.'
            }
            parts={{ 0: <Link to="/holding" />, 1: <Link to="/year" /> }}
          />
        </Small>
      </Panel>
    </>
  );
}

function Alarms({ alarms }: Pick<ConditionView, 'alarms'>) {
  const { shown, more } = useFirst(alarms, 8);
  if (alarms.length === 0) return null;
  return (
    <Panel>
      <h2>{say('Weight off its usual')}</h2>
      {shown.map((a) => (
        <div key={a.tag.animalId} style={{ marginTop: 8 }}>
          <Tag tag={a.tag} />
          <Small>{a.message}</Small>
        </div>
      ))}
      {more}
    </Panel>
  );
}
