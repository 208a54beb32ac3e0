import { useQuery } from '@tanstack/react-query';
import type { MatingRecordView } from '@yaylak/contract';
import { HOT_AFTER_DAYS, SPECIES_WORDS } from '@yaylak/core';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { matingRecordQuery } from '../../api/queries';
import { Choice } from '../../parts/Field';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { countText, figureText, fullDate, shareText, shortDate } from '../../words/format';
import { MatingTabs } from './MatingTabs';
import { useMatingScope } from './useMating';
import { NamedTag } from '../../parts/NamedTag';
import { useSpeciesOptions } from '../../words/useHolding';

// The chart's library comes with the first that is drawn.
const QuarterChart = lazy(async () => ({ default: (await import('./QuarterChart')).QuarterChart }));

/** What came of the matings: by male, by pair, by season. */
export function RecordPage() {
  const speciesOptions = useSpeciesOptions();
  const { query, setSpecies } = useMatingScope();
  const { data, error, refetch } = useQuery({ ...matingRecordQuery(query), placeholderData: (before) => before });
  if (!data)
    return <Page title="Results">{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>;
  const litters = data.males.reduce((s, m) => s + m.litters, 0);
  return (
    <Page
      title="What came of the matings?"
      lead={`${countText(litters, 'litter', 'litters')} of ${countText(data.males.length, ...SPECIES_WORDS[data.species].grown.male)} on record.`}
      actions={<MatingTabs species={data.species} but="/record" />}
    >
      <Row>
        <Choice label="Species" value={data.species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      {data.males.length === 0 ? (
        <Empty title="Nothing yet">Services and births that are recorded are gathered here.</Empty>
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
      <h2>By male</h2>
      <LineTable>
        <thead>
          <tr>
            <th>Male</th>
            <th>Services</th>
            <th>
              Took
              <How of="The share that took">
                <p>Of services whose time is over and that can be no other male’s; the range holds it four in five.</p>
              </How>
            </th>
            <th>Litters</th>
            <th>Young a litter</th>
            <th>
              Against the others
              <How of="Against the others">
                <p>
                  His litters less those the same females had by other males, the mean over these females. A male put to
                  the best females is not praised for them. ± holds it four times out of five.
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
              <td>{m.share ? shareText(m.share) : 'not known yet'}</td>
              <td>{m.litters}</td>
              <td>{m.meanSize === null ? '' : m.meanSize.toFixed(2)}</td>
              <td>
                {m.againstOthers
                  ? `${m.againstOthers.mean >= 0 ? '+' : ''}${figureText(m.againstOthers.mean, 2)} ± ${m.againstOthers.halfWidth.toFixed(2)}, ${countText(m.againstOthers.females, 'female', 'females')}`
                  : 'no females in common'}
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
      <h2>By season</h2>
      <Suspense fallback={<Loading rows={4} />}>
        <QuarterChart quarters={view.quarters} />
      </Suspense>
      <Small>
        Share of services that took, by quarter of the service, with its range; the figure in a bar is young a litter.
        Barred: services in a heat wave or within {HOT_AFTER_DAYS} days after, when the seed may have suffered.{' '}
        {view.hot.length > 0
          ? `Heat waves: ${view.hot.map((h) => `${shortDate(h.from)} to ${fullDate(h.to)}`).join('; ')}.`
          : 'No heat wave on record.'}{' '}
        They are kept under <Link to="/year">Year plan</Link>, Labour, pens and feed.
      </Small>
    </Panel>
  );
}

function Pairs({ rows }: { readonly rows: MatingRecordView['pairs'] }) {
  if (rows.length === 0) return null;
  return (
    <Panel>
      <h2>By pair, the latest first</h2>
      <LineTable>
        <thead>
          <tr>
            <th>Female</th>
            <th>Male</th>
            <th>Litters</th>
            <th>Young a litter</th>
            <th>Hers by others</th>
            <th>Last</th>
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
                {p.meanSize.toFixed(1)}
                {p.litters < 4 ? <Small>{countText(p.litters, 'litter', 'litters')}: a guess</Small> : null}
              </td>
              <td>
                {p.otherwise
                  ? `${p.otherwise.meanSize.toFixed(1)} in ${countText(p.otherwise.litters, 'litter', 'litters')}`
                  : 'none'}
              </td>
              <td>{fullDate(p.lastOn)}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
    </Panel>
  );
}
