import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** How a stretch of days is drawn: a track, a mark for today and its ends in words. */
export const StretchBox = styled.div`
  min-width: 150px;
`;
export const StretchTrack = styled.div`
  position: relative;
  height: 8px;
  border-radius: 4px;
  background: ${colour('stretch')};
  margin: ${space(2)} 0 ${space(1)};
`;
export const StretchNow = styled.span`
  position: absolute;
  top: -6px;
  width: 2px;
  height: 20px;
  background: ${colour('ink')};
`;
export const StretchLabels = styled.div`
  display: flex;
  justify-content: space-between;
  gap: ${space(2)};
  font-size: 12px;
  color: ${colour('inkSoft')};
`;
