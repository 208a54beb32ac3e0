import { colour, space } from '../theme/tokens';

/** A field's label over it, and what is to be said of it beneath. */
export const fieldFrame = `
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  label,
  .react-aria-Label {
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  [slot='description'] {
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  .react-aria-FieldError {
    font-size: 13px;
    color: ${colour('madder')};
    font-weight: 600;
  }
`;
