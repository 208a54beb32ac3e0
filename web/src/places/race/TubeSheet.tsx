import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { Link, useParams } from 'react-router';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { LinkButton } from '../../parts/LinkButton';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Row, Small } from '../../parts/Panel';
import { Empty, Loading } from '../../parts/States';
import { countText, fullDate } from '../../words/format';
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
  const csv = (): void =>
    saveFile(
      `tubes-${job.on}.csv`,
      'text/csv',
      `${unparse(
        {
          fields: ['tube', 'sample', 'number', 'electronic', 'species', 'sex', 'date'],
          data: rows.map((r) =>
            [r.tube, r.purpose, r.number, r.electronic, r.species, r.sex, job.on].map((c) => neutralCell(c)),
          ),
        },
        { newline: '\r\n' },
      )}\r\n`,
    );
  return (
    <PaperSheet>
      <Row style={{ justifyContent: 'space-between' }}>
        <h1>Tubes: {job.name}</h1>
        <Row className="no-print">
          <LinkButton as={Link} to={`/race/${id}`}>
            Back to the job
          </LinkButton>
          <Button onPress={csv}>As a file (CSV)</Button>
          <Button kind="main" onPress={() => window.print()}>
            Print
          </Button>
        </Row>
      </Row>
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
            <th>Seen twice</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.tube}>
              <td>
                <b>{r.tube}</b>
              </td>
              <td>{r.purpose}</td>
              <td>{r.number}</td>
              <td>{r.electronic}</td>
              <td>
                {r.species}, {r.sex}
              </td>
              <td>
                <TickBox says={`tube ${r.tube} looked at when it is packed`} />
              </td>
            </tr>
          ))}
        </tbody>
      </LineTable>
      <Small>One needle and one tube for each animal. Blood and swabs can carry what people catch: gloves on.</Small>
    </PaperSheet>
  );
}
