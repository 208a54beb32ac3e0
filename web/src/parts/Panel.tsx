import styled from 'styled-components';
import { colour, radius, space } from '../theme/tokens';

/** A sheet of fleece on the wool ground. */
export const Panel = styled.section`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  padding: ${space(4)};
`;

/** A panel with one meaning along its left edge. */
export const NotePanel = styled(Panel)<{ $tone: 'weld' | 'madder' | 'indigo' | 'moss' }>`
  border-left: 5px solid ${({ $tone }) => colour($tone)};
`;

export const Soft = styled.span`
  color: ${colour('inkSoft')};
`;

export const Small = styled.p`
  color: ${colour('inkSoft')};
  font-size: 13px;
`;

export const Row = styled.div<{ $gap?: number }>`
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: ${({ $gap }) => space($gap ?? 2)};
`;

export const Stack = styled.div<{ $gap?: number }>`
  display: flex;
  flex-direction: column;
  gap: ${({ $gap }) => space($gap ?? 4)};
`;
