import { IsIn, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MAX_NOTE } from '../rules';

export class NoteEntry extends AnimalEntryBase {
  static readonly example = { text: 'limps' };

  @IsIn(['note'])
  type: 'note';
  @IsString()
  @Length(1, MAX_NOTE)
  text: string;
}
