import { useQuery } from '@tanstack/react-query';
import type { HerdView } from '@yaylak/contract';
import { gainAYear, kinshipGrowth, type HerdQuestion, type Species } from '@yaylak/core';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { herdQuery } from '../../api/choosing';
import { holdingQuery } from '../../api/queries';
import { Field } from '../../parts/Field';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { colour, space, touch } from '../../theme/tokens';
import { figureText, moneyText } from '../../words/format';
import type { HerdAhead } from './herdAhead';
import { HerdChart } from './HerdChart';
import { lookAhead, stopLooking } from './herdClient';
import { HerdTable } from './HerdTable';
import { say, SPECIES_WORDS, capital, perCent } from '@yaylak/contract';

/** The number of females in the next five years, and what keeping more or fewer, stricter or easier, does to it. */
export function HerdPanel({ species }: { readonly species: Species }) {
  const { data } = useQuery(herdQuery(species));
  if (!data || data.head === 0) return null;
  return <Herd key={`${species} ${data.head}`} view={data} />;
}

const NO_LIMIT = 99;
/** A year of use of a male where none is known. */
const USED_YEARS = 2;

function Herd({ view }: { readonly view: HerdView }) {
  const { data: holding } = useQuery(holdingQuery);
  const { species, classes, head, coming, matedAtYears, gain } = view;
  const words = SPECIES_WORDS[species];
  const [wanted, setWanted] = useState(String(head));
  const [kept, setKept] = useState<number>();
  const [ageLimit, setAgeLimit] = useState(NO_LIMIT);
  const [failing, setFailing] = useState(0.2);
  const target = Number(wanted) || head;
  const ask = useMemo(
    (): HerdQuestion => ({
      classes,
      wanted: target,
      kept,
      ageLimit: ageLimit === NO_LIMIT ? undefined : ageLimit - matedAtYears,
      matedAt: matedAtYears >= 2 ? 2 : 1,
      coming: [coming],
    }),
    [classes, target, kept, ageLimit, matedAtYears, coming],
  );
  const [ahead, setAhead] = useState<HerdAhead>();
  useEffect(() => {
    let isOver = false;
    void lookAhead(ask).then((found) => {
      if (found !== 'stopped' && !isOver) setAhead(found);
    });
    return () => {
      isOver = true;
      stopLooking();
    };
  }, [ask]);
  const needed = ahead?.needed ?? 0;
  const shown = kept ?? needed;
  const [first, last] = [ahead?.years[0], ahead?.years.at(-1)];
  const band = ahead?.bands[0]?.needed;
  const effect = gain && last ? effectOf(gain, { kept: shown, failing, meanAge: last.meanAge }) : undefined;
  const currency = holding?.currency ?? '';
  return (
    <Panel>
      <h2>
        {say('{replace} in the next five years', {
          replace: capital(words.grown.female[1]),
        })}
        <How of={say('the herd ahead')}>
          <p>
            {say(
              'Each age loses its share of dead and of culled in a year, by your own records drawn to a table that counts as 20 female years. The band holds the number four times out of five. Gain: how far the kept stand over their crop, over the mean age of the parents. Kinship grows by the number of parents a generation (a rule of thumb).',
            )}
          </p>
        </How>
      </h2>
      {ahead ? (
        <HerdChart ahead={ahead} head={head} wanted={target} />
      ) : (
        <Small role="status">{say('Looking ahead …')}</Small>
      )}
      <Field
        label={say('{replace} wanted', { replace: capital(words.grown.female[1]) })}
        inputMode="numeric"
        value={wanted}
        onChange={(v) => setWanted(v.replace(/\D/g, '').slice(0, 5))}
      />
      <Slider
        label={say('{replace} kept a year', { replace: capital(words.young.female[1]) })}
        value={shown}
        least={0}
        most={Math.max(coming, needed, 10)}
        shown={ahead ? String(shown) : '…'}
        isWaiting={!ahead}
        onChange={setKept}
      />
      <Slider
        label={say('Go at age')}
        value={ageLimit === NO_LIMIT ? classes.length + matedAtYears : ageLimit}
        least={matedAtYears + 2}
        most={classes.length + matedAtYears}
        shown={ageLimit === NO_LIMIT ? say('no limit') : say('{ageLimit} years', { ageLimit })}
        onChange={(n) => setAgeLimit(n >= classes.length + matedAtYears ? NO_LIMIT : n)}
      />
      <Slider
        label={say('Fail by eye')}
        value={Math.round(100 * failing)}
        least={0}
        most={80}
        shown={perCent(Math.round(100 * failing))}
        onChange={(n) => setFailing(n / 100)}
      />
      {first && last ? (
        <Small>
          {say('{value} Mean age {figure} now, {figure2} in five years. {value2}{value3}', {
            value:
              kept === undefined
                ? say('Keep about {needed} a year to stay at {target}{value}.', {
                    needed,
                    target,
                    value: band
                      ? ` ${say('(next year {n} to {n2})', { n: Math.round(band[0]), n2: Math.round(band[1]) })}`
                      : '',
                  })
                : say('Keeping {kept} a year: about {n} in five years{value}.', {
                    kept,
                    n: Math.round(last.head),
                    value: last.head < target - 0.5 ? say(', {n} short', { n: Math.round(target - last.head) }) : '',
                  }),
            figure: figureText(first.meanAge, 1),
            figure2: figureText(last.meanAge, 1),
            value2:
              coming < first.needed - 0.5 ? `${say('Only {coming} young are here for next year.', { coming })} ` : '',
            value3: effect
              ? say('The best {n} of {of}: +{value} a year{value2}.', {
                  n: Math.min(effect.kept, effect.of),
                  of: effect.of,
                  value:
                    gain?.unit === 'money'
                      ? moneyText(effect.gain, currency)
                      : say('{figure} points', { figure: figureText(effect.gain, 2) }),
                  value2:
                    effect.kinship === undefined
                      ? ''
                      : say(', kinship +{figure} % a year', { figure: figureText(100 * effect.kinship, 2) }),
                })
              : '',
          })}
        </Small>
      ) : null}
      <HerdTable view={view} />
    </Panel>
  );
}

/** What keeping so many of those that pass brings a year. */
function effectOf(
  gain: NonNullable<HerdView['gain']>,
  { kept, failing, meanAge }: { readonly kept: number; readonly failing: number; readonly meanAge: number },
) {
  const of = Math.max(1, Math.round(gain.candidates * (1 - failing)));
  const females = { kept: Math.min(kept, of), of, spread: gain.spread, ageYears: meanAge };
  const usedYears = gain.males.ageYears > 1 ? gain.males.ageYears : USED_YEARS;
  return {
    kept,
    of,
    gain: gainAYear(females, gain.males),
    kinship: kinshipGrowth(females, { ...gain.males, usedYears }),
  };
}

interface SliderProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly shown: string;
  /** What it begins with is not known yet. */
  readonly isWaiting?: boolean;
  readonly onChange: (value: number) => void;
}

const Slider = ({ label, value, least, most, shown, isWaiting = false, onChange }: SliderProps) => (
  <Line>
    {label}
    <input
      type="range"
      aria-valuetext={shown}
      min={least}
      max={most}
      value={value}
      disabled={isWaiting}
      onChange={(e) => onChange(Number(e.target.value))}
    />
    <b>{shown}</b>
  </Line>
);

const Line = styled.label`
  display: grid;
  grid-template-columns: 112px minmax(0, 1fr) 58px;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  font-size: 14px;
  b {
    text-align: right;
    white-space: nowrap;
  }
  input {
    accent-color: ${colour('indigo')};
    min-width: 0;
    min-height: ${touch};
  }
`;
