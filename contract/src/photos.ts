import { buildMessage, IsUUID, ValidateBy, type ValidationOptions } from 'class-validator';
import { say } from './say/say';

/** Bytes of a picture at most: a device makes it so small before it sends it. */
export const MOST_PICTURE_BYTES = 150_000;
/** Pixels of its longer side at most. */
export const MOST_PICTURE_SIDE = 1_024;

/** Three bytes are four characters of base64, filled up to a multiple of four. */
const CHARS = Math.ceil(MOST_PICTURE_BYTES / 3) * 4;
/** How every JPEG begins, FF D8 FF, in base64. */
const JPEG_BEGINS = '/9j/';
const BASE64 = /^[A-Za-z0-9+/]+={0,2}$/;

/** A JPEG as base64, no larger than a device makes it. */
export const isPicture = (value: unknown): value is string =>
  typeof value === 'string' &&
  value.length <= CHARS &&
  value.length % 4 === 0 &&
  value.startsWith(JPEG_BEGINS) &&
  BASE64.test(value);

const IsPicture = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isPicture',
      validator: {
        validate: isPicture,
        defaultMessage: buildMessage(
          () =>
            say('$property must be a JPEG of up to {n} kilobytes, as base64. Choose the photo again.', {
              n: MOST_PICTURE_BYTES / 1_000,
            }),
          options,
        ),
      },
    },
    options,
  );

/** A photo as it is shown beside other facts, in pixels. */
export interface PhotoView {
  readonly pictureId: string;
  readonly width: number;
  readonly height: number;
}

/** A picture as it is sent. */
export class KeepPicture {
  /** JPEG, base64. */
  @IsPicture()
  picture: string;
}

/** A picture as it travels in a file, with its id. */
export class FiledPicture extends KeepPicture {
  @IsUUID()
  id: string;
}
