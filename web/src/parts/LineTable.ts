import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** Rows with a line between, headings small; on paper closer together, each page with its headings. */
export const LineTable = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    text-align: left;
  }
  thead th {
    font-weight: 400;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  td,
  th {
    padding: ${space(1)} ${space(2)} ${space(1)} 0;
    vertical-align: top;
    border-bottom: 1px solid ${colour('line')};
  }
  thead {
    display: table-header-group;
  }
  tr {
    break-inside: avoid;
  }
  @media print {
    font-size: 9.5pt;
    th,
    td {
      padding: 3px 6px 3px 0;
      border-color: #999;
    }
    thead th,
    p {
      font-size: 8.5pt;
      color: #000;
    }
  }
`;
