import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

interface Props {
  /** What is asked, a sentence each; nothing is shown where there is none. */
  readonly questions: readonly string[];
  /** What pressing again does. */
  readonly again: string;
}

/** What is asked before it is taken: pressed again, it was meant so. */
export function Asked({ questions, again }: Props) {
  if (questions.length === 0) return null;
  return (
    <Box role="alert">
      {questions.map((words) => (
        <p key={words}>{words}</p>
      ))}
      <p>{again}</p>
    </Box>
  );
}

const Box = styled.div`
  padding: ${space(2)} ${space(3)};
  background: ${colour('weldWash')};
  border-left: 5px solid ${colour('weldFill')};
`;
