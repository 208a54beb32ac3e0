import { useQuery } from '@tanstack/react-query';
import { lookAtStorage } from '../adapters/storage';
import { NotePanel } from './Panel';
import { Said } from './Said';

const AGAIN_MS = 300_000;

/** Says before anything is written that this device cannot keep it, or not for long. */
export function StorageNote() {
  const { data } = useQuery({ queryKey: ['storage'], queryFn: lookAtStorage, refetchInterval: AGAIN_MS });
  if (data === undefined || data.kind === 'good') return null;
  return (
    <NotePanel $tone="madder" role="alert" style={{ margin: '16px 16px 0' }}>
      {data.kind === 'unavailable' ? (
        <p>
          <Said
            text={
              '<0>This device cannot keep anything.</0> Its storage is shut, as in a private window. Without the server nothing written here would be kept: open Yaylak in an ordinary window, or work on paper until it is there.'
            }
            parts={{ 0: <b /> }}
          />
        </p>
      ) : (
        <p>
          <Said
            text={
              '<0>This device has {leftMb} MB left to keep what is written.</0> Make room before the first animal: clear other sites’ data or files.'
            }
            values={{ leftMb: data.leftMb }}
            parts={{ 0: <b /> }}
          />
        </p>
      )}
    </NotePanel>
  );
}
