import { useQuery } from '@tanstack/react-query';
import { stepName, workTitle, type PlanFacts, say } from '@yaylak/contract';
import { addDays, dayOf, isoOf, toCalendarDate, weekOf, type Day, type PlanStep } from '@yaylak/core';
import { Link, useSearchParams } from 'react-router';
import { todayQuery } from '../../api/queries';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { fullDate, longDate, monthYear, shortDate } from '../../words/dates';
import { useWeekStart } from '../../words/useHolding';
import { useYear } from './useYear';

interface Line {
  readonly key: string;
  readonly on: Day;
  readonly what: string;
  readonly plan: string;
  readonly from: string;
  readonly to: string;
  readonly doneOn: string | undefined;
}

/** The year or the week on paper: what is to be done, by month or by day, with a box to tick. */
export function YearSheet() {
  const { season, plans } = useYear();
  const { data: work } = useQuery(todayQuery);
  const [search] = useSearchParams();
  const weekStart = useWeekStart();
  const isWeek = search.get('of') === 'week';
  if (!season.data)
    return season.error ? <Failed error={season.error} onRetry={() => void season.refetch()} /> : <Loading />;
  const today = dayOf(season.data.on);
  const first = weekOf(today, weekStart);
  const last = addDays(first, 6);
  const lines = plans
    .flatMap(({ view, steps }) => steps.map((s) => lineOf(view.facts, view.id, s)))
    .sort((a, b) => a.on - b.on || a.what.localeCompare(b.what));
  const year = lines.filter((l) => l.on >= addDays(today, -31) && l.on <= addDays(today, 366));
  const week = lines.filter((l) => dayOf(l.from) <= last && dayOf(l.to) >= first);
  const months = [...new Set(year.map((l) => isoOf(toFirst(l.on))))];
  return (
    <PaperSheet>
      <PaperHead
        title={
          isWeek
            ? say('The week of {date}', { date: longDate(isoOf(first)) })
            : say('The year from {date}', { date: fullDate(season.data.on) })
        }
        back={{ to: '/year', words: say('Back to the plan') }}
      >
        <LinkButton as={Link} to={isWeek ? '/year/sheet?of=year' : '/year/sheet?of=week'}>
          {isWeek ? say('The year') : say('The week')}
        </LinkButton>
      </PaperHead>
      {isWeek ? (
        <>
          <LinesTable lines={week} first={say('Days')} of={(l) => span(l)} />
          <h2>{say('Due by the rhythms')}</h2>
          <LineTable>
            <tbody>
              {(work?.due ?? [])
                .filter((w) => w.steps.length === 0)
                .map((w) => (
                  <tr key={w.key}>
                    <td>
                      <TickBox says={say('{workTitle} done', { workTitle: workTitle(w) })} />
                    </td>
                    <td>
                      <b>{workTitle(w)}</b>
                    </td>
                    <td>{[...w.why, ...(w.group ? [w.group.name] : [])].join(', ')}</td>
                    <td>
                      {say('{date} to {date2}', { date: shortDate(w.window.opens), date2: shortDate(w.window.closes) })}
                    </td>
                  </tr>
                ))}
            </tbody>
          </LineTable>
        </>
      ) : (
        months.map((month) => (
          <section key={month}>
            <h2>{monthYear(month)}</h2>
            <LinesTable
              lines={year.filter((l) => isoOf(toFirst(l.on)) === month)}
              first={say('Best days')}
              of={(l) => span(l)}
            />
          </section>
        ))
      )}
      <Small>{say('Best days. Windows open earlier and close later; the plan on the screen shows them.')}</Small>
    </PaperSheet>
  );
}

const toFirst = (day: Day): Day => dayOf(`${toCalendarDate(day).toString().slice(0, 7)}-01`);

function lineOf(facts: PlanFacts, planId: string, step: PlanStep): Line {
  return {
    key: `${planId} ${step.key}`,
    on: step.window.bestFrom,
    what: `${stepName(step, facts)}${step.litter === undefined ? '' : ` (${step.litter})`}`,
    plan: facts.name,
    from: isoOf(step.window.bestFrom),
    to: isoOf(step.window.bestTo),
    doneOn: facts.done[step.key],
  };
}

const span = ({ from, to }: Line): string =>
  from === to ? shortDate(from) : say('{date} to {date2}', { date: shortDate(from), date2: shortDate(to) });

function LinesTable({
  lines,
  first,
  of,
}: {
  readonly lines: readonly Line[];
  readonly first: string;
  readonly of: (line: Line) => string;
}) {
  if (lines.length === 0) return <Small>{say('Nothing by the plans.')}</Small>;
  return (
    <LineTable>
      {/* The same columns month after month. */}
      <colgroup>
        <col style={{ width: '14%' }} />
        <col style={{ width: '24%' }} />
        <col style={{ width: '34%' }} />
        <col />
      </colgroup>
      <thead>
        <tr>
          <th>{say('Done')}</th>
          <th>{first}</th>
          <th>{say('What')}</th>
          <th>{say('Plan')}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((l) => (
          <tr key={l.key}>
            <td>{l.doneOn ? shortDate(l.doneOn) : <TickBox says={say('{what} done', { what: l.what })} />}</td>
            <td>{of(l)}</td>
            <td>
              <b>{l.what}</b>
            </td>
            <td>{l.plan}</td>
          </tr>
        ))}
      </tbody>
    </LineTable>
  );
}
