import styled from 'styled-components';
import { colour, space, touch } from '../theme/tokens';

/** A filter that is on or off, said by `aria-pressed`. */
export const Chip = styled.button`
  min-height: ${touch};
  min-width: ${touch};
  padding: 0 ${space(3)};
  border-radius: 22px;
  border: 1px solid ${colour('lineStrong')};
  background: ${colour('panel')};
  cursor: pointer;
  &[aria-pressed='true'] {
    background: ${colour('indigo')};
    border-color: ${colour('indigo')};
    color: ${colour('onIndigo')};
  }
`;
