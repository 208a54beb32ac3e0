import { IsIn, IsNumber, IsString, Length } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MAX_TEXT } from '../rules';

/** A condition score felt by hand. */
export class ScoreEntry extends AnimalEntryBase {
  static readonly example = { score: 2.5, scoredBy: 'Kerem' };

  @IsIn(['score'])
  type: 'score';
  /** 1 to 5 by halves or quarters; the book's rule, so that the refusal can say so. */
  @IsNumber({ allowNaN: false, allowInfinity: false })
  score: number;
  /** Whose hand felt it; whoever writes may be another. */
  @IsString()
  @Length(1, MAX_TEXT)
  scoredBy: string;
}
