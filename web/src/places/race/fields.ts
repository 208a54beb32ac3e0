import styled from 'styled-components';
import { fieldLook } from '../../parts/fieldLook';
import { KEYS_HIGH } from './raceFrame';
import { colour, fonts, phone, space, touchRace } from '../../theme/tokens';

/** A question with its one big field. */
export const Ask = styled.div`
  padding: ${space(4)} ${space(5)} ${space(2)};
  ${phone} {
    padding: ${space(2)} ${space(4)};
  }
  label {
    display: block;
    color: ${colour('inkSoft')};
    margin-bottom: ${space(1)};
  }
`;
/** Read across the race, typed with a gloved hand. */
export const BigInput = styled.input`
  ${fieldLook}
  width: 100%;
  max-width: 340px;
  height: 84px;
  font: 700 56px/1 ${fonts.mono};
  border-width: 2px;
  ${phone} {
    height: ${touchRace};
    font-size: 40px;
    /* Clear of the keys and the gates over them. */
    scroll-margin: 72px 0 ${KEYS_HIGH + 130}px;
  }
`;
