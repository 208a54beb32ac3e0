import type { LookAt } from '@yaylak/contract';
import { useNavigate } from 'react-router';
import { useOutbox, useOutboxState } from '../../outbox/useOutbox';
import { useRecord } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useUndo } from '../../parts/Undo';
import { shortDate, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';
import { LookItem as Item } from '../../parts/rows';

/** Entries and animals that want a person's eye; what the server refused stays here until somebody has looked. */
export function LookAtList({ items }: { readonly items: readonly LookAt[] }) {
  const unit = useWeightUnit();
  const navigate = useNavigate();
  const record = useRecord();
  const undo = useUndo();
  const outbox = useOutbox();
  const { refused } = useOutboxState();
  return (
    <>
      {refused.map((item) => (
        <Item key={item.key}>
          <div>
            <b>
              Not taken by the book
              {item.out.kind === 'entry' ? `: ${item.out.entry.type} of ${shortDate(item.out.entry.on)}` : ''}
            </b>
            <Small>{item.message} It is kept on this device until you have looked at it.</Small>
          </div>
          {item.out.kind === 'entry' && 'animalId' in item.out.entry ? (
            <Button
              onPress={() =>
                void navigate(
                  `/animals/${item.out.kind === 'entry' && 'animalId' in item.out.entry ? item.out.entry.animalId : ''}`,
                )
              }
            >
              Open the animal
            </Button>
          ) : (
            <span />
          )}
          <Button onPress={() => void outbox.dismiss(item.key)}>Looked at, drop it</Button>
        </Item>
      ))}
      {items.map((item) => {
        switch (item.kind) {
          case 'doubtful-weight':
            return (
              <Item key={item.entryId}>
                <div>
                  <Row>
                    <Tag tag={item.tag} />
                    <b>
                      Check the reading: {weightText(item.kg, unit)} on {shortDate(item.on)}
                    </b>
                  </Row>
                  <Small>
                    {weightText(item.doubt.fromKg, unit)} {item.doubt.days} days before;{' '}
                    {item.doubt.kind === 'jump'
                      ? `up to ${weightText(item.doubt.likelyUpToKg, unit)} could be.`
                      : `down to ${weightText(item.doubt.likelyDownToKg, unit)} could be.`}
                  </Small>
                </div>
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>Open the animal</Button>
                <Button
                  kind="danger"
                  onPress={() =>
                    void record([{ type: 'strike', on: item.on, entryId: item.entryId, reason: 'misread' }]).then(
                      (outcome) =>
                        undo.say(
                          outcome.kind === 'refused'
                            ? outcome.messages.join(' ')
                            : `Struck out: ${weightText(item.kg, unit)} of ${item.tag.text}`,
                        ),
                    )
                  }
                >
                  Strike it out
                </Button>
              </Item>
            );
          case 'unknown-animal':
            return (
              <Item key={item.tag.animalId}>
                <div>
                  <Row>
                    <Tag tag={item.tag} />
                    <b>Who is this?</b>
                  </Row>
                  <Small>Taken in on {shortDate(item.on)} without sex and birth. Fill them in, or strike it out.</Small>
                </div>
                <span />
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>Open the animal</Button>
              </Item>
            );
          case 'adult-alarm':
            return (
              <Item key={`alarm ${item.tag.animalId}`}>
                <div>
                  <Row>
                    <Tag tag={item.tag} />
                    <b>Weight off its usual</b>
                  </Row>
                  <Small>{item.message}</Small>
                </div>
                <span />
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>Open the animal</Button>
              </Item>
            );
        }
      })}
    </>
  );
}
