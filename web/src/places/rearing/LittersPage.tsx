import { useQuery } from '@tanstack/react-query';
import {
  LITTER_GROUPS,
  LITTER_VALUES,
  type FeedTrialView,
  type LitterGroupBy,
  type LittersView,
  type LitterValue,
  say,
  capital,
} from '@yaylak/contract';
import { isByLitter, SPECIES, SPECIES_TABLE, toKg, type Species, type WeightUnit } from '@yaylak/core';
import { Link, useSearchParams } from 'react-router';
import { littersQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { scoreText } from '../../words/condition';
import { figureText, moneyApartText, moneyText, UNIT_WORDS, weightText } from '../../words/format';
import { useSpeciesOptions, useWeightUnit } from '../../words/useHolding';
import { NamedTag } from '../../parts/NamedTag';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

const BY_WORDS: Readonly<Record<LitterGroupBy, string>> = {
  doe: say('dam'),
  buck: say('sire'),
  pair: say('pair'),
  season: say('quarter of the year'),
};
const VALUE_WORDS: Readonly<Record<LitterValue, string>> = {
  born: say('born alive'),
  reared: say('reared'),
  'weaned-kg': say('weight weaned'),
};

/** Told of litter by litter as a rule. */
const LITTER_SPECIES = SPECIES.find((s) => isByLitter(SPECIES_TABLE[s])) ?? SPECIES[0];

/** Litters held against each other fairly, dams whose litters fall, and feeds that were tried. */
export function LittersPage() {
  const speciesOptions = useSpeciesOptions();
  const [search, setSearch] = useSearchParams();
  const unit = useWeightUnit();
  const species = SPECIES.find((s) => s === search.get('species')) ?? LITTER_SPECIES;
  const by = LITTER_GROUPS.find((g) => g === search.get('by')) ?? 'doe';
  const value = LITTER_VALUES.find((v) => v === search.get('value')) ?? 'reared';
  const dearer = search.get('dearer') ?? undefined;
  const cheaper = search.get('cheaper') ?? undefined;
  const { data, error, refetch } = useQuery({
    ...littersQuery({ species, by, value, ...(dearer ? { dearer } : {}), ...(cheaper ? { cheaper } : {}) }),
    placeholderData: (before) => before,
  });
  const set = (change: Readonly<Record<string, string>>): void =>
    setSearch({ ...Object.fromEntries(search), species, ...change }, { replace: true });
  if (!data)
    return (
      <Page title={say('Litters')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  return (
    <Page
      title={say('Whose litters are better, and is it sure?')}
      lead={
        data.mean === null
          ? say('No litters recorded yet.')
          : say(
              '{litters} {litters, plural, one {litter} other {litters}} of three years, {value} {value2} on average.',
              { litters: data.litters, value: valueText(data.mean, data.value, unit), value2: VALUE_WORDS[data.value] },
            )
      }
      actions={
        <LinkButton as={Link} to={`/rearing?species=${species}`}>
          {say('Back to Rearing')}
        </LinkButton>
      }
      aside={<FeedTrial view={data} onChange={set} />}
    >
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice<Species>
          label={say('Species')}
          value={species}
          options={speciesOptions}
          onChange={(s) => setSearch({ species: s, by, value }, { replace: true })}
        />
        <Choice<LitterGroupBy>
          label={say('By')}
          value={by}
          options={LITTER_GROUPS.map((g) => [g, BY_WORDS[g]])}
          onChange={(g) => set({ by: g })}
        />
        <Choice<LitterValue>
          label={say('Compared by')}
          value={value}
          options={LITTER_VALUES.map((v) => [v, VALUE_WORDS[v]])}
          onChange={(v) => set({ value: v })}
        />
      </Row>
      {data.groups.length === 0 ? (
        <Empty title={say('No litters to compare')} action={<LeadTo to="/births" words={say('Record a birth')} />}>
          <Said
            text={'They are listed here once births are recorded under <0>Births</0>.'}
            parts={{ 0: <Link to="/births" /> }}
          />
        </Empty>
      ) : (
        <Compared view={data} unit={unit} />
      )}
      <Trends view={data} />
    </Page>
  );
}

const valueText = (value: number, of: LitterValue, unit: WeightUnit): string =>
  of === 'weaned-kg' ? weightText(value, unit) : figureText(value, 1);

function Compared({ view, unit }: { readonly view: LittersView; readonly unit: WeightUnit }) {
  const { shown, more } = useFirst(view.groups, 25);
  const signed = (v: number): string => `${v > 0 ? '+' : ''}${figureText(v, 2)}`;
  return (
    <Panel>
      <h2>
        {say('By {by}', { by: BY_WORDS[view.by] })}
        <How of={say('Litters compared')}>
          <p>
            {say(
              'Each litter is corrected for its place in its dam’s row (first litters are smaller) and, unless it is the number born that is compared, for how many were born, by least squares over all litters from eight on.',
            )}
          </p>
          <p>
            {say(
              'What is left is drawn toward the others: of one litter little stays, for litters of one dam differ by chance far more than dams do. ± is how far it may be off, four times out of five.',
            )}
          </p>
        </How>
      </h2>
      <LineTable>
        <thead>
          <tr>
            <th>{capital(BY_WORDS[view.by])}</th>
            <th>{say('Litters')}</th>
            <th>{say('Mean')}</th>
            <th>{say('Above average by')}</th>
            <th>{say('How sure')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((g) => (
            <tr key={g.name}>
              <td>
                <Row $gap={1}>{g.tags.length === 0 ? g.name : g.tags.map((t) => <Tag key={t.animalId} tag={t} />)}</Row>
              </td>
              <td>{g.litters}</td>
              <td>{valueText(g.mean, view.value, unit)}</td>
              <td>
                {signed(g.difference)} ± {figureText(g.halfWidth, 2)}
              </td>
              <td>
                {say('{litters} {litters, plural, one {litter} other {litters}}', { litters: g.litters })}: {g.sureness}
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {more}
    </Panel>
  );
}

const TREND_WORDS = {
  falling: say('falling'),
  rising: say('rising'),
  steady: say('no trend'),
  'too-few': say('too few to tell'),
} as const;

const ALSO_WORDS = { survival: say('share reared'), 'weaned-kg': say('weight weaned') } as const;

function Trends({ view: { trends } }: { readonly view: LittersView }) {
  const told = trends.filter((t) => t.kind !== 'too-few');
  const { shown, more } = useFirst(told, 12);
  if (told.length === 0) return null;
  return (
    <Panel>
      <h2>
        {say('Litter by litter')}
        <How of={say('Litter by litter')}>
          <p>
            {say(
              'The slope of born alive and dead over a dam’s litters, less what is usual for first litters, drawn toward no change. Falling is said only where four times out of five it is no chance, and not before four litters.',
            )}
          </p>
        </How>
      </h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Dam')}</th>
            <th>{say('Born, litter by litter')}</th>
            <th>{say('Each litter')}</th>
            <th>{say('Condition')}</th>
            <th>{say('What follows')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((t) => (
            <tr key={t.tag.animalId}>
              <td>
                <NamedTag tag={t.tag} />
              </td>
              <td>{t.sizes.slice(-10).join(', ')}</td>
              <td>
                {t.perLitter === null ? '' : `${t.perLitter > 0 ? '+' : ''}${figureText(t.perLitter, 1)}`}
                <Small>
                  {TREND_WORDS[t.kind]}
                  {t.low === null || t.high === null
                    ? ''
                    : say(', {figure} to {figure2}', { figure: figureText(t.low, 1), figure2: figureText(t.high, 1) })}
                </Small>
                {t.also
                  .filter((a) => a.kind !== 'steady')
                  .map((a) => (
                    <Small key={a.of}>
                      {ALSO_WORDS[a.of]} {TREND_WORDS[a.kind]}
                    </Small>
                  ))}
              </td>
              <td>{t.lastScore === null ? say('not scored') : scoreText(t.lastScore)}</td>
              <td>
                {t.suggestion ?? ''}
                {t.alarm ? <Small>{t.alarm}</Small> : null}
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {more}
    </Panel>
  );
}

interface TrialProps {
  readonly view: LittersView;
  readonly onChange: (change: Readonly<Record<string, string>>) => void;
}

/** Two feeds against each other, by what a kilogram gained costs. */
function FeedTrial({ view, onChange }: TrialProps) {
  const { feeds, trial, currency } = view;
  const unit = useWeightUnit();
  const [one] = UNIT_WORDS[unit];
  if (!trial)
    return (
      <Panel>
        <h2>{say('Feeds tried')}</h2>
        <Small>
          {say(
            'Record under Rearing what a litter ate of a feed, for litters on two feeds: then this page says what a {one} gained costs on each, and whether the difference is sure.',
            { one },
          )}
        </Small>
      </Panel>
    );
  if (trial.kind === 'not-weighed')
    return (
      <NotePanel $tone="weld">
        <h2>{say('Feeds tried')}</h2>
        <p>
          {say(
            '{litters} {litters, plural, one {litter was} other {litters were}} on “{feed}”, and none was weighed within four days of its beginning and its end, with the same head count both times. Weigh them then, and the cost of a {one} gained is shown here.',
            { litters: trial.litters, feed: trial.feed, one },
          )}
        </p>
      </NotePanel>
    );
  if (trial.kind === 'no-gain')
    return (
      <NotePanel $tone="weld">
        <h2>{say('Feeds tried')}</h2>
        <p>
          {say('The litters on “{feed}” together gained nothing, so there is no cost of a {one} gained.', {
            feed: trial.feed,
            one,
          })}
        </p>
      </NotePanel>
    );
  const money = (minor: number): string => moneyText(Math.round(minor), currency);
  const arms = [trial.dearer, trial.cheaper] as const;
  return (
    <NotePanel $tone={trial.verdict === 'cannot-tell' ? 'weld' : 'moss'}>
      <h2>
        {say('Feeds tried')}
        <How of={say('Feeds tried')}>
          <p>
            {say(
              'All feed eaten over all that was gained in that time, every litter in that was weighed near the beginning and the end of the feed, times the price. The difference of two feeds has an interval by Student’s t, right four times out of five. How many more litters: the usual sample size for two means at the difference and the spread seen.',
            )}
          </p>
        </How>
      </h2>
      {feeds.length > 2 ? (
        <Row>
          {(['dearer', 'cheaper'] as const).map((arm) => (
            <Choice
              key={arm}
              label={arm}
              value={trial[arm].feed}
              options={feeds.map((f) => [f.feed, f.feed] as const)}
              onChange={(feed) => onChange({ [arm]: feed })}
            />
          ))}
        </Row>
      ) : null}
      <LineTable>
        <thead>
          <tr>
            <th>{say('Feed')}</th>
            <th>{say('Litters')}</th>
            <th>{say('Feed for a {unit}', { unit })}</th>
            <th>{say('A {unit} gained', { unit })}</th>
          </tr>
        </thead>
        <tbody>
          {arms.map((a) => (
            <tr key={a.feed}>
              <td>
                {a.feed}
                <Small>{say('{money} a {unit}', { money: money(a.priceMinor * toKg(1, unit)), unit })}</Small>
              </td>
              <td>
                {a.records}
                {a.leftOut > 0 ? <Small>{say('{leftOut} not weighed, left out', { leftOut: a.leftOut })}</Small> : null}
              </td>
              <td>
                {figureText(a.feedPerKgGained, 2)} {unit}
              </td>
              <td>{money(a.costMinorPerKg * toKg(1, unit))}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      <p>{verdictText(trial, currency, unit)}</p>
      <Small>
        {say('For a young that gains {weight}: {money} {value} on the cheaper.', {
          weight: weightText(trial.youngKg, unit),
          money: money(Math.abs(trial.perYoungMinor)),
          value: trial.perYoungMinor < 0 ? say('less') : say('more'),
        })}
      </Small>
    </NotePanel>
  );
}

function verdictText(trial: FeedTrialView, currency: string, unit: WeightUnit): string {
  const aUnit = toKg(1, unit);
  const { dearer, cheaper, halfWidthMinor } = trial;
  const apart = moneyApartText(dearer.costMinorPerKg * aUnit, cheaper.costMinorPerKg * aUnit, currency);
  const sure = halfWidthMinor === null ? '' : ` ± ${moneyText(Math.round(halfWidthMinor * aUnit), currency)}`;
  const difference = say('{apart}{sure} a {value} gained', { apart, sure, value: UNIT_WORDS[unit][0] });
  switch (trial.verdict) {
    case 'cheaper-saves':
      return say('Take the cheaper: it saves {difference}.', { difference });
    case 'dearer-saves':
      return say('Take the dearer: the saving on the bag costs {difference} in the end.', { difference });
    case 'cannot-tell':
      return say('One cannot tell yet: {difference}. {value}', {
        difference,
        value:
          trial.moreNeeded === null
            ? say('Try both on at least two litters.')
            : say('About {moreNeeded} more litters on each until one can.', { moreNeeded: trial.moreNeeded }),
      });
  }
}
