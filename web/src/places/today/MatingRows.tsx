import type { TodayView } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { HourBar, WindowBar } from '../../parts/WindowBar';
import { dayAndHour } from '../../words/format';
import { Heading, Item, Rows } from '../../parts/rows';

/** Who is to be served in these hours, and young males that are to be parted from the females. */
export function MatingRows({ heats, partings, now, on }: Pick<TodayView, 'heats' | 'partings' | 'now' | 'on'>) {
  if (heats.length + partings.length === 0) return null;
  return (
    <section>
      <Heading>
        <h2>Mating</h2>
        <Small>by the hour, ending soonest first</Small>
      </Heading>
      <Rows>
        {heats.map(({ species, heat }) => (
          <Item key={heat.tag.animalId}>
            <div>
              <Row>
                <Tag tag={heat.tag} />
                <b>Serve {heat.tag.name ?? heat.tag.text}</b>
              </Row>
              <Small>
                {heat.isStanding ? 'standing' : 'signs agree'} since {dayAndHour(heat.seenAt, on)}
                {heat.services.length > 0 ? ', served once' : ''}
              </Small>
            </div>
            {heat.window ? <HourBar window={heat.window} earliest={heat.opensEarliest} now={now} /> : <span />}
            <LinkButton as={Link} to={`/mating?species=${species}&serve=${heat.tag.animalId}`}>
              Serve
            </LinkButton>
          </Item>
        ))}
        {partings.map((p) => (
          <Item key={`${p.species} ${p.groupName}`}>
            <div>
              <b>
                Part {p.head} {SPECIES_WORDS[p.species].young.male[p.head === 1 ? 0 : 1]} from the females
              </b>
              <Small>{p.groupName}: old enough to sire</Small>
            </div>
            <WindowBar window={p.window} today={on} />
            <LinkButton as={Link} to={`/mating/males?species=${p.species}`}>
              Part them
            </LinkButton>
          </Item>
        ))}
      </Rows>
    </section>
  );
}
