import { dotted, slanted } from './weave';

/**
 * How a block of the year band looks by its kind: slanted mating, plain carrying, dotted births, green rearing, blue
 * loads, slanted blue who is for sale; a plan is an outline with the same weave, paler.
 */
export const bandLook = `
  &[data-kind='mating'] {
    background: ${slanted('#a23b2a', '#5d2b22', 4)};
  }
  &[data-kind='carrying'] {
    background: #7d6a58;
  }
  &[data-kind='births'] {
    background: ${dotted('#fff3d2', '#b97f14', 9, 12)};
  }
  &[data-kind='rearing'] {
    background: #66875f;
  }
  &[data-kind='load'] {
    background: #8fb0d6;
  }
  &[data-kind='sale'] {
    background: ${slanted('#8fb0d6', '#43597a', 3)};
  }
  &[data-planned] {
    opacity: 0.55;
    border: 1px solid #f4eee2;
  }
`;
