import type { InputHTMLAttributes } from 'react';
import styled from 'styled-components';
import { colour, touchable } from '../theme/tokens';

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, 'type'> & { readonly 'aria-label': string };

/** A box to tick in a dense row: small to see, big enough to touch. */
export const RowTick = (props: Props) => (
  <Area>
    <input type="checkbox" {...props} />
  </Area>
);

const Area = styled.label`
  ${touchable}
  display: block;
  width: 20px;
  height: 20px;
  margin: 0 auto;
  cursor: pointer;
  input {
    /* Over the area that answers for it: a press on the box is a press on the box. */
    position: relative;
    z-index: 1;
    display: block;
    width: 20px;
    height: 20px;
    margin: 0;
    accent-color: ${colour('indigo')};
  }
`;
