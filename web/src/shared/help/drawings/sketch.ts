import styled from 'styled-components';
import { colour } from '../../../theme/tokens';

/** Line and wash: what every drawing of the help is made with. */
export const Sketch = styled.svg`
  display: block;
  width: 100%;
  max-width: 300px;
  text {
    font-size: 11px;
    fill: ${colour('ink')};
  }
  .wash {
    fill: ${colour('stretch')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
  .skin {
    fill: ${colour('madderWash')};
    stroke: ${colour('ink')};
    stroke-width: 1.5;
  }
  .line {
    fill: none;
    stroke: ${colour('ink')};
    stroke-width: 1.5;
    stroke-linecap: round;
  }
  .limb {
    fill: none;
    stroke: ${colour('ink')};
    stroke-width: 12;
    stroke-linecap: round;
  }
  .limb + .limb {
    stroke: ${colour('stretch')};
    stroke-width: 9;
  }
  .thin {
    fill: none;
    stroke: ${colour('inkSoft')};
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
  .mark {
    fill: ${colour('indigo')};
    stroke: ${colour('panel')};
    stroke-width: 1.5;
  }
  .number {
    fill: ${colour('onIndigo')};
    font-size: 10px;
    font-weight: 700;
    text-anchor: middle;
  }
`;
