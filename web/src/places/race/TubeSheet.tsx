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
import { countText, fullDate, shortDate } from '../../words/format';
import { PURPOSE_WORDS } from '../../words/stations';
import { saveFile } from '../../words/saveFile';
import { tubeRows } from './tubeRows';
import { useRace } from './useRace';

/** The tubes of a job in order, with both numbers of each animal: to go with the parcel, and as a file. */
export function TubeSheet() {
  const { id = '' } = useParams();
  const race = useRace(id);
  const { job } = race;
  if (!job)
    return race.isMissing ? <Empty title="This job is not here">It may be on another device.</Empty> : <Loading />;
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
      <PaperHead title={`Tubes: ${job.name}`} back={{ to: `/race/${id}`, words: 'Back to the job' }}>
        <Button onPress={csv}>As a file (CSV)</Button>
      </PaperHead>
      <p>
        {fullDate(job.on)}, taken by {job.startedBy}. {countText(rows.length, 'tube', 'tubes')}, in the order they were
        filled.
      </p>
      {rows.length === 0 ? (
        <Empty title="No tube was filled in this job">A job with the station Sample fills them.</Empty>
      ) : null}
      <LineTable>
        <thead>
          <tr>
            <th>Tube</th>
            <th>Sample</th>
            <th>Number</th>
            <th>Electronic</th>
            <th>Animal</th>
            {isOfYoung ? <th>Served</th> : null}
            <th>Seen twice</th>
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
                    ? 'not known'
                    : `${shortDate(r.servedOn)}, day ${dayOf(job.on) - dayOf(r.servedOn)}`}
                </td>
              ) : null}
              <td>
                <TickBox says={`tube ${r.tube} looked at when it is packed`} />
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      {rows.length > 0 ? <Parcel tubes={rows.length} /> : null}
      <Small>One needle and one tube for each animal. Blood and swabs can carry what people catch: gloves on.</Small>
    </PaperSheet>
  );
}

/** What goes into the parcel, to be ticked as it is packed. */
function Parcel({ tubes }: { readonly tubes: number }) {
  const things = [
    `${countText(tubes, 'tube', 'tubes')}, counted, stoppers tight, upright`,
    'this sheet, and the file sent ahead where the laboratory takes it',
    'the laboratory’s own form, signed',
    'something that soaks up, and a bag that does not leak',
    'cold pack where the laboratory asks for one; never frozen',
    'marked as the carrier’s rules for samples want it',
  ];
  return (
    <section>
      <h2>The parcel</h2>
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
      <p>Sent on ________________ by ________________</p>
    </section>
  );
}
