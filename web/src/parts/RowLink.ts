import { Link } from 'react-router';
import styled from 'styled-components';
import { touch } from '../theme/tokens';

/** A link that stands alone in a row: as high as a finger needs. */
export const RowLink = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: ${touch};
`;
