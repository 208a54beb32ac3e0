import { chanceText, percentText, type BirthsView, type ExpectedBirth, say, SPECIES_WORDS } from '@yaylak/contract';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { TonightHow } from '../../parts/hows/TonightHow';
import { Row, Small } from '../../parts/Panel';
import { Heading, Item, Rows } from '../../parts/rows';
import { Tag } from '../../parts/Tag';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import { useFirst } from '../../parts/useFirst';
import { shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { servedBy } from '../../words/mating';

interface Props {
  readonly view: BirthsView;
  readonly onBirth: (damId: string) => void;
}

/** So many of those that come later stand on the page at once. */
const SHOWN = 8;

/** Those to look at tonight first, then all that come after. */
export function Awaited({ view, onBirth }: Props) {
  const { expected, tonight, on } = view;
  const watched = tonight.flatMap((n) => expected.find((e) => e.tag.animalId === n.animalId) ?? []);
  const later = expected.filter((e) => !watched.includes(e));
  const { shown, more } = useFirst(later, SHOWN);
  const chanceOf = (e: ExpectedBirth) => tonight.find((n) => n.animalId === e.tag.animalId)?.chance;
  return (
    <>
      {watched.length > 0 ? (
        <section aria-label={say('Tonight')}>
          <Heading>
            <h2>
              {say('Tonight')} <TonightHow />
            </h2>
            <Small>{say('likeliest first')}</Small>
          </Heading>
          <Rows>
            {watched.map((e) => (
              <ExpectedRow key={e.tag.animalId} row={e} today={on} chance={chanceOf(e)} onBirth={onBirth} />
            ))}
          </Rows>
        </section>
      ) : null}
      {later.length > 0 ? (
        <section aria-label={say('Due later')}>
          <Heading>
            <h2>{say('After that')}</h2>
            <Small>{say('first to come first')}</Small>
          </Heading>
          <Rows>
            {shown.map((e) => (
              <ExpectedRow key={e.tag.animalId} row={e} today={on} chance={undefined} onBirth={onBirth} />
            ))}
          </Rows>
          {more}
        </section>
      ) : null}
    </>
  );
}

interface RowProps {
  readonly row: ExpectedBirth;
  readonly today: string;
  readonly chance: number | undefined;
  readonly onBirth: (damId: string) => void;
}

function ExpectedRow({ row, today, chance, onBirth }: RowProps) {
  const write = useWrite();
  const undo = useUndo();
  const { tag } = row;
  const name = tag.name ?? tag.text;
  const [one, many] = SPECIES_WORDS[row.species].young.unknown;
  const sires = servedBy(
    row.sires.map((s) => s.tag.name ?? s.tag.text),
    row.otherSire,
  );
  const facts = [
    ...(row.daysOver > 0
      ? [say('{daysOver} {daysOver, plural, one {day} other {days}} overdue', { daysOver: row.daysOver })]
      : []),
    ...(row.daysOver > 0
      ? [say('any hour now')]
      : chance === undefined
        ? []
        : [say('{percent} by tomorrow night', { percent: percentText(chance) })]),
    ...(row.probability === null ? [] : [say('in young {chance}', { chance: chanceText(row.probability) })]),
    ...(row.young === null ? [] : [countText(row.young, one, many)]),
    ...(row.isFirst ? [say('her first here')] : []),
    ...(sires === '' ? [] : [say('by {sires}', { sires })]),
    ...(row.groupName === null ? [] : [row.groupName]),
  ];
  const stepDone = async (step: string): Promise<void> => {
    const refused = await write(
      [{ type: 'carrying-step', animalId: tag.animalId, on: today, step }],
      say('Done: {step}', { step: say(step) }),
    );
    if (refused.length > 0) undo.say(refused.join(' '));
  };
  return (
    <Item role="group" aria-label={name}>
      <div>
        <Row>
          <Tag tag={tag} />
          {tag.name ? <b>{tag.name}</b> : null}
        </Row>
        <Small>{facts.join(', ')}.</Small>
        {row.steps.length > 0 ? (
          <Row>
            {row.steps.map((s) =>
              s.isOpen ? (
                <Chip
                  key={s.name}
                  type="button"
                  aria-label={say('Mark done for {name}: {name2}', { name, name2: say(s.name) })}
                  onClick={() => void stepDone(s.name)}
                >
                  {say('Mark done: {name}', { name: say(s.name) })}
                </Chip>
              ) : (
                <Small key={s.name}>
                  {say('{name} from {date}', { name: say(s.name), date: shortDate(s.window.opens) })}
                </Small>
              ),
            )}
          </Row>
        ) : null}
      </div>
      <WindowBar window={row.birth} today={today} />
      <Button
        kind={chance === undefined ? 'plain' : 'main'}
        aria-label={say('Record the birth of {name}', { name })}
        onPress={() => onBirth(tag.animalId)}
      >
        {say('Birth')}
      </Button>
    </Item>
  );
}
