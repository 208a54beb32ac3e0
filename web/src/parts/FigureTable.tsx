import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** Labels on the left in soft ink, their figures beside them; `$isSum` puts the figures to the right, in bold. */
export const FigureTable = styled.table<{ $isSum?: boolean }>`
  margin-top: ${space(1)};
  th {
    text-align: left;
    font-weight: 400;
    color: ${colour('inkSoft')};
    vertical-align: top;
    padding: ${space(1)} ${space(3)} ${space(1)} 0;
  }
  td {
    padding: ${space(1)} 0;
    vertical-align: top;
    ${({ $isSum }) => ($isSum ? 'text-align: right; font-weight: 700; white-space: nowrap;' : '')}
  }
  th + th + th,
  td + td {
    padding-left: ${space(1)};
  }
`;
