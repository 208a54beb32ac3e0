import type { TagView } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { colour, fonts, radius, TAG_FILLS, touchable } from '../theme/tokens';
import { shortDate } from '../words/dates';
import { reservedText } from '../words/reserved';
import { say } from '@yaylak/contract';

interface Props {
  readonly tag: TagView;
  readonly size?: 'small' | 'large';
  readonly isStatic?: boolean;
  /** -1 where the row it stands in is walked by arrows and takes Tab itself. */
  readonly tabIndex?: number;
}

/** What the picture of a tag says in words. */
export function tagLabel(tag: TagView): string {
  const electronic = tag.hasElectronic ? say(', with electronic tag') : '';
  const name = tag.name ? `, ${tag.name}` : '';
  const withheld = withheldWords(tag);
  const reserved = tag.reserved ? `, ${reservedText(tag.reserved)}` : '';
  return say('{colour} tag {text}{name}{electronic}{value}{value2}{reserved}', {
    colour: tag.colour ? say(tag.colour) : '',
    text: tag.text,
    name,
    electronic,
    value: tag.isWorn ? '' : say(', lost'),
    value2: withheld ? `, ${withheld}` : '',
    reserved,
  }).trim();
}

/** One known by its electronic number alone is read by its end; the whole stands beside it in words. */
const faceText = ({ kind, text }: TagView, size: Props['size']): string =>
  kind === 'electronic' && size === 'small' ? `…${text.slice(-6)}` : text;

/** What of it may not be used yet: `meat withheld to 4 Dec`. */
export function withheldWords({ withheld }: TagView): string {
  return (['meat', 'milk'] as const)
    .flatMap((of) =>
      withheld?.[of] === undefined ? [] : [say('{of} withheld to {date}', { of, date: shortDate(withheld[of]) })],
    )
    .join(', ');
}

/**
 * An animal as its ear tag: its colour and number, a hole, a notch for the electronic one, an outline when it is lost,
 * a barred end while something of it is withheld, a line beneath while it is kept for a buyer.
 */
export function Tag({ tag, size = 'small', isStatic = false, tabIndex }: Props) {
  const fill = TAG_FILLS[tag.colour ?? 'white'] ?? TAG_FILLS.white;
  const face = (
    <Face
      data-size={size}
      data-lost={!tag.isWorn || undefined}
      data-electronic={tag.hasElectronic || undefined}
      data-withheld={tag.withheld !== undefined || undefined}
      data-reserved={tag.reserved !== undefined || undefined}
      title={
        [withheldWords(tag), tag.reserved ? reservedText(tag.reserved) : ''].filter(Boolean).join('; ') || undefined
      }
      style={{ '--fill': fill } as object}
    >
      <Hole data-size={size} aria-hidden />
      {faceText(tag, size)}
    </Face>
  );
  if (isStatic)
    return (
      <span role="img" aria-label={tagLabel(tag)}>
        {face}
      </span>
    );
  return (
    <TagLink to={`/animals/${tag.animalId}`} aria-label={tagLabel(tag)} tabIndex={tabIndex}>
      {face}
    </TagLink>
  );
}

const TagLink = styled(Link)`
  ${touchable}
  text-decoration: none;
  display: inline-block;
  border-radius: ${radius};
`;
const Face = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 24px;
  padding: 1px 9px 1px 7px;
  border-radius: 4px 8px 8px 4px;
  border: 1px solid #0000002e;
  background: var(--fill);
  color: #2a2420;
  font: 700 14px/1.2 ${fonts.mono};
  white-space: nowrap;
  position: relative;
  &[data-electronic]::after {
    content: '';
    position: absolute;
    right: 8px;
    top: -1px;
    width: 8px;
    height: 4px;
    background: #2a2420;
    border-radius: 0 0 3px 3px;
  }
  &[data-withheld] {
    padding-right: 17px;
    background:
      repeating-linear-gradient(135deg, #6b4263 0 3px, var(--fill) 3px 6px) right / 10px 100% no-repeat,
      var(--fill);
  }
  &[data-reserved] {
    box-shadow: inset 0 -4px 0 ${colour('indigo')};
  }
  &[data-withheld]::after {
    right: 18px;
  }
  &[data-lost] {
    background: transparent;
    border: 2px dashed #8c7d68;
    color: inherit;
  }
  &[data-size='large'] {
    font-size: 40px;
    padding: 8px 24px 8px 16px;
    gap: 14px;
    border-radius: 8px 18px 18px 8px;
  }
`;
const Hole = styled.span`
  width: 6px;
  height: 6px;
  border-radius: 50%;
  background: #fffcf6;
  border: 1px solid #00000040;
  flex: none;
  &[data-size='large'] {
    width: 16px;
    height: 16px;
  }
`;
