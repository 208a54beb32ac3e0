import styled from 'styled-components';
import { LineTable } from '../../parts/LineTable';
import { stackedOnPhone } from '../../parts/stackedOnPhone';

/** A list whose lines each end with a button, and stand as blocks on a phone. */
export const ListWithButtons = styled(LineTable)`
  margin-top: 12px;
  ${stackedOnPhone}
  td {
    vertical-align: middle;
  }
`;
