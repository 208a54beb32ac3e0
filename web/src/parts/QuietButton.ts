import styled from 'styled-components';
import { colour, space, touch } from '../theme/tokens';

/** A button at the edge of things: words and a sign, no frame. */
export const QuietButton = styled.button`
  display: flex;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  min-width: ${touch};
  padding: 0;
  border: 0;
  background: none;
  font-size: 13px;
  color: ${colour('indigo')};
  cursor: pointer;
`;
