import { colour, radius, space, touchHere } from '../theme/tokens';

/** What is typed into, wherever it stands. */
export const fieldLook = `
  min-height: ${touchHere};
  padding: 0 ${space(3)};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('panel')};
  color: ${colour('ink')};
  min-width: 0;
`;
