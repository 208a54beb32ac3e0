import styled from 'styled-components';
import { space } from '../theme/tokens';

/** A page that is meant for paper: narrow on the screen, to the edge when printed. */
export const PaperSheet = styled.main`
  max-width: 900px;
  margin: 0 auto;
  padding: ${space(6)};
  display: flex;
  flex-direction: column;
  gap: ${space(3)};
  /* A table wider than a phone is pushed along, not the page. */
  overflow-x: auto;
  @media print {
    overflow: visible;
    padding: 0;
    max-width: none;
  }
`;
