import { useQuery } from '@tanstack/react-query';
import { lookAtStorage } from '../adapters/storage';
import { NotePanel } from './Panel';

const AGAIN_MS = 300_000;

/** Says before anything is written that this device cannot keep it, or not for long. */
export function StorageNote() {
  const { data } = useQuery({ queryKey: ['storage'], queryFn: lookAtStorage, refetchInterval: AGAIN_MS });
  if (data === undefined || data.kind === 'good') return null;
  return (
    <NotePanel $tone="madder" role="alert" style={{ margin: '16px 16px 0' }}>
      {data.kind === 'unavailable' ? (
        <p>
          <b>This device cannot keep anything.</b> Its storage is shut, as in a private window. Without the server
          nothing written here would be kept: open Yaylak in an ordinary window, or work on paper until it is there.
        </p>
      ) : (
        <p>
          <b>This device has {data.leftMb} MB left to keep what is written.</b> Make room before the first animal: clear
          other sites’ data or files.
        </p>
      )}
    </NotePanel>
  );
}
