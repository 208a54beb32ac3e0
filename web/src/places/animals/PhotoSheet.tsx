import { PhotoEntry, say, type TagView } from '@yaylak/contract';
import { useState } from 'react';
import styled from 'styled-components';
import type { SmallPicture } from '../../adapters/files/smallPicture';
import { useKeepPicture } from '../../outbox/useKeepPicture';
import type { EntryDraft } from '../../outbox/useRecord';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { jpegAddress } from '../../parts/Picture';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { newId } from '../../words/ids';

interface Props {
  readonly added: SmallPicture;
  readonly tag: TagView;
  readonly today: string;
  readonly onClose: () => void;
}

interface Typed {
  readonly shows: string;
  readonly on: string;
}

/** A photo before it is kept: of which day it is, and what it shows. */
export function PhotoSheet({ added: { picture, width, height }, tag, today, onClose }: Props) {
  const [pictureId] = useState(newId);
  const keep = useKeepPicture();
  const write = useWrite();
  const draftOf = ({ shows, on }: Typed): EntryDraft => ({
    type: 'photo',
    animalId: tag.animalId,
    on,
    pictureId,
    width,
    height,
    ...(shows.trim() === '' ? {} : { shows: shows.trim() }),
  });
  const form = useTypedForm<Typed>({
    start: { shows: '', on: today },
    made: (typed) => [madeEntry(PhotoEntry, draftOf(typed))],
    words: { on: say('Give the day.'), shows: say('That is too long for a photo.') },
  });
  const send = async (typed: Typed): Promise<readonly string[]> => {
    const against = await keep(pictureId, picture);
    return against.length > 0 ? against : write([draftOf(typed)], say('Photo saved.'));
  };
  return (
    <Sheet title={say('Photo of {number}', { number: tag.text })} isOpen onClose={onClose}>
      <Shown src={jpegAddress(picture)} alt={say('The photo as it will be kept')} width={width} height={height} />
      <SendForm form={form} send={send} onDone={onClose} submit={say('Save')}>
        <FieldRow $gap={3}>
          <FormField name="shows" label={say('What it shows (optional)')} autoFocus />
          <FormField name="on" label={say('On')} type="date" />
        </FieldRow>
      </SendForm>
    </Sheet>
  );
}

const Shown = styled.img`
  display: block;
  width: 100%;
  height: auto;
  max-height: 50vh;
  object-fit: contain;
`;
