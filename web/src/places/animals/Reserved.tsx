import type { AnimalView, HoldingView } from '@yaylak/contract';
import { Button } from '../../parts/Button';
import { NotePanel, Row } from '../../parts/Panel';
import { useWrite } from '../../parts/useWrite';
import { reservationWords } from '../../words/reserved';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: AnimalView;
  readonly holding: Pick<HoldingView, 'today' | 'currency'>;
}

/** Whom it is kept for, and the way to let that go. */
export function Reserved({ view: { row, reservation }, holding }: Props) {
  const write = useWrite();
  if (!reservation) return null;
  const { animalId, text } = row.tag;
  return (
    <NotePanel $tone="indigo">
      <Row style={{ justifyContent: 'space-between' }}>
        <b>{reservationWords(reservation, holding.currency)}</b>
        <Button
          onPress={() =>
            void write(
              [{ type: 'release', animalId, on: holding.today, reservationId: reservation.entryId }],
              say('{text} is free again', { text }),
            )
          }
        >
          {say('Let it go')}
        </Button>
      </Row>
    </NotePanel>
  );
}
