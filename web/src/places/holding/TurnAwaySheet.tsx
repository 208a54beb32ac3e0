import { say, type DeviceView, type HouseholdView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { Button } from '../../parts/Button';
import { Row, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';

interface Props {
  readonly device: DeviceView;
  readonly onDone: (view: HouseholdView) => void;
  readonly onClose: () => void;
}

/** Asks once more before a device is kept out. */
export function TurnAwaySheet({ device: { id, name }, onDone, onClose }: Props) {
  const [problem, setProblem] = useState<string>();
  const [isUnderWay, setUnderWay] = useState(false);
  const turnAway = async (): Promise<void> => {
    setUnderWay(true);
    try {
      onDone(await ask<HouseholdView>('/api/household/turn-away', { method: 'POST', body: { id } }));
      onClose();
    } catch (e) {
      setProblem((e as Error).message);
      setUnderWay(false);
    }
  };
  return (
    <Sheet title={say('Turn away {name}', { name })} isOpen onClose={onClose} isForLooking>
      <Stack>
        <p>
          {say(
            'It can read and write nothing more from this moment on. What it wrote stays in the book. What it has already read, and what it has not sent yet, stays on the device; it is sent when the device is let in again with a new code.',
          )}
        </p>
        {problem ? <p role="alert">{problem}</p> : null}
        <Row>
          <Button kind="main" isDisabled={isUnderWay} onPress={() => void turnAway()}>
            {say('Turn away')}
          </Button>
          <Button kind="quiet" onPress={onClose}>
            {say('Keep it')}
          </Button>
        </Row>
      </Stack>
    </Sheet>
  );
}
