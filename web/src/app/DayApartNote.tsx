import { useQuery, useQueryClient } from '@tanstack/react-query';
import { dayOf } from '@yaylak/core';
import { Link } from 'react-router';
import { forgetDayApart, holdingQuery } from '../api/queries';
import { useOutboxState } from '../outbox/useOutbox';
import { Button } from '../parts/Button';
import { NotePanel, Row } from '../parts/Panel';
import { fullDate } from '../words/dates';
import { say } from '@yaylak/contract';

/** Says that this device's clock is out, as long as it is. */
export function ClockNote() {
  const { data: holding } = useQuery(holdingQuery);
  const minutes = holding?.minutesAhead;
  if (minutes === undefined) return null;
  const apart = Math.abs(minutes);
  const hours = Math.floor(apart / 60);
  const long = [
    ...(hours > 0 ? [say('{hours} {hours, plural, one {hour} other {hours}}', { hours })] : []),
    ...(apart % 60 > 0 ? [say('{n} {n, plural, one {minute} other {minutes}}', { n: apart % 60 })] : []),
  ].join(' ');
  return (
    <NotePanel $tone="weld" role="note" style={{ margin: '16px 16px 0' }}>
      {say(
        'This device’s clock is {long} {value} the computer with the book. Hours here go by the computer’s clock. Set this device’s, or its time zone.',
        { long, value: minutes > 0 ? say('ahead of') : say('behind') },
      )}
    </NotePanel>
  );
}

/** Says that this device went by another day than the computer while they were apart, until it has been read. */
export function DayApartNote() {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const { waiting } = useOutboxState();
  const apart = holding?.dayApart;
  if (!apart) return null;
  const days = dayOf(apart.today) - dayOf(apart.carried);
  return (
    <NotePanel $tone="madder" role="alert" style={{ margin: '16px 16px 0' }}>
      <h2>
        {say('This device’s clock was {abs} {abs, plural, one {day} other {days}} {value}', {
          abs: Math.abs(days),
          value: days > 0 ? say('behind') : say('ahead'),
        })}
      </h2>
      <p>
        {say(
          'It went by {date}; by the computer with the book it is {date2}. What was recorded here since {date3} may bear the wrong day, and with it a withdrawal may end on the wrong day: look it over and strike out what is wrong. Set this device’s clock.',
          { date: fullDate(apart.carried), date2: fullDate(apart.today), date3: fullDate(apart.since) },
        )}
      </p>
      <Row style={{ marginTop: 12 }}>
        {waiting > 0 ? (
          <Link to="/kept">
            {say('{waiting} {waiting, plural, one {entry} other {entries}} kept here', { waiting })}
          </Link>
        ) : null}
        <Button onPress={() => forgetDayApart(client)}>{say('I have read it')}</Button>
      </Row>
    </NotePanel>
  );
}
