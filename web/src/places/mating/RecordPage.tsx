import { useQuery } from '@tanstack/react-query';
import type { MatingRecordView } from '@yaylak/contract';
import { HOT_AFTER_DAYS } from '@yaylak/core';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { matingRecordQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { fullDate, shortDate } from '../../words/dates';
import { countText, figureText, shareText } from '../../words/format';
import { MatingTabs } from './MatingTabs';
import { useMatingScope } from './useMating';
import { NamedTag } from '../../parts/NamedTag';
import { useSpeciesOptions } from '../../words/useHolding';
import { say, SPECIES_WORDS, fixedText } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

// The chart's library comes with the first that is drawn.
const QuarterChart = lazy(async () => ({ default: (await import('./QuarterChart')).QuarterChart }));

/** What came of the matings: by male, by pair, by season. */
export function RecordPage() {
  const speciesOptions = useSpeciesOptions();
  const { query, setSpecies } = useMatingScope();
  const { data, error, refetch } = useQuery({ ...matingRecordQuery(query), placeholderData: (before) => before });
  if (!data)
    return (
      <Page title={say('Results')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const litters = data.males.reduce((s, m) => s + m.litters, 0);
  return (
    <Page
      title={say('What came of the matings?')}
      lead={say('{litters} {litters, plural, one {litter} other {litters}} of {count} on record.', {
        litters,
        count: countText(data.males.length, ...SPECIES_WORDS[data.species].grown.male),
      })}
      actions={<MatingTabs species={data.species} but="/record" />}
    >
      <Row>
        <Choice label={say('Species')} value={data.species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      {data.males.length === 0 ? (
        <Empty title={say('Nothing yet')} action={<LeadTo to="/mating" words={say('Record a service')} />}>
          {say('Services and births that are recorded are gathered here.')}
        </Empty>
      ) : (
        <>
          <Males rows={data.males} />
          <Seasons view={data} />
          <Pairs rows={data.pairs} />
        </>
      )}
    </Page>
  );
}

function Males({ rows }: { readonly rows: MatingRecordView['males'] }) {
  return (
    <Panel>
      <h2>{say('By male')}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Male')}</th>
            <th>{say('Services')}</th>
            <th>
              {say('Took')}
              <How of={say('The share that took')}>
                <p>
                  {say(
                    'Of services whose time is over and that can be no other male’s; the range holds it four in five.',
                  )}
                </p>
              </How>
            </th>
            <th>{say('Litters')}</th>
            <th>{say('Young a litter')}</th>
            <th>
              {say('Against the others')}
              <How of={say('Against the others')}>
                <p>
                  {say(
                    'His litters less those the same females had by other males, the mean over these females. A male put to the best females is not praised for them. ± holds it four times out of five.',
                  )}
                </p>
              </How>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((m) => (
            <tr key={m.tag.animalId}>
              <td>
                <NamedTag tag={m.tag} />
              </td>
              <td>{m.spells}</td>
              <td>{m.share ? shareText(m.share) : say('not known yet')}</td>
              <td>{m.litters}</td>
              <td>{m.meanSize === null ? '' : fixedText(m.meanSize, 2)}</td>
              <td>
                {m.againstOthers
                  ? `${m.againstOthers.mean >= 0 ? '+' : ''}${figureText(m.againstOthers.mean, 2)} ± ${fixedText(m.againstOthers.halfWidth, 2)}, ${say('{females} {females, plural, one {female} other {females}}', { females: m.againstOthers.females })}`
                  : say('no females in common')}
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </Panel>
  );
}

function Seasons({ view }: { readonly view: MatingRecordView }) {
  if (view.quarters.length === 0) return null;
  return (
    <Panel>
      <h2>{say('By season')}</h2>
      <Suspense fallback={<Loading rows={4} />}>
        <QuarterChart quarters={view.quarters} />
      </Suspense>
      <Small>
        <Said
          text={
            'Share of services that took, by quarter of the service, with its range; the figure in a bar is young a litter. Barred: services in a heat wave or within {days} days after, when the seed may have suffered. {value} They are kept under <0>Year plan</0>, Labour, pens and feed.'
          }
          values={{
            days: HOT_AFTER_DAYS,
            value:
              view.hot.length > 0
                ? say('Heat waves: {list}.', {
                    list: view.hot
                      .map((h) => say('{date} to {date2}', { date: shortDate(h.from), date2: fullDate(h.to) }))
                      .join('; '),
                  })
                : say('No heat wave on record.'),
          }}
          parts={{ 0: <Link to="/year" /> }}
        />
      </Small>
    </Panel>
  );
}

function Pairs({ rows }: { readonly rows: MatingRecordView['pairs'] }) {
  if (rows.length === 0) return null;
  return (
    <Panel>
      <h2>{say('By pair, the latest first')}</h2>
      <LineTable>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('Male')}</th>
            <th>{say('Litters')}</th>
            <th>{say('Young a litter')}</th>
            <th>{say('Hers by others')}</th>
            <th>{say('Last')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((p) => (
            <tr key={`${p.female.animalId} ${p.male.animalId}`}>
              <td>
                <Tag tag={p.female} />
              </td>
              <td>
                <Tag tag={p.male} />
              </td>
              <td>{p.litters}</td>
              <td>
                {fixedText(p.meanSize, 1)}
                {p.litters < 4 ? (
                  <Small>
                    {say('{litters} {litters, plural, one {litter} other {litters}}: a guess', { litters: p.litters })}
                  </Small>
                ) : null}
              </td>
              <td>
                {p.otherwise
                  ? say('{n} in {litters} {litters, plural, one {litter} other {litters}}', {
                      n: fixedText(p.otherwise.meanSize, 1),
                      litters: p.otherwise.litters,
                    })
                  : say('none')}
              </td>
              <td>{fullDate(p.lastOn)}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </Panel>
  );
}
