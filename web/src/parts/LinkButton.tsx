import styled from 'styled-components';
import { colour, radius, space, touch } from '../theme/tokens';

/** A link that looks like a button: it fetches a file. */
export const LinkButton = styled.a`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-height: ${touch};
  padding: 0 ${space(4)};
  border: 1px solid ${colour('indigo')};
  border-radius: ${radius};
  color: ${colour('indigo')};
  background: ${colour('panel')};
  font-weight: 600;
  text-decoration: none;
  white-space: nowrap;
`;
