import { scaleUnit } from '@yaylak/core';
import { Small } from '../../parts/Panel';
import { gainText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import type { JobFigures } from './jobFigures';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** Mean weight and gain of a job; of more than one species each its own. */
export function JobMeans({ figures: { kinds }, none }: { readonly figures: JobFigures; readonly none: string }) {
  const unit = useWeightUnit();
  const isMixed = kinds.length > 1;
  return kinds.map(({ species, meanKg, meanGain }) => {
    const of = isMixed ? `, ${SPECIES_WORDS[species].plural}` : '';
    return [
      <div key={`${species} kg`}>
        <Small>{say('Mean weight{of}', { of })}</Small>
        <b>{meanKg === undefined ? none : weightText(meanKg, unit, species)}</b>
      </div>,
      <div key={`${species} gain`}>
        <Small>{say('Mean gain{of}', { of })}</Small>
        <b>{meanGain === undefined ? none : gainText(meanGain, scaleUnit(species, unit))}</b>
      </div>,
    ];
  });
}
