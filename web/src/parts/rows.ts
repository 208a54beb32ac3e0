import styled from 'styled-components';
import { Panel } from './Panel';
import { colour, phone, space } from '../theme/tokens';

/** A sheet of rows, each with what is due and the button that starts it. */
export const Rows = styled(Panel)`
  padding: 0;
`;
export const Item = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(170px, 230px) auto;
  gap: ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
  & + & {
    border-top: 1px solid ${colour('line')};
  }
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
    > span:empty {
      display: none;
    }
  }
`;
/** A row with its words wide and its buttons at the end. */
export const LookItem = styled(Item)`
  grid-template-columns: minmax(0, 1fr) auto auto;
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
export const Heading = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: ${space(2)};
`;
