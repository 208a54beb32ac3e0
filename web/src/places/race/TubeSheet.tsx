import { dayOf, neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { useParams } from 'react-router';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Small } from '../../parts/Panel';
import { Empty, Loading } from '../../parts/States';
import { fullDate, shortDate } from '../../words/dates';
import { PURPOSE_WORDS } from '../../words/stations';
import { saveFile } from '../../words/saveFile';
import { tubeRows } from './tubeRows';
import { useRace } from './useRace';
import { say } from '@yaylak/contract';

/** The tubes of a job in order, with both numbers of each animal: to go with the parcel, and as a file. */
export function TubeSheet() {
  const { id = '' } = useParams();
  const race = useRace(id);
  const { job } = race;
  if (!job)
    return race.isMissing ? (
      <Empty title={say('This job is not here')}>{say('It may be on another device.')}</Empty>
    ) : (
      <Loading />
    );
  const rows = tubeRows(race.passages, race.animals);
  const isOfYoung = rows.some((r) => r.purpose === 'pregnancy');
  const csv = (): void =>
    saveFile(
      `tubes-${job.on}.csv`,
      'text/csv',
      `${unparse(
        {
          fields: ['tube', 'sample', 'number', 'electronic', 'species', 'sex', 'served', 'date'],
          data: rows.map((r) =>
            [r.tube, r.purpose, r.number, r.electronic, r.species, r.sex, r.servedOn, job.on].map((c) =>
              neutralCell(c),
            ),
          ),
        },
        { newline: '\r\n' },
      )}\r\n`,
    );
  return (
    <PaperSheet>
      <PaperHead
        title={say('Tubes: {name}', { name: job.name })}
        back={{ to: `/race/${id}`, words: say('Back to the job') }}
      >
        <Button onPress={csv}>{say('As a file (CSV)')}</Button>
      </PaperHead>
      <p>
        {say(
          '{date}, taken by {startedBy}. {n} {n, plural, one {tube} other {tubes}}, in the order they were filled.',
          { date: fullDate(job.on), startedBy: job.startedBy, n: rows.length },
        )}
      </p>
      {rows.length === 0 ? (
        <Empty title={say('No tube was filled in this job')}>{say('A job with the station Sample fills them.')}</Empty>
      ) : null}
      <LineTable>
        <thead>
          <tr>
            <th>{say('Tube')}</th>
            <th>{say('Sample')}</th>
            <th>{say('Number')}</th>
            <th>{say('Electronic')}</th>
            <th>{say('Animal')}</th>
            {isOfYoung ? <th>{say('Served')}</th> : null}
            <th>{say('Seen twice')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.tube}>
              <td>
                <b>{r.tube}</b>
              </td>
              <td>{PURPOSE_WORDS[r.purpose]}</td>
              <td>{r.number}</td>
              <td>{r.electronic}</td>
              <td>
                {r.species}, {r.sex}
              </td>
              {isOfYoung ? (
                <td>
                  {r.servedOn === ''
                    ? say('not known')
                    : say('{date}, day {n}', { date: shortDate(r.servedOn), n: dayOf(job.on) - dayOf(r.servedOn) })}
                </td>
              ) : null}
              <td>
                <TickBox says={say('tube {tube} looked at when it is packed', { tube: r.tube })} />
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {rows.length > 0 ? <Parcel tubes={rows.length} /> : null}
      <Small>
        {say('One needle and one tube for each animal. Blood and swabs can carry what people catch: gloves on.')}
      </Small>
    </PaperSheet>
  );
}

/** What goes into the parcel, to be ticked as it is packed. */
function Parcel({ tubes }: { readonly tubes: number }) {
  const things = [
    say('{tubes} {tubes, plural, one {tube} other {tubes}}, counted, stoppers tight, upright', { tubes }),
    say('this sheet, and the file sent ahead where the laboratory takes it'),
    say('the laboratory’s own form, signed'),
    say('something that soaks up, and a bag that does not leak'),
    say('cold pack where the laboratory asks for one; never frozen'),
    say('marked as the carrier’s rules for samples require'),
  ];
  return (
    <section>
      <h2>{say('The parcel')}</h2>
      <LineTable>
        <tbody>
          {things.map((thing) => (
            <tr key={thing}>
              <td style={{ width: 32 }}>
                <TickBox says={thing} />
              </td>
              <td>{thing}</td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      <p>{say('Sent on ________________ by ________________')}</p>
    </section>
  );
}
