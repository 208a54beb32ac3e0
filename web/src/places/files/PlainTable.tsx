import styled from 'styled-components';
import { colour, space } from '../../theme/tokens';

/** A small table of text. */
export const PlainTable = styled.table`
  th,
  td {
    text-align: left;
    padding: ${space(1)} ${space(3)} ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
    font-size: 14px;
  }
  th {
    color: ${colour('inkSoft')};
  }
  caption {
    caption-side: bottom;
    text-align: left;
  }
`;
