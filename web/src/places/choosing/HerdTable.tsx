import type { HerdView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Small } from '../../parts/Panel';
import { figureText } from '../../words/format';
import { DenseTable, Frame } from '../../parts/Beside';
import { say, perCent } from '@yaylak/contract';

const percent = (share: number): string => perCent(Math.round(100 * share));

/** The shares the look ahead goes by: own records beside the table, and how far the own are used. */
export function HerdTable({ view }: { readonly view: HerdView }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button kind="quiet" aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
        {isOpen ? say('Hide the shares') : say('Shares it goes by')}
      </Button>
      {isOpen ? (
        <Frame>
          <DenseTable aria-label={say('Shares by age')}>
            <thead>
              <tr>
                <th>{say('Age')}</th>
                <th data-figure>{say('Here')}</th>
                <th data-figure>{say('Die')}</th>
                <th data-figure>{say('Culled')}</th>
                <th data-figure>{say('Daughters')}</th>
                <th data-figure>{say('Own')}</th>
              </tr>
            </thead>
            <tbody>
              {view.classes.map((c, i) => (
                <tr key={c.ageYears}>
                  <td>
                    {c.ageYears}
                    {i === view.classes.length - 1 ? '+' : ''}
                  </td>
                  <td data-figure>{c.head}</td>
                  <td data-figure title={say('table {percent}', { percent: percent(c.table.died) })}>
                    {percent(c.died)}
                  </td>
                  <td data-figure title={say('table {percent}', { percent: percent(c.table.culled) })}>
                    {percent(c.culled)}
                  </td>
                  <td data-figure title={say('table {figure}', { figure: figureText(c.table.young, 2) })}>
                    {figureText(c.young, 2)}
                  </td>
                  <td data-figure title={say('{years} female years on record', { years: c.years })}>
                    {percent(c.ownWeight)}
                  </td>
                </tr>
              ))}
            </tbody>
          </DenseTable>
        </Frame>
      ) : null}
      {isOpen ? (
        <Small>
          {say(
            'Own: how far your own records count beside the table. Daughters: young females brought to one year, a female a year.',
          )}
        </Small>
      ) : null}
    </>
  );
}
