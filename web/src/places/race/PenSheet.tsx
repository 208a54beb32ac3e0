import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { useQuery } from '@tanstack/react-query';
import { holdingQuery } from '../../api/queries';
import { useParams } from 'react-router';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { TickBox } from '../../parts/TickBox';
import { Small } from '../../parts/Panel';
import { Empty, Loading } from '../../parts/States';
import { fullDate, shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { saveFile } from '../../words/saveFile';
import { useWeightUnit } from '../../words/useHolding';
import { jobPens, type PenAnimal } from './pens';
import { markedGates } from './stations/sort';
import { useRace } from './useRace';
import { say } from '@yaylak/contract';

const electronicOf = ({ animal }: PenAnimal): string =>
  animal.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '';
const heldUntil = ({ animal }: PenAnimal, of: 'meat' | 'milk'): string =>
  animal.withheld
    .filter((w) => w.of === of)
    .map((w) => w.until)
    .sort()
    .at(-1) ?? '';

/** Who stands in which pen after the gate, to be read at the pen: both numbers, and what is withheld of whom. */
export function PenSheet() {
  const { id = '' } = useParams();
  const race = useRace(id);
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const { job } = race;
  if (!job)
    return race.isMissing ? (
      <Empty title={say('This job is not here')}>{say('It may be on another device.')}</Empty>
    ) : (
      <Loading />
    );
  const pens = jobPens(markedGates(job, holding?.decisionMarks ?? {}), race.passages, race.animals);
  const csv = (): void =>
    saveFile(
      `pens-${job.on}.csv`,
      'text/csv',
      `${unparse(
        {
          fields: [
            'pen',
            'number',
            'colour',
            'electronic',
            'name',
            'species',
            'sex',
            say('weight kg'),
            say('meat withheld to the end of'),
            say('milk withheld to the end of'),
          ],
          data: pens.flatMap((pen) =>
            pen.inside.map((one) =>
              [
                pen.name,
                one.animal.tag.text,
                one.animal.tag.colour ?? '',
                electronicOf(one),
                one.animal.tag.name ?? '',
                one.animal.species,
                one.animal.sex,
                one.kg ?? '',
                heldUntil(one, 'meat'),
                heldUntil(one, 'milk'),
              ].map((c) => neutralCell(String(c))),
            ),
          ),
        },
        { newline: '\r\n' },
      )}\r\n`,
    );
  return (
    <PaperSheet>
      <PaperHead
        title={say('Pens: {name}', { name: job.name })}
        back={{ to: `/race/${id}`, words: say('Back to the job') }}
      >
        <Button onPress={csv}>{say('As a file (CSV)')}</Button>
      </PaperHead>
      <p>{fullDate(job.on)}</p>
      {pens.length === 0 ? (
        <Empty title={say('This job sorts nobody')}>
          {say('A job with the station Sort has gates, and a pen behind each.')}
        </Empty>
      ) : null}
      {pens.map((pen) => (
        <section key={pen.name}>
          <h2>
            {pen.name}, {say('{n} {n, plural, one {animal} other {animals}}', { n: pen.inside.length })}
            {pen.gate?.mark
              ? say(', {colour} on the {place}', { colour: say(pen.gate.mark.colour), place: say(pen.gate.mark.place) })
              : ''}
          </h2>
          <p>{say('Counted in the pen: {n}', { n: pen.gate?.counted ?? '________' })}</p>
          {pen.inside.length === 0 ? (
            <Small>{say('Nobody.')}</Small>
          ) : (
            <LineTable>
              <thead>
                <tr>
                  <th>{say('Number')}</th>
                  <th>{say('Electronic')}</th>
                  <th>{say('Name')}</th>
                  <th>{say('Weight')}</th>
                  <th>{say('Withheld')}</th>
                  <th>{say('Is here')}</th>
                </tr>
              </thead>
              <tbody>
                {pen.inside.map((one) => {
                  const { tag, species } = one.animal;
                  return (
                    <tr key={tag.animalId}>
                      <td>
                        <b>{tag.text}</b> {tag.colour ? say(tag.colour) : ''}
                      </td>
                      <td>{electronicOf(one)}</td>
                      <td>{tag.name ?? ''}</td>
                      <td>{one.kg === undefined ? '' : weightText(one.kg, unit, species)}</td>
                      <td>
                        {(['meat', 'milk'] as const)
                          .flatMap((of) =>
                            heldUntil(one, of)
                              ? [say('{of} to {date}', { of, date: shortDate(heldUntil(one, of)) })]
                              : [],
                          )
                          .join(', ')}
                      </td>
                      <td>
                        <TickBox says={say('{text} is in {name}', { text: tag.text, name: pen.name })} />
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </LineTable>
          )}
        </section>
      ))}
    </PaperSheet>
  );
}
