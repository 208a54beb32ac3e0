import styled from 'styled-components';
import { colour } from '../theme/tokens';

/** What is wrong with a choice or a tick, beneath it. */
export const Wrong = styled.span`
  font-size: 13px;
  color: ${colour('madder')};
  font-weight: 600;
`;
