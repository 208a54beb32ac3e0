import type { AnimalView, PhotoEntry } from '@yaylak/contract';
import { say } from '@yaylak/contract';
import { useState } from 'react';
import { Button as Press } from 'react-aria-components';
import styled from 'styled-components';
import { smallPicture, type SmallPicture } from '../../adapters/files/smallPicture';
import { useRecord } from '../../outbox/useRecord';
import { asDraft } from '../../outbox/wayBack';
import { useOutboxState } from '../../outbox/useOutbox';
import { Button } from '../../parts/Button';
import { FilePick } from '../../parts/FilePick';
import { Panel, Row, Small } from '../../parts/Panel';
import { Picture } from '../../parts/Picture';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { useFirst } from '../../parts/useFirst';
import { colour, radius, space } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { PhotoSheet } from './PhotoSheet';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

const SMALL_SHOWN = 5;

/** An animal's photos, the newest large; one is added from the camera or from a file. */
export function Photos({ view, today }: Props) {
  const [added, setAdded] = useState<SmallPicture>();
  const [failed, setFailed] = useState<string>();
  const [open, setOpen] = useState<PhotoEntry>();
  const photos = usePhotos(view);
  const [newest, ...others] = photos;
  const { shown, more } = useFirst(others, SMALL_SHOWN);
  const pick = async (file: File): Promise<void> => {
    setFailed(undefined);
    try {
      setAdded(await smallPicture(file));
    } catch (error) {
      setFailed((error as Error).message);
    }
  };
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{say('Photos')}</h2>
        <FilePick label={say('Add a photo')} accept="image/*" onPick={(file) => void pick(file)} />
      </Row>
      {failed ? <p role="alert">{failed}</p> : null}
      {newest ? (
        <Large aria-label={labelOf(view, newest)} onPress={() => setOpen(newest)}>
          <Picture photo={newest} />
        </Large>
      ) : (
        <Small>{say('None yet. Take one with the phone, or choose a file; it is made small before it is kept.')}</Small>
      )}
      {newest ? <Small>{captionOf(newest)}</Small> : null}
      {shown.length > 0 ? (
        <Row>
          {shown.map((photo) => (
            <Thumb key={photo.id} aria-label={labelOf(view, photo)} onPress={() => setOpen(photo)}>
              <Picture photo={photo} />
            </Thumb>
          ))}
        </Row>
      ) : null}
      {more}
      {added ? <PhotoSheet added={added} tag={view.row.tag} today={today} onClose={() => setAdded(undefined)} /> : null}
      {open ? <Shown photo={open} view={view} today={today} onClose={() => setOpen(undefined)} /> : null}
    </Panel>
  );
}

/** A photo as large as it is, with what it shows; it can be struck out. */
function Shown({ photo, view, today, onClose }: Props & { readonly photo: PhotoEntry; readonly onClose: () => void }) {
  const record = useRecord();
  const undo = useUndo();
  const strike = async (): Promise<void> => {
    const outcome = await record([{ type: 'strike', on: today, entryId: photo.id, reason: say('wrong entry') }]);
    onClose();
    if (outcome.kind === 'refused') return undo.say(outcome.messages.join(' '));
    undo.offer({ done: say('The photo is struck out.'), undo: { kind: 'again', drafts: [asDraft(photo)] } });
  };
  return (
    <Sheet title={labelOf(view, photo)} isOpen onClose={onClose} width={MOST_WIDTH} isForLooking>
      <Whole>
        <Picture photo={photo} alt={labelOf(view, photo)} />
      </Whole>
      <Row style={{ justifyContent: 'space-between' }}>
        <Small>{say('Added by {by}', { by: photo.writtenBy })}</Small>
        <Button kind="quiet" onPress={() => void strike()}>
          {say('Strike out')}
        </Button>
      </Row>
    </Sheet>
  );
}
const MOST_WIDTH = 860;

/** Photos that stand in the book and those that wait on this device, the newest first. */
function usePhotos({ timeline, row }: AnimalView): readonly PhotoEntry[] {
  const { items } = useOutboxState();
  const kept = timeline.flatMap(({ entry, struck }) => (entry.type === 'photo' && struck === null ? [entry] : []));
  const waiting = items.flatMap(({ out, state }) =>
    state === 'waiting' &&
    out.kind === 'entry' &&
    out.entry.type === 'photo' &&
    out.entry.animalId === row.tag.animalId &&
    !kept.some((k) => k.id === out.entry.id)
      ? [out.entry]
      : [],
  );
  return [...waiting, ...kept].sort((a, b) => b.on.localeCompare(a.on) || b.writtenAt.localeCompare(a.writtenAt));
}

const captionOf = ({ on, shows }: PhotoEntry): string =>
  shows === undefined ? fullDate(on) : `${fullDate(on)}, ${shows}`;
const labelOf = ({ row }: AnimalView, photo: PhotoEntry): string =>
  say('Photo of {number}, {caption}', { number: row.tag.text, caption: captionOf(photo) });

const Large = styled(Press)`
  display: block;
  width: 100%;
  padding: 0;
  margin: ${space(2)} 0;
  background: ${colour('ground')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  overflow: hidden;
  cursor: pointer;
  img {
    max-height: 300px;
    object-fit: contain;
  }
`;
const Thumb = styled(Large)`
  width: 64px;
  height: 64px;
  margin: 0;
  img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
`;
/** All of it in sight, however low the window. */
const Whole = styled.div`
  img {
    max-height: calc(100vh - 260px);
    object-fit: contain;
  }
`;
