import type { PhotoEntry } from '@yaylak/contract';
import { say } from '@yaylak/contract';
import { useState } from 'react';
import styled from 'styled-components';
import { pictureAddress } from '../outbox/outbox';
import { useOutboxState } from '../outbox/useOutbox';

interface Props {
  readonly photo: Pick<PhotoEntry, 'pictureId' | 'width' | 'height'>;
  /** Empty where what stands around it says what it is. */
  readonly alt?: string;
}

/** A photo's picture: from this device while it waits there to be sent, else from the server. */
export function Picture({ photo: { pictureId, width, height }, alt = '' }: Props) {
  const { items } = useOutboxState();
  const [isGone, setGone] = useState(false);
  const waiting = items.find(({ out }) => out.kind === 'picture' && out.id === pictureId)?.out;
  const src = waiting?.kind === 'picture' ? jpegAddress(waiting.picture) : pictureAddress(pictureId);
  if (isGone)
    return <Gone>{say('This picture cannot be shown now: it lies on another device, or was never sent.')}</Gone>;
  return (
    <Img
      src={src}
      alt={alt}
      width={width}
      height={height}
      loading="lazy"
      decoding="async"
      onError={() => setGone(true)}
    />
  );
}

/** A JPEG in base64 as an address a page can show. */
export const jpegAddress = (picture: string): string => `data:image/jpeg;base64,${picture}`;

const Img = styled.img`
  display: block;
  max-width: 100%;
  width: 100%;
  height: auto;
`;
const Gone = styled.span`
  display: block;
  padding: 16px;
  font-size: 14px;
`;
