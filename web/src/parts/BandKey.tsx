import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { bandLook } from './bandLook';
import { PlainList } from './PlainList';
import { say } from '@yaylak/contract';

/** What the blocks of the year band stand for. */
const KINDS = [
  { kind: 'mating', words: say('mating') },
  { kind: 'carrying', words: say('carrying') },
  { kind: 'births', words: say('births') },
  { kind: 'rearing', words: say('rearing') },
  { kind: 'load', words: say('a load that leaves') },
  { kind: 'sale', words: say('ready, or kept for a buyer') },
  { kind: 'mating', words: say('pale, with an edge: planned or expected'), isPlanned: true },
] as const;

/** The key of the year band: a swatch of each weave and what it stands for. */
export const BandKey = () => (
  <Swatches aria-label={say('Key of the year band')}>
    {KINDS.map((one) => (
      <li key={one.words}>
        <span data-kind={one.kind} data-planned={'isPlanned' in one || undefined} aria-hidden />
        {one.words}
      </li>
    ))}
  </Swatches>
);

const Swatches = styled(PlainList)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(4)};
  font-size: 13px;
  color: ${colour('inkSoft')};
  li {
    display: flex;
    align-items: center;
    gap: ${space(2)};
  }
  span {
    display: inline-block;
    width: 34px;
    height: 12px;
    border-radius: 2px;
    print-color-adjust: exact;
    ${bandLook}
  }
  span[data-planned] {
    border-color: ${colour('ink')};
  }
`;
