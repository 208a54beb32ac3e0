import styled from 'styled-components';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { space } from '../../theme/tokens';
import type { AsideReading } from './draft';

interface Props {
  readonly readings: readonly AsideReading[];
  /** A number is asked for: a number kept aside can be taken up. */
  readonly isNumber: boolean;
  readonly onTake: (reading: AsideReading) => void;
  readonly onDrop: (reading: AsideReading) => void;
}

/** Readings that found no animal, kept until somebody says whose they are. */
export function AsideReadings({ readings, isNumber, onTake, onDrop }: Props) {
  if (readings.length === 0) return null;
  return (
    <Box role="group" aria-label="Kept aside">
      <Small>Readings kept aside, until you say whose they are</Small>
      {readings.map((reading, i) => (
        <Row key={`${i} ${reading.text}`}>
          <b>
            {reading.kind === 'weight' ? 'weight' : 'number'} {reading.text}
          </b>
          <Button isDisabled={reading.kind === 'number' && !isNumber} onPress={() => onTake(reading)}>
            Take it up
          </Button>
          <AskButton
            kind="quiet"
            label="Drop"
            name={`Drop ${reading.text}`}
            ask={`Drop ${reading.text} for good?`}
            onConfirm={() => onDrop(reading)}
          />
        </Row>
      ))}
    </Box>
  );
}

const Box = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  padding: ${space(2)} ${space(5)};
`;
