import type { LookAt } from '@yaylak/contract';
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
import { fullDate, shortDate } from '../../words/dates';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { LookItem as Item } from '../../parts/rows';
import { say, SPECIES_WORDS } from '@yaylak/contract';

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
              {say('Rejected{value}', {
                value:
                  item.out.kind === 'entry'
                    ? say(': {type} of {date}', { type: item.out.entry.type, date: shortDate(item.out.entry.on) })
                    : '',
              })}
            </b>
            <Small>
              {item.message} {say('It is kept on this device until you have looked at it.')}
            </Small>
          </div>
          {item.out.kind === 'entry' && 'animalId' in item.out.entry ? (
            <Button
              onPress={() =>
                void navigate(
                  `/animals/${item.out.kind === 'entry' && 'animalId' in item.out.entry ? item.out.entry.animalId : ''}`,
                )
              }
            >
              {say('Open the animal')}
            </Button>
          ) : (
            <span />
          )}
          <AskButton
            label={say('Checked: dismiss')}
            ask={say('Dismiss it for good?')}
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
                      {say('Check the reading: {weight} on {date}', {
                        weight: weightText(item.kg, unit),
                        date: shortDate(item.on),
                      })}
                    </b>
                  </Row>
                  <Small>{doubtWords(item.doubt, unit, item.species)}</Small>
                </div>
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>{say('Open the animal')}</Button>
                <Button
                  kind="danger"
                  onPress={() =>
                    void record([{ type: 'strike', on: item.on, entryId: item.entryId, reason: 'misread' }]).then(
                      (outcome) =>
                        undo.say(
                          outcome.kind === 'refused'
                            ? outcome.messages.join(' ')
                            : say('Struck out: {weight} of {text}', {
                                weight: weightText(item.kg, unit),
                                text: item.tag.text,
                              }),
                        ),
                    )
                  }
                >
                  {say('Strike it out')}
                </Button>
              </Item>
            );
          case 'unknown-animal':
            return (
              <Item key={item.tag.animalId}>
                <div>
                  <Row>
                    <Tag tag={item.tag} />
                    <b>{say('Who is this?')}</b>
                  </Row>
                  <Small>
                    {say('Taken in on {date} without sex and birth. Fill them in, or strike it out.', {
                      date: shortDate(item.on),
                    })}
                  </Small>
                </div>
                <span />
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>{say('Open the animal')}</Button>
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
                    <b>{say('Free again')}</b>
                  </Row>
                  <Small>
                    {say('Reserved for {buyer} to {date}. Take the spray off, or reserve it again.', {
                      buyer: item.buyer,
                      date: shortDate(item.until),
                    })}
                  </Small>
                </div>
                <span />
                {item.tags.length === 1 ? (
                  <Button onPress={() => void navigate(`/animals/${item.tags[0]?.animalId ?? ''}`)}>
                    {say('Open the animal')}
                  </Button>
                ) : (
                  <span />
                )}
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
                    <b>{say('{count} orphan {young}', { count, young })}</b>
                  </Row>
                  <Small>{say('The dam is gone. Foster or bottle-feed: colostrum first, and warm.')}</Small>
                </div>
                <span />
                <LinkButton
                  as={Link}
                  aria-label={say('Foster the {young} of {n}', { young, n: tag.name ?? tag.text })}
                  to={`/births?species=${species}`}
                >
                  {say('Foster')}
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
                    <b>{say('What came of her?')}</b>
                  </Row>
                  <Small>
                    {say(
                      'In young on {date}, due about {date2}, and no birth or loss on record. Until you say, she is neither in young nor free to mate.',
                      { date: shortDate(testedOn), date2: fullDate(dueOn) },
                    )}
                  </Small>
                </div>
                <span />
                <Row>
                  <Button
                    aria-label={say('{name} was empty', { name })}
                    onPress={() =>
                      void write(
                        [{ type: 'pregnancy-test', animalId: tag.animalId, on: today, way: 'sight', result: 'empty' }],
                        say('{name} was empty', { name }),
                      ).then((refused) => refused.length > 0 && undo.say(refused.join(' ')))
                    }
                  >
                    {say('Was empty')}
                  </Button>
                  <LinkButton
                    as={Link}
                    aria-label={say('Record the loss of {name}', { name })}
                    to={`/carrying?species=${species}&lost=${tag.animalId}`}
                  >
                    {say('Aborted')}
                  </LinkButton>
                  <LinkButton
                    as={Link}
                    aria-label={say('Record the birth of {name}', { name })}
                    to={`/births?species=${species}&birth=${tag.animalId}`}
                  >
                    {say('Birth')}
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
                    <b>{say('Weight off its usual')}</b>
                  </Row>
                  <Small>{item.message}</Small>
                </div>
                <span />
                <Button onPress={() => void navigate(`/animals/${item.tag.animalId}`)}>{say('Open the animal')}</Button>
              </Item>
            );
        }
      })}
    </>
  );
}
