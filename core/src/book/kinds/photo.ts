import type { Fact } from '../facts';
import type { FactKind } from './kind';

export interface PhotoWritten {
  readonly pictureId: string;
  readonly width: number;
  readonly height: number;
  readonly shows?: string | undefined;
}

/** A picture of it, in pixels. */
export interface PhotoFact extends Fact {
  /** Under this it lies beside the book. */
  readonly pictureId: string;
  readonly width: number;
  readonly height: number;
  readonly shows: string | undefined;
}

/** That there is a picture of it; nothing is worked out from one. */
export const photo: FactKind<'photos', PhotoWritten, PhotoFact> = {
  list: 'photos',
  isOfGone: true,
  fact: ({ pictureId, width, height, shows }, { entryId, on }) => ({ entryId, on, pictureId, width, height, shows }),
};
