import type { TodayView } from '@yaylak/contract';
import { Link } from 'react-router';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { HourBar, WindowBar } from '../../parts/WindowBar';
import { dayAndHour } from '../../words/dates';
import { Heading, Item, Rows } from '../../parts/rows';
import { say, SPECIES_WORDS } from '@yaylak/contract';

/** Who is to be served in these hours, and young males that are to be parted from the females. */
export function MatingRows({ heats, partings, now, on }: Pick<TodayView, 'heats' | 'partings' | 'now' | 'on'>) {
  if (heats.length + partings.length === 0) return null;
  return (
    <section>
      <Heading>
        <h2>{say('Mating')}</h2>
        <Small>{say('by the hour, ending soonest first')}</Small>
      </Heading>
      <Rows>
        {heats.map(({ species, heat }) => (
          <Item key={heat.tag.animalId}>
            <div>
              <Row>
                <Tag tag={heat.tag} />
                <b>{say('Serve {n}', { n: heat.tag.name ?? heat.tag.text })}</b>
              </Row>
              <Small>
                {say('{value} since {dayAndHour}{value2}', {
                  value: heat.isStanding ? say('standing') : say('signs agree'),
                  dayAndHour: dayAndHour(heat.seenAt, on),
                  value2: heat.services.length > 0 ? say(', served once') : '',
                })}
              </Small>
            </div>
            {heat.window ? <HourBar window={heat.window} earliest={heat.opensEarliest} now={now} /> : <span />}
            <LinkButton as={Link} to={`/mating?species=${species}&serve=${heat.tag.animalId}`}>
              {say('Serve')}
            </LinkButton>
          </Item>
        ))}
        {partings.map((p) => (
          <Item key={`${p.species} ${p.groupName}`}>
            <div>
              <b>
                {say('Part {head} {value} from the females', {
                  head: p.head,
                  value: SPECIES_WORDS[p.species].young.male[p.head === 1 ? 0 : 1],
                })}
              </b>
              <Small>{say('{groupName}: old enough to sire', { groupName: p.groupName })}</Small>
            </div>
            <WindowBar window={p.window} today={on} />
            <LinkButton as={Link} to={`/mating/males?species=${p.species}`}>
              {say('Part them')}
            </LinkButton>
          </Item>
        ))}
      </Rows>
    </section>
  );
}
