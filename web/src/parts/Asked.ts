import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** What is asked before it is taken: pressed again, it was meant so. */
export const Asked = styled.div`
  padding: ${space(2)} ${space(3)};
  background: ${colour('weldWash')};
  border-left: 5px solid ${colour('weldFill')};
`;
