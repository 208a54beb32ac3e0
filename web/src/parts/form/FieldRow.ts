import styled from 'styled-components';
import { Row } from '../Panel';

/** Fields beside each other in one line, whatever stands below some of them; a button or a tag stands beside the inputs. */
export const FieldRow = styled(Row)`
  align-items: flex-start;
  > button,
  > :not(label, div) {
    margin-top: 23px;
  }
`;
