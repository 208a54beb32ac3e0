import styled from 'styled-components';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { space } from '../../theme/tokens';
import type { AsideReading } from './draft';
import { say } from '@yaylak/contract';

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
    <Box role="group" aria-label={say('Kept aside')}>
      <Small>{say('Readings kept aside, until you say whose they are')}</Small>
      {readings.map((reading, i) => (
        <Row key={`${i} ${reading.text}`}>
          <b>
            {reading.kind === 'weight' ? say('weight') : say('number')} {reading.text}
          </b>
          <Button isDisabled={reading.kind === 'number' && !isNumber} onPress={() => onTake(reading)}>
            {say('Take it up')}
          </Button>
          <AskButton
            kind="quiet"
            label={say('Drop')}
            name={say('Drop {text}', { text: reading.text })}
            ask={say('Drop {text} for good?', { text: reading.text })}
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
  /* A gloved finger on one row is not on the next. */
  gap: ${space(5)};
  padding: ${space(2)} ${space(5)};
`;
