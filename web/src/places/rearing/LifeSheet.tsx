import { useQuery } from '@tanstack/react-query';
import { EASE_WORDS, type LifeView } from '@yaylak/contract';
import { fieldWord, SPECIES_WORDS, type WeightUnit } from '@yaylak/core';
import { useParams } from 'react-router';
import { lifeQuery } from '../../api/queries';
import { LineTable } from '../../parts/LineTable';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { countText, figureText, fullDate, perYearText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';

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
        title={`${tag.text}${tag.name ? ` ${tag.name}` : ''}: her record`}
        back={{ to: `/animals/${tag.animalId}`, words: 'Her page' }}
        print="Print the card"
      />
      <p>{whoText(data)}</p>
      {litters.length === 0 ? (
        <Empty title={`No ${words.birth} of hers is in the book`}>Births are recorded under Births.</Empty>
      ) : (
        <>
          <p>
            <b>{sumText(data, unit)}</b>
          </p>
          <p>{othersText(data)}</p>
          {data.trend?.suggestion ? <p>{data.trend.suggestion}</p> : null}
          <LineTable>
            <thead>
              <tr>
                <th>Born on</th>
                <th>Sire</th>
                <th>Alive</th>
                <th>Dead</th>
                <th>How</th>
                <th>Fostered</th>
                <th>Lost</th>
                <th>Reared</th>
                <th>Weaned</th>
                <th>Days since the last</th>
                <th>Here</th>
              </tr>
            </thead>
            <tbody>
              {litters.toReversed().map((l) => (
                <tr key={l.on}>
                  <td>{fullDate(l.on)}</td>
                  <td>{l.sires.map((s) => s.name ?? s.text).join(' or ')}</td>
                  <td>{l.alive}</td>
                  <td>{l.dead === 0 ? '' : l.dead}</td>
                  <td>{l.ease === null ? '' : EASE_WORDS[l.ease]}</td>
                  <td>
                    {[
                      ...(l.fosteredAway > 0 ? [`${l.fosteredAway} away`] : []),
                      ...(l.fosteredTo > 0 ? [`${l.fosteredTo} to her`] : []),
                    ].join(', ')}
                  </td>
                  <td>{l.lost === 0 ? '' : l.lost}</td>
                  <td>
                    {l.reared}
                    {l.withHer > 0 ? `, ${l.withHer} with her` : ''}
                  </td>
                  <td>{l.weanedKg === null ? '' : weightText(l.weanedKg, unit, species)}</td>
                  <td>{l.intervalDays ?? ''}</td>
                  <td>{l.here.map((t) => (t.kind === 'none' ? 'no number' : t.text)).join(', ')}</td>
                </tr>
              ))}
            </tbody>
          </LineTable>
        </>
      )}
      <Small>
        Reared: weaned, or past the age of weaning, each counted at the dam that reared it. Weaned: all of them
        together, set to the age of weaning. {fullDate(data.on)}.
      </Small>
    </PaperSheet>
  );
}

function whoText({ species, sex, bornOn, groupName, dam, sire }: LifeView): string {
  const what = fieldWord({ species, sex }, undefined);
  return `${[
    what.charAt(0).toUpperCase() + what.slice(1),
    ...(bornOn === null ? [] : [`born ${fullDate(bornOn)}`]),
    ...(dam ? [`of ${dam.name ?? dam.text}`] : []),
    ...(sire ? [`by ${sire.name ?? sire.text}`] : []),
    ...(groupName ? [groupName] : []),
  ].join(', ')}.`;
}

function sumText({ sums, species }: LifeView, unit: WeightUnit): string {
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  return `${[
    countText(sums.litters, 'birth', 'births'),
    `${countText(sums.born, one, many)} alive${sums.dead > 0 ? ` and ${sums.dead} dead` : ''}`,
    `${sums.reared} reared${sums.perYear === null ? '' : `, ${perYearText(sums.perYear)}`}`,
    ...(sums.weaned === null
      ? []
      : [
          `${weightText(sums.weaned.kgALitter, unit, species)} weaned a litter (${sums.weaned.litters} of ${sums.litters} weighed)`,
        ]),
    ...(sums.forWeight
      ? [
          `${weightText(sums.forWeight.kgAYear, unit, species)} weaned a year, ${figureText(sums.forWeight.forAKg, 2)} times her own weight of ${weightText(sums.forWeight.damKg, unit, species)}`,
        ]
      : []),
    ...(sums.meanIntervalDays === null ? [] : [`${Math.round(sums.meanIntervalDays)} days from birth to birth`]),
    ...(sums.hardBirths > 0 ? [countText(sums.hardBirths, 'hard birth', 'hard births')] : []),
  ].join('; ')}.`;
}

function othersText({ others, sums, species }: LifeView): string {
  if (others.females === 0) return 'There are no others to hold her against.';
  const own = (count: number): string => figureText(count / Math.max(1, sums.litters), 1);
  return `A litter: ${own(sums.born)} alive, the ${others.females} other ${SPECIES_WORDS[species].grown.female[1]} ${
    others.bornALitter === null ? 'none' : figureText(others.bornALitter, 1)
  }; ${own(sums.reared)} reared, the others ${others.rearedALitter === null ? 'not known' : figureText(others.rearedALitter, 1)}${
    others.intervalDays === null || sums.meanIntervalDays === null
      ? ''
      : `; ${Math.round(sums.meanIntervalDays)} days between births, the others ${Math.round(others.intervalDays)}`
  }.`;
}
