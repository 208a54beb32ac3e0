import { IsIn, IsInt, IsString, IsUUID, Length, Max, Min } from 'class-validator';
import { AnimalEntryBase } from '../entryBase';
import { MayBeMissing } from '../nested';
import { MOST_PICTURE_SIDE } from '../photos';
import { MAX_TEXT } from '../rules';

/** That there is a picture of an animal, and what it shows; the picture is kept by itself, and sent before. */
export class PhotoEntry extends AnimalEntryBase {
  static readonly example = {
    pictureId: '0191d5a0-0000-7000-8000-00000000f070',
    width: 1024,
    height: 768,
    shows: 'left side',
  };

  @IsIn(['photo'])
  type: 'photo';
  /** Under this it lies beside the book; struck out and recorded again it stays the same. */
  @IsUUID()
  pictureId: string;
  /** In pixels. */
  @IsInt()
  @Min(1)
  @Max(MOST_PICTURE_SIDE)
  width: number;
  @IsInt()
  @Min(1)
  @Max(MOST_PICTURE_SIDE)
  height: number;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  shows?: string;
}
