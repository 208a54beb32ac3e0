import { percentText, type BirthDue, say, SPECIES_WORDS } from '@yaylak/contract';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Heading, Item, Rows } from '../../parts/rows';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { TonightHow } from '../../parts/hows/TonightHow';

interface Props {
  readonly rows: readonly BirthDue[];
  readonly today: string;
}

/** Who may give birth till tomorrow evening; one press writes the birth down. */
export function BirthRows({ rows, today }: Props) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={say('Births tonight')}>
      <Heading>
        <h2>
          {say('Births tonight')} <TonightHow />
        </h2>
        <Small>{say('likeliest first')}</Small>
      </Heading>
      <Rows>
        {rows.map((r) => {
          const name = r.tag.name ?? r.tag.text;
          return (
            <Item key={r.tag.animalId}>
              <div>
                <Row>
                  <Tag tag={r.tag} />
                  <b>{say('Look at {name}', { name })}</b>
                </Row>
                <Small>
                  {SPECIES_WORDS[r.species].birth}:{' '}
                  {r.daysOver > 0
                    ? say('{daysOver} {daysOver, plural, one {day} other {days}} overdue', { daysOver: r.daysOver })
                    : say('{percent} by tomorrow evening', { percent: percentText(r.chance) })}
                </Small>
              </div>
              <WindowBar window={r.birth} today={today} />
              <LinkButton
                as={Link}
                to={`/births?species=${r.species}&birth=${r.tag.animalId}`}
                aria-label={say('Record the birth of {name}', { name })}
              >
                {say('Birth')}
              </LinkButton>
            </Item>
          );
        })}
      </Rows>
    </section>
  );
}
