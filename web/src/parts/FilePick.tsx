import { FileTrigger } from 'react-aria-components';
import { Button } from './Button';

interface Props {
  readonly label: string;
  readonly accept: string;
  readonly onPick: (file: File) => void;
}

/** Chooses one file. */
export function FilePick({ label, accept, onPick }: Props) {
  return (
    <FileTrigger
      acceptedFileTypes={accept.split(',')}
      onSelect={(files) => {
        const file = files?.[0];
        if (file) onPick(file);
      }}
    >
      <Button>{label}</Button>
    </FileTrigger>
  );
}
