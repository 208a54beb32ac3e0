import { useQuery } from '@tanstack/react-query';
import { SPECIES, type Species } from '@yaylak/core';
import styled from 'styled-components';
import { todayQuery } from '../../api/queries';
import { Tick } from '../../parts/Tick';
import { space } from '../../theme/tokens';
import { say, SPECIES_WORDS } from '@yaylak/contract';

interface Props {
  readonly value: readonly Species[];
  readonly onChange: (species: readonly Species[]) => void;
}

/** Which species are kept. One whose animals are here stays ticked: nobody that is here is out of sight. */
export function SpeciesTicks({ value, onChange }: Props) {
  const { data: today } = useQuery(todayQuery);
  const here = (species: Species): number => today?.head.find((h) => h.species === species)?.present ?? 0;
  return (
    <Ticks role="group" aria-label={say('Species kept')}>
      {SPECIES.map((s) => (
        <Tick
          key={s}
          label={`${SPECIES_WORDS[s].name}${here(s) > 0 ? say(', {here} here', { here: here(s) }) : ''}`}
          isSelected={value.includes(s)}
          isDisabled={here(s) > 0 || (value.length === 1 && value.includes(s))}
          onChange={(isKept) => onChange(SPECIES.filter((one) => (one === s ? isKept : value.includes(one))))}
        />
      ))}
    </Ticks>
  );
}

const Ticks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space(5)};
`;
