import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour, narrow, radius, space } from '../theme/tokens';

/** A step's list, and what stands beside it. */
export const Beside = ({ children, aside }: { readonly children: ReactNode; readonly aside: ReactNode }) => (
  <Grid>
    <Column>{children}</Column>
    <Column className="no-print">{aside}</Column>
  </Grid>
);

const Grid = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: ${space(4)} ${space(5)};
  align-items: start;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`;
const Column = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  min-width: 0;
`;

/** A dense list that may scroll sideways inside itself. */
export const Frame = styled.div`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  overflow-x: auto;
`;

export const DenseTable = styled.table`
  width: 100%;
  th {
    text-align: left;
    font-size: 13px;
    font-weight: 600;
    color: ${colour('inkSoft')};
    padding: ${space(2)} 4px;
    border-bottom: 1px solid ${colour('lineStrong')};
  }
  [data-figure] {
    text-align: right;
    white-space: nowrap;
  }
  td {
    padding: 2px 4px;
    height: 44px;
  }
  tbody tr {
    border-bottom: 1px solid ${colour('line')};
  }
  th:first-child,
  td:first-child {
    padding-left: ${space(3)};
  }
  tr[data-struck] td[data-struck] {
    text-decoration: line-through;
  }
  tr[data-struck] td {
    color: ${colour('inkSoft')};
  }
`;
