import type { LookAt } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { Link, useNavigate } from 'react-router';
import { useOutbox, useOutboxState } from '../../outbox/useOutbox';
import { useRecord } from '../../outbox/useRecord';
import { AskButton } from '../../parts/AskButton';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { doubtWords } from '../../words/doubts';
import { fullDate, shortDate, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { LookItem as Item } from '../../parts/rows';

/** Entries and animals that want a person's eye; what the server refused stays here until somebody has looked. */
export function LookAtList({ items, today }: { readonly items: readonly LookAt[]; readonly today: string }) {
  const unit = useWeightUnit();
  const navigate = useNavigate();
  const record = useRecord();
  const write = useWrite();
  const undo = useUndo();
  const outbox = useOutbox();
  const { refused } = useOutboxState();
  return (
    <>
      {refused.map((item) => (
        <Item key={item.key}>
          <div>
            <b>
              Rejected
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
          <AskButton
            label="Checked: dismiss"
            ask="Dismiss it for good?"
            onConfirm={() => void outbox.dismiss(item.key)}
          />
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
                  <Small>{doubtWords(item.doubt, unit, item.species)}</Small>
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
          case 'reservation-over':
            return (
              <Item key={`reservation ${item.until} ${item.buyer}`}>
                <div>
                  <Row>
                    {item.tags.map((tag) => (
                      <Tag key={tag.animalId} tag={tag} />
                    ))}
                    <b>Free again</b>
                  </Row>
                  <Small>
                    Reserved for {item.buyer} to {shortDate(item.until)}. Take the spray off, or reserve anew.
                  </Small>
                </div>
                <span />
                <span />
              </Item>
            );
          case 'orphans': {
            const { tag, species, count } = item;
            const young = SPECIES_WORDS[species].young.unknown[count === 1 ? 0 : 1];
            return (
              <Item key={`orphans ${tag.animalId}`}>
                <div>
                  <Row>
                    <Tag tag={tag} />
                    <b>
                      {count} orphan {young}
                    </b>
                  </Row>
                  <Small>The dam is gone. Foster or bottle-feed: colostrum first, and warm.</Small>
                </div>
                <span />
                <LinkButton
                  as={Link}
                  aria-label={`Foster the ${young} of ${tag.name ?? tag.text}`}
                  to={`/births?species=${species}`}
                >
                  Foster
                </LinkButton>
              </Item>
            );
          }
          case 'unanswered': {
            const { tag, species, testedOn, dueOn } = item;
            const name = tag.name ?? tag.text;
            return (
              <Item key={`unanswered ${tag.animalId}`}>
                <div>
                  <Row>
                    <Tag tag={tag} />
                    <b>What came of her?</b>
                  </Row>
                  <Small>
                    In young on {shortDate(testedOn)}, due about {fullDate(dueOn)}, and no birth or loss on record.
                    Until you say, she is neither in young nor free to mate.
                  </Small>
                </div>
                <Button
                  aria-label={`${name} was empty`}
                  onPress={() =>
                    void write(
                      [{ type: 'pregnancy-test', animalId: tag.animalId, on: today, way: 'sight', result: 'empty' }],
                      `${name} was empty`,
                    ).then((refused) => refused.length > 0 && undo.say(refused.join(' ')))
                  }
                >
                  Was empty
                </Button>
                <Row>
                  <LinkButton
                    as={Link}
                    aria-label={`Record the loss of ${name}`}
                    to={`/carrying?species=${species}&lost=${tag.animalId}`}
                  >
                    Aborted
                  </LinkButton>
                  <LinkButton
                    as={Link}
                    aria-label={`Record the birth of ${name}`}
                    to={`/births?species=${species}&birth=${tag.animalId}`}
                  >
                    Birth
                  </LinkButton>
                </Row>
              </Item>
            );
          }
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
