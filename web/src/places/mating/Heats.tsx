import type { HeatView, MatingView, ServedView } from '@yaylak/contract';
import { HEAT_SIGNS } from '@yaylak/core';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { HourBar } from '../../parts/WindowBar';
import { phone, space } from '../../theme/tokens';
import { dayAndHour } from '../../words/dates';
import { TIMING_WORDS, WAY_WORDS, servedBy } from '../../words/mating';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: MatingView;
  readonly onServe: (animalId: string) => void;
}

/** Who is on heat now, and when to serve her; soonest over first. */
export function Heats({ view, onServe }: Props) {
  const today = view.now.slice(0, 10);
  if (view.heats.length === 0)
    return (
      <Panel>
        <h2>{say('On heat')}</h2>
        <p>
          {say(
            'Nobody seen in these days. Press N to record what you see, even if it is nothing: it tells when a heat began.',
          )}
        </p>
      </Panel>
    );
  return (
    <Panel>
      <h2>{say('On heat ({n})', { n: view.heats.length })}</h2>
      <List>
        {view.heats.map((h) => (
          <li key={h.tag.animalId}>
            <div>
              <Row>
                <Tag tag={h.tag} />
                <b>{h.tag.name ?? ''}</b>
              </Row>
              <Small>
                {say('{value} since {dayAndHour}{value2}: {list}.{value3}', {
                  value: h.isStanding ? say('Standing') : say('In heat by signs'),
                  dayAndHour: dayAndHour(h.seenAt, today),
                  value2: h.notYetAt
                    ? say(', not yet at {dayAndHour}', { dayAndHour: dayAndHour(h.notYetAt, today) })
                    : '',
                  list: h.signs.map((s) => say(HEAT_SIGNS[s].words)).join(', '),
                  value3:
                    h.returnAfterDays === null
                      ? ''
                      : ` ${say('Back after {returnAfterDays} days: she did not hold to that service.', { returnAfterDays: h.returnAfterDays })}`,
                })}
              </Small>
            </div>
            {h.window ? (
              <HourBar window={h.window} earliest={h.opensEarliest} now={view.now} />
            ) : (
              <Small>{say('any time while she stands')}</Small>
            )}
            <div>
              {h.services.map((s) => (
                <Small key={s.entryId}>{servedWords(s, today)}</Small>
              ))}
              <Button kind={isOpen(h, view.now) ? 'main' : 'plain'} onPress={() => onServe(h.tag.animalId)}>
                {h.services.length === 0 ? say('Serve') : say('Serve again')}
              </Button>
            </div>
          </li>
        ))}
      </List>
      <Small>
        {say(
          '{n} {n, plural, one {heat is} other {heats are}} shown until three days after {n, plural, one {it is} other {they are}} over.',
          { n: view.heats.length },
        )}
      </Small>
    </Panel>
  );
}

const isOpen = ({ window, services }: HeatView, now: string): boolean =>
  window === null || (window.opens <= now && window.closes >= now && services.length < 2);

function servedWords(s: ServedView, today: string): string {
  const who = servedBy(
    s.males.map((m) => m.name ?? m.text),
    s.otherSire,
  );
  const when = s.at === null ? '' : ` ${dayAndHour(s.at, today)}`;
  return `${WAY_WORDS[s.way]}${when}, ${who}${s.timing === null ? '' : `: ${TIMING_WORDS[s.timing]}`}`;
}

const List = styled(PlainList)`
  margin: ${space(2)} 0;
  li {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) minmax(0, 3fr);
    gap: ${space(4)};
    align-items: center;
    padding: ${space(3)} 0;
    border-bottom: 1px solid var(--line);
  }
  ${phone} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;
