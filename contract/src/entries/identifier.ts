import { EARS, IDENTIFIER_KINDS, TAG_COLOURS, TAG_SHAPES } from '@yaylak/core';
import type { Ear, IdentifierKind, TagColour, TagShape } from '@yaylak/core';
import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';

export class IdentifierEntry extends AnimalEntryBase {
  static readonly example = { kind: 'visual', text: '26-0001', colour: 'yellow', ear: 'left', shape: 'flag' };

  @IsIn(['identifier'])
  type: 'identifier';
  @IsIn(IDENTIFIER_KINDS)
  kind: IdentifierKind;
  @IsString()
  @Length(1, 40)
  text: string;
  @MayBeMissing()
  @IsIn(TAG_COLOURS)
  colour?: TagColour;
  @MayBeMissing()
  @IsIn(EARS)
  ear?: Ear;
  @MayBeMissing()
  @IsIn(TAG_SHAPES)
  shape?: TagShape;
}
