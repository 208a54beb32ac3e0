import { useQuery } from '@tanstack/react-query';
import { EASE_WORDS, type LifeView, say, fieldWord, SPECIES_WORDS, capital } from '@yaylak/contract';
import type { WeightUnit } from '@yaylak/core';
import { useParams } from 'react-router';
import { lifeQuery } from '../../api/queries';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { fullDate } from '../../words/dates';
import { countText, figureText, perYearText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { RearedHow } from '../../parts/hows/RearedHow';

/** The record of a female's life, on paper as the card of her pen. */
export function LifeSheet() {
  const { id = '' } = useParams();
  const unit = useWeightUnit();
  const { data, error, refetch } = useQuery(lifeQuery(id));
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  const { tag, litters, species } = data;
  const words = SPECIES_WORDS[species];
  return (
    <PaperSheet>
      <PaperHead
        title={say('{text}{value}: her record', { text: tag.text, value: tag.name ? ` ${tag.name}` : '' })}
        back={{ to: `/animals/${tag.animalId}`, words: say('Her page') }}
        print={say('Print the card')}
      />
      <p>{whoText(data)}</p>
      {litters.length === 0 ? (
        <Empty title={say('No {birth} of hers is in the book', { birth: words.birth })}>
          {say('Births are recorded under Births.')}
        </Empty>
      ) : (
        <>
          <p>
            <b>{sumText(data, unit)}</b> <RearedHow />
          </p>
          <p>{othersText(data)}</p>
          {data.trend?.suggestion ? <p>{data.trend.suggestion}</p> : null}
          <LineTable>
            <thead>
              <tr>
                <th>{say('Born on')}</th>
                <th>{say('Sire')}</th>
                <th>{say('Alive')}</th>
                <th>{say('Dead')}</th>
                <th>{say('How')}</th>
                <th>{say('Fostered')}</th>
                <th>{say('Lost')}</th>
                <th>{say('Reared')}</th>
                <th>{say('Weaned')}</th>
                <th>{say('Days since the last')}</th>
                <th>{say('Here')}</th>
              </tr>
            </thead>
            <tbody>
              {litters.toReversed().map((l) => (
                <tr key={l.on}>
                  <td>{fullDate(l.on)}</td>
                  <td>{l.sires.map((s) => s.name ?? s.text).join(` ${say('or')} `)}</td>
                  <td>{l.alive}</td>
                  <td>{l.dead === 0 ? '' : l.dead}</td>
                  <td>{l.ease === null ? '' : EASE_WORDS[l.ease]}</td>
                  <td>
                    {[
                      ...(l.fosteredAway > 0 ? [say('{fosteredAway} away', { fosteredAway: l.fosteredAway })] : []),
                      ...(l.fosteredTo > 0 ? [say('{fosteredTo} to her', { fosteredTo: l.fosteredTo })] : []),
                    ].join(', ')}
                  </td>
                  <td>{l.lost === 0 ? '' : l.lost}</td>
                  <td>
                    {l.reared}
                    {l.withHer > 0 ? say(', {withHer} with her', { withHer: l.withHer }) : ''}
                  </td>
                  <td>{l.weanedKg === null ? '' : weightText(l.weanedKg, unit, species)}</td>
                  <td>{l.intervalDays ?? ''}</td>
                  <td>{l.here.map((t) => (t.kind === 'none' ? say('no number') : t.text)).join(', ')}</td>
                </tr>
              ))}
            </tbody>
          </LineTable>
        </>
      )}
      <Small>
        {say(
          'Reared: weaned, or past the age of weaning, each counted at the dam that reared it. Weaned: all of them together, set to the age of weaning. {date}.',
          { date: fullDate(data.on) },
        )}
      </Small>
    </PaperSheet>
  );
}

function whoText({ species, sex, bornOn, groupName, dam, sire }: LifeView): string {
  const what = fieldWord({ species, sex }, undefined);
  return `${[
    capital(what),
    ...(bornOn === null ? [] : [say('born {date}', { date: fullDate(bornOn) })]),
    ...(dam ? [say('of {n}', { n: dam.name ?? dam.text })] : []),
    ...(sire ? [say('by {n}', { n: sire.name ?? sire.text })] : []),
    ...(groupName ? [groupName] : []),
  ].join(', ')}.`;
}

function sumText({ sums, species }: LifeView, unit: WeightUnit): string {
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  return `${[
    say('{litters} {litters, plural, one {birth} other {births}}', { litters: sums.litters }),
    say('{count} alive{value}', {
      count: countText(sums.born, one, many),
      value: sums.dead > 0 ? ` ${say('and {dead} dead', { dead: sums.dead })}` : '',
    }),
    say('{reared} reared{value}', {
      reared: sums.reared,
      value: sums.perYear === null ? '' : `, ${perYearText(sums.perYear)}`,
    }),
    ...(sums.weaned === null
      ? []
      : [
          say('{weight} weaned a litter ({litters} of {litters2} weighed)', {
            weight: weightText(sums.weaned.kgALitter, unit, species),
            litters: sums.weaned.litters,
            litters2: sums.litters,
          }),
        ]),
    ...(sums.forWeight
      ? [
          say('{weight} weaned a year, {figure} times her own weight of {weight2}', {
            weight: weightText(sums.forWeight.kgAYear, unit, species),
            figure: figureText(sums.forWeight.forAKg, 2),
            weight2: weightText(sums.forWeight.damKg, unit, species),
          }),
        ]
      : []),
    ...(sums.meanIntervalDays === null
      ? []
      : [say('{n} days from birth to birth', { n: Math.round(sums.meanIntervalDays) })]),
    ...(sums.hardBirths > 0
      ? [
          say('{hardBirths} {hardBirths, plural, one {hard birth} other {hard births}}', {
            hardBirths: sums.hardBirths,
          }),
        ]
      : []),
  ].join('; ')}.`;
}

function othersText({ others, sums, species }: LifeView): string {
  if (others.females === 0) return say('There are no others to hold her against.');
  const own = (count: number): string => figureText(count / Math.max(1, sums.litters), 1);
  return say(
    'A litter: {own} alive, the {females} other {value} {value2}; {own2} reared, the others {value3}{value4}.',
    {
      own: own(sums.born),
      females: others.females,
      value: SPECIES_WORDS[species].grown.female[1],
      value2: others.bornALitter === null ? say('none') : figureText(others.bornALitter, 1),
      own2: own(sums.reared),
      value3: others.rearedALitter === null ? say('not known') : figureText(others.rearedALitter, 1),
      value4:
        others.intervalDays === null || sums.meanIntervalDays === null
          ? ''
          : say('; {n} days between births, the others {n2}', {
              n: Math.round(sums.meanIntervalDays),
              n2: Math.round(others.intervalDays),
            }),
    },
  );
}
