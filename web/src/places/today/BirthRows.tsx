import { percentText, type BirthDue } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Heading, Item, Rows } from '../../parts/rows';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { countText } from '../../words/format';

interface Props {
  readonly rows: readonly BirthDue[];
  readonly today: string;
}

/** Who may give birth till tomorrow evening; one press writes the birth down. */
export function BirthRows({ rows, today }: Props) {
  if (rows.length === 0) return null;
  return (
    <section aria-label="Births tonight">
      <Heading>
        <h2>Births tonight</h2>
        <Small>likeliest first</Small>
      </Heading>
      <Rows>
        {rows.map((r) => {
          const name = r.tag.name ?? r.tag.text;
          return (
            <Item key={r.tag.animalId}>
              <div>
                <Row>
                  <Tag tag={r.tag} />
                  <b>Look at {name}</b>
                </Row>
                <Small>
                  {SPECIES_WORDS[r.species].birth}:{' '}
                  {r.daysOver > 0
                    ? `${countText(r.daysOver, 'day', 'days')} overdue`
                    : `${percentText(r.chance)} by tomorrow evening`}
                </Small>
              </div>
              <WindowBar window={r.birth} today={today} />
              <LinkButton
                as={Link}
                to={`/births?species=${r.species}&birth=${r.tag.animalId}`}
                aria-label={`Record the birth of ${name}`}
              >
                Birth
              </LinkButton>
            </Item>
          );
        })}
      </Rows>
    </section>
  );
}
