import styled from 'styled-components';
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
          <Button kind="quiet" aria-label={`Drop ${reading.text}`} onPress={() => onDrop(reading)}>
            Drop
          </Button>
        </Row>
      ))}
    </Box>
  );
}

const key = (jobId: string): string => `yaylak-aside-${jobId}`;

/** What was kept aside of a job on this device. */
export function keptAside(jobId: string | undefined): readonly AsideReading[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key(jobId ?? '')) ?? '[]');
    return Array.isArray(kept) ? (kept as AsideReading[]) : [];
  } catch {
    return [];
  }
}

export function keepAside(jobId: string | undefined, readings: readonly AsideReading[]): void {
  if (jobId === undefined) return;
  if (readings.length === 0) localStorage.removeItem(key(jobId));
  else localStorage.setItem(key(jobId), JSON.stringify(readings));
}

const Box = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  padding: ${space(2)} ${space(5)};
`;
