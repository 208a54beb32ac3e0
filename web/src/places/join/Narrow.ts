import styled from 'styled-components';
import { space } from '../../theme/tokens';

/** A page that asks one thing, without the places around it. */
export const Narrow = styled.main`
  max-width: 560px;
  margin: 0 auto;
  padding: ${space(6)} ${space(4)};
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
`;
