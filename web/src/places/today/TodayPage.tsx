import { useQuery } from '@tanstack/react-query';
import type { TodayView } from '@yaylak/contract';
import { Link, useNavigate } from 'react-router';
import { todayQuery } from '../../api/queries';
import { useOutboxState } from '../../outbox/useOutbox';
import { Button } from '../../parts/Button';
import { FigureTable } from '../../parts/FigureTable';
import { Page } from '../../parts/Page';
import { Panel, Small, Soft } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useOpenJobs } from '../../shared/jobs/useJobs';
import { longDate, shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { LookHereFirst } from './LookHereFirst';
import { CopiesItem } from './CopiesItem';
import { LookAtList } from './LookAtList';
import { Heading, Item, Rows } from '../../parts/rows';
import { useSpecies } from '../../words/useHolding';
import { BirthRows } from './BirthRows';
import { DueRows } from './DueRows';
import { FirstSteps } from './FirstSteps';
import { Held } from './Held';
import { MatingRows } from './MatingRows';
import { NotGrowing } from './NotGrowing';
import { SellingAhead } from './SellingAhead';
import { ShouldGo } from './ShouldGo';
import { useWhole } from './useWhole';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { Said } from '../../parts/Said';

/** What is open now, what opens this week, who does not grow, what is unfinished. */
export function TodayPage() {
  const { data, error, refetch } = useQuery(todayQuery);
  if (!data)
    return (
      <Page title={say('Today')}>{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>
    );
  return <Today data={data} />;
}

function Today({ data }: { readonly data: TodayView }) {
  const openJobs = useOpenJobs();
  const kept = useSpecies();
  const { refused } = useOutboxState();
  const navigate = useNavigate();
  const open = data.due.filter((d) => d.isOpen);
  const ahead = data.due.filter((d) => !d.isOpen);
  const notGrowing = useWhole(data, 'notGrowing');
  const withheld = useWhole(data, 'withheld');
  const lookAt = useWhole(data, 'lookAt');
  const hasBook = data.head.some((h) => h.present > 0);
  return (
    <Page
      title={longDate(data.on)}
      lead={say('Type a tag number anywhere to find that animal')}
      aside={
        <>
          <LookHereFirst />
          {hasBook ? <FirstSteps /> : null}
          <NotGrowing {...notGrowing} />
          <ShouldGo rows={data.shouldGo} />
          <SellingAhead />
          <Panel>
            <h2>{say('On the holding')}</h2>
            <FigureTable $isSum>
              <tbody>
                {data.head
                  .filter((h) => kept.includes(h.species))
                  .map((h) => (
                    <tr key={h.species}>
                      <th scope="row">{SPECIES_WORDS[h.species].name}</th>
                      <td>{h.present}</td>
                      <td>
                        <Soft style={{ fontWeight: 400 }}>
                          {countText(h.grownFemales, ...SPECIES_WORDS[h.species].grown.female)}
                        </Soft>
                      </td>
                    </tr>
                  ))}
              </tbody>
            </FigureTable>
          </Panel>
        </>
      }
    >
      {hasBook ? null : (
        <Empty
          title={say('The book is empty')}
          action={
            <Button kind="main" onPress={() => void navigate('/start')}>
              {say('Begin')}
            </Button>
          }
        >
          <Said
            text={
              'Five short steps, about ten minutes: who you are, how your numbers look, who is here, a first weighing. Then Yaylak works out something you did not know. A list you already have can be <0>brought in as a file</0>.'
            }
            parts={{ 0: <Link to="/holding/files" /> }}
          />
        </Empty>
      )}
      {openJobs.length + data.lookAt.length + refused.length > 0 || data.copies ? (
        <section>
          <Heading>
            <h2>{say('Unfinished')}</h2>
            <Small>{say('nothing of it is lost')}</Small>
          </Heading>
          <Rows>
            {openJobs.map((job) => (
              <Item key={job.id}>
                <div>
                  <b>{job.name}</b>
                  <Small>
                    {say('Started {date} by {startedBy}. {seen} of {expected} through.', {
                      date: shortDate(job.on),
                      startedBy: job.startedBy,
                      seen: job.seen,
                      expected: job.expected,
                    })}
                  </Small>
                </div>
                <span />
                <Button kind="main" onPress={() => void navigate(`/race/${job.id}`)}>
                  {say('Continue')}
                </Button>
              </Item>
            ))}
            {data.copies ? <CopiesItem trouble={data.copies} /> : null}
            <LookAtList items={lookAt.rows} today={data.on} />
          </Rows>
          {lookAt.more}
        </section>
      ) : null}
      <BirthRows rows={data.births} today={data.on} />
      <MatingRows {...data} />
      {open.length > 0 ? (
        <section>
          <Heading>
            <h2>{say('Window open now')}</h2>
            <Small>{say('closes soonest first')}</Small>
          </Heading>
          <DueRows work={open} today={data.on} />
        </section>
      ) : null}
      <Held {...withheld} today={data.on} />
      {ahead.length > 0 ? (
        <section>
          <Heading>
            <h2>{say('Opens this week')}</h2>
          </Heading>
          <DueRows work={ahead} today={data.on} />
        </section>
      ) : null}
      {hasBook && open.length + ahead.length === 0 ? (
        <Empty title={say('Nothing is due this week')}>
          <Said
            text={'Rhythms of weighing and scoring, and the plans of the year, are set under <0>Year plan</0>.'}
            parts={{ 0: <Link to="/year" /> }}
          />
        </Empty>
      ) : null}
    </Page>
  );
}
