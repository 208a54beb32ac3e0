import { colour, phone, space } from '../theme/tokens';

/**
 * Where a table would be cut on a phone: each row is a block, its first cell above the others, and those under the
 * words of their heading, which they carry as `data-under`.
 */
export const stackedOnPhone = `
  ${phone} {
    &,
    tbody {
      display: block;
    }
    /* Of the headings those stay that tell how their figures come about. */
    thead th:not(:has(button)) {
      display: none;
    }
    thead tr {
      display: flex;
      gap: ${space(4)};
    }
    tbody tr {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: ${space(1)} ${space(3)};
      padding: ${space(2)} 0;
      border-bottom: 1px solid ${colour('line')};
    }
    && tbody tr > * {
      height: auto;
      min-width: 0;
      max-width: none;
      padding: 0;
      text-align: left;
      border: 0;
    }
    && tbody tr > :first-child {
      grid-column: 1 / -1;
      font-weight: 600;
    }
    tbody td:empty {
      display: none;
    }
    [data-under]::before {
      content: attr(data-under);
      display: block;
      font-size: 13px;
      color: ${colour('inkSoft')};
    }
  }
`;

/** The same in a frame, whose edge the rows keep away from. */
export const stackedInFrame = `
  ${stackedOnPhone}
  ${phone} {
    && tbody tr {
      padding-inline: ${space(3)};
    }
  }
`;
