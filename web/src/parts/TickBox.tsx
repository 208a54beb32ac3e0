import styled from 'styled-components';
import { colour } from '../theme/tokens';
import { say } from '@yaylak/contract';

/** A box to tick with a pencil on a printed sheet; read aloud by what ticking it says. */
export const TickBox = ({ says }: { readonly says: string }) => (
  <Box role="img" aria-label={say('{says}: a box to tick', { says })} />
);

const Box = styled.span`
  display: inline-block;
  width: 16px;
  height: 16px;
  border: 1px solid ${colour('ink')};
`;
