import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { Button } from './Button';
import { Row, Stack } from './Panel';
import { say } from '@yaylak/contract';

/** How far long work has come, and the way to end it. */
export function Progress({
  words,
  done,
  of,
  onStop,
}: {
  readonly words: string;
  readonly done: number;
  readonly of: number;
  readonly onStop: () => void;
}) {
  return (
    <Stack $gap={2} role="status">
      <Bar aria-label={say('Progress')} value={done} max={of} />
      <Row>
        <span>{words}</span>
        <Button onPress={onStop}>{say('Stop')}</Button>
      </Row>
    </Stack>
  );
}

const Bar = styled.progress`
  width: 100%;
  accent-color: ${colour('indigo')};
`;
