import { useState, type ComponentProps } from 'react';
import { Button } from './Button';

interface Props extends Omit<ComponentProps<typeof Button>, 'onPress' | 'children' | 'aria-label'> {
  readonly label: string;
  /** What the first press asks; the second one does it. */
  readonly ask: string;
  /** What a reader says of the button before it asks; its label where nothing is given. */
  readonly name?: string;
  readonly onConfirm: () => void;
}

/** A button whose deed cannot be taken back: the first press asks, and only the second does it. Left alone, it asks anew. */
export function AskButton({ label, ask, name, onConfirm, kind = 'plain', ...props }: Props) {
  const [isAsking, setAsking] = useState(false);
  return (
    <Button
      {...props}
      kind={isAsking ? 'danger' : kind}
      // A name of its own: words in a live region within a button are none of its name, and a reader hears the new
      // name of the button it stands on.
      aria-label={isAsking ? ask : (name ?? label)}
      onBlur={() => setAsking(false)}
      onPress={() => {
        if (isAsking) onConfirm();
        setAsking(!isAsking);
      }}
    >
      {isAsking ? ask : label}
    </Button>
  );
}
