import styled from 'styled-components';
import { colour } from '../theme/tokens';

/** A key as it stands on the keyboard. */
export const Key = styled.kbd`
  border: 1px solid ${colour('lineStrong')};
  border-bottom-width: 2px;
  border-radius: 4px;
  padding: 1px 6px;
  font-size: 13px;
  background: ${colour('panel')};
  color: ${colour('ink')};
`;
