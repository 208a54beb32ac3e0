import { useQuery } from '@tanstack/react-query';
import type { OutletView, SaleAnimalView, SaleOutlook } from '@yaylak/contract';
import { addDays, dayOf, isoOf, scaleUnit, Z_80, wantedRun, type DayRun } from '@yaylak/core';
import { useState } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { saleAnimalQuery } from '../../api/selling';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Failed, Loading } from '../../parts/States';
import { colour } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { dailyUnit, dailyFigure, figureText, gainText, moneyText } from '../../words/format';
import { hangText, NO_DAY_WORDS } from '../../words/selling';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';

interface Props {
  readonly animalId: string;
  readonly name: string;
  readonly currency: string;
  readonly onClose: () => void;
}

/** What one animal is worth by day at an outlet, how sure that is, and what the answer hangs on. */
export function OutlookSheet({ animalId, name, currency, onClose }: Props) {
  const { data, error, refetch } = useQuery(saleAnimalQuery(animalId));
  return (
    <Sheet title={say('{name}: sell today, or later?', { name })} isOpen onClose={onClose} width={760} isForLooking>
      {data ? (
        <Outlook view={data} currency={currency} />
      ) : error ? (
        <Failed error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading rows={5} />
      )}
    </Sheet>
  );
}

function Outlook({ view, currency }: { readonly view: SaleAnimalView; readonly currency: string }) {
  const { row, outlets, outlooks } = view;
  const [outletId, setOutletId] = useState(row.bestOutletId ?? outlets[0]?.id ?? '');
  const outlet = outlets.find((o) => o.id === outletId);
  const outlook = outlooks.find((o) => o.outletId === outletId);
  if (!outlet || !outlook) return <p>{say('Nothing is known of it yet: weigh it, and add an outlet.')}</p>;
  return (
    <>
      <Choice
        label={say('Outlet')}
        value={outletId}
        options={outlets.map((o) => [o.id, o.facts.name])}
        onChange={setOutletId}
      />
      {outlook.best ? (
        <>
          <p>
            <b>{answerText(view, outlook, outlet, currency)}</b>{' '}
            <How of={say('the worth by day')}>
              <p>
                {say(
                  'What it brings on each day, over all weights and classes it may then have, less its keep until then. The shaded days lose no more than a hundredth against the best.',
                )}
              </p>
              <p>
                {say(
                  'The range holds four times out of five: today’s weight, the gain, how fast it lays on fat and both classes are drawn two thousand times. Haulage is not in it: a trip is paid once for all that go.',
                )}
              </p>
            </How>
          </p>
          <Worths view={view} outlook={outlook} currency={currency} />
        </>
      ) : (
        <p>
          <b>
            {say('There is no day for it here: {value}.', {
              value: outlook.noDay === null ? say('no price') : NO_DAY_WORDS[outlook.noDay],
            })}
          </b>
        </p>
      )}
      <Breakeven view={view} outlook={outlook} />
      {outlook.hangsOn.length > 0 && outlook.best ? (
        <LineTable>
          <thead>
            <tr>
              <th>{say('If')}</th>
              <th>{say('Best day')}</th>
              <th>{say('Brings, {currency}', { currency })}</th>
            </tr>
          </thead>
          <tbody>
            {outlook.hangsOn.flatMap(({ what, less, more }) =>
              (
                [
                  ['less', less],
                  ['more', more],
                ] as const
              ).map(([way, moved]) => (
                <tr key={`${what} ${way}`}>
                  <td>{hangText(what, way)}</td>
                  <td>{moved ? dayText(view, moved.bestIn) : say('no day')}</td>
                  <td>{moved ? figureText(moved.bestMinor / 100, 2) : ''}</td>
                </tr>
              )),
            )}
          </tbody>
        </LineTable>
      ) : null}
    </>
  );
}

const dayText = ({ on }: SaleAnimalView, days: number): string =>
  days === 0 ? say('today') : shortDate(isoOf(addDays(dayOf(on), days)));

function answerText(
  view: SaleAnimalView,
  { outletId, best, range }: SaleOutlook,
  { facts }: OutletView,
  currency: string,
): string {
  if (!best) return '';
  const { from, to } = shownRun(view, outletId, best.run);
  const when =
    from === 0 && to === 0
      ? say('Today')
      : from === 0
        ? say('Any day to {date}', { date: dayText(view, to) })
        : say('From {date} to {date2}', { date: dayText(view, from), date2: dayText(view, to) });
  const sure = range
    ? ` ${say('({figure} to {figure2})', { figure: figureText(range.low / 100, 0), figure2: figureText(range.high / 100, 0) })}`
    : '';
  return say('{when} at {name}: {money}{sure} on the best day, {value}.{wanted}', {
    when,
    name: facts.name,
    money: moneyText(best.minor, currency),
    sure,
    value:
      best.inDays === 0
        ? say('today')
        : say('in {inDays} {inDays, plural, one {day} other {days}}', { inDays: best.inDays }),
    wanted: wantedText(view, facts.name, outletId),
  });
}

/** The stretch as good as the best day, no longer than it is wanted; what comes before that is told in words. */
function shownRun(view: SaleAnimalView, outletId: string, run: DayRun): DayRun {
  const readiness = view.row.cells.find((c) => c.outletId === outletId)?.readiness;
  return readiness?.kind === 'ready' ? wantedRun(run, readiness) : run;
}

/** From when it lies in what the outlet wants, where that is not today. */
function wantedText(view: SaleAnimalView, name: string, outletId: string): string {
  const readiness = view.row.cells.find((c) => c.outletId === outletId)?.readiness;
  if (readiness?.kind === 'in-days')
    return ` ${say('{name} wants it from {date}.', { name, date: dayText(view, readiness.days) })}`;
  return readiness?.kind === 'never' ? ` ${say('It never lies in what {name} wants: ask first.', { name })}` : '';
}

function Worths({
  view,
  outlook,
  currency,
}: {
  readonly view: SaleAnimalView;
  readonly outlook: SaleOutlook;
  readonly currency: string;
}) {
  const data = outlook.margins.map((minor, day) => ({ day, money: minor === null ? null : minor / 100 }));
  const known = data.flatMap((d) => d.money ?? []);
  const run = outlook.best ? shownRun(view, outlook.outletId, outlook.best.run) : undefined;
  const words = say('Worth by day: {figure} {currency} first, {figure2} at best, {figure3} after {n} days', {
    figure: figureText(known[0] ?? 0, 0),
    currency,
    figure2: figureText(Math.max(...known), 0),
    figure3: figureText(known.at(-1) ?? 0, 0),
    n: data.length - 1,
  });
  return (
    <div role="img" aria-label={words} style={{ height: 220 }}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart accessibilityLayer={false} data={data} margin={{ top: 10, right: 20, bottom: 8, left: 8 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          {run ? (
            <ReferenceArea x1={run.from} x2={Math.max(run.to, run.from + 1)} fill={colour('moss')} fillOpacity={0.18} />
          ) : null}
          <XAxis
            dataKey="day"
            type="number"
            domain={[0, data.length - 1]}
            tickFormatter={(d: number) => dayText(view, d)}
            stroke={colour('inkSoft')}
            fontSize={12}
          />
          <YAxis
            domain={['auto', 'auto']}
            tickFormatter={(v: number) => `${figureText(v, 0)} ${currency}`}
            stroke={colour('inkSoft')}
            fontSize={12}
            width={72}
          />
          <Line
            dataKey="money"
            stroke={colour('indigo')}
            strokeWidth={2}
            dot={false}
            activeDot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

/** The gain that pays for its keep there, against its own. */
function Breakeven({ view, outlook }: { readonly view: SaleAnimalView; readonly outlook: SaleOutlook }) {
  const unit = useWeightUnit();
  const { weight, tag } = view.row;
  if (!weight) return null;
  const scale = scaleUnit(view.outlets[0]?.facts.species, unit);
  const own = gainText({ kgPerDay: weight.gainKgPerDay, halfWidth: Z_80 * weight.gainSd }, scale);
  return (
    <Small>
      {outlook.breakevenKgPerDay === null
        ? say('No gain pays for its keep here; {text} gains {own}.', { text: tag.text, own })
        : say('A gain of {figure} {dailyUnit} pays for its keep here; {text} gains {own}.', {
            figure: figureText(dailyFigure(outlook.breakevenKgPerDay, scale), scale === 'lb' ? 2 : 0),
            dailyUnit: dailyUnit(scale),
            text: tag.text,
            own,
          })}
    </Small>
  );
}
