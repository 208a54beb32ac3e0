import { useQuery, useQueryClient } from '@tanstack/react-query';
import { dayOf } from '@yaylak/core';
import { Link } from 'react-router';
import { forgetDayApart, holdingQuery } from '../api/queries';
import { useOutboxState } from '../outbox/useOutbox';
import { Button } from '../parts/Button';
import { NotePanel, Row } from '../parts/Panel';
import { countText, fullDate } from '../words/format';

/** Says that this device's clock is out, as long as it is. */
export function ClockNote() {
  const { data: holding } = useQuery(holdingQuery);
  const minutes = holding?.minutesAhead;
  if (minutes === undefined) return null;
  const apart = Math.abs(minutes);
  const hours = Math.floor(apart / 60);
  const long = [
    ...(hours > 0 ? [countText(hours, 'hour', 'hours')] : []),
    ...(apart % 60 > 0 ? [countText(apart % 60, 'minute', 'minutes')] : []),
  ].join(' ');
  return (
    <NotePanel $tone="weld" role="note" style={{ margin: '16px 16px 0' }}>
      This device’s clock is {long} {minutes > 0 ? 'ahead of' : 'behind'} the computer with the book. Hours here go by
      the computer’s clock. Set this device’s, or its time zone.
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
        This device’s clock was {countText(Math.abs(days), 'day', 'days')} {days > 0 ? 'behind' : 'ahead'}
      </h2>
      <p>
        It went by {fullDate(apart.carried)}; by the computer with the book it is {fullDate(apart.today)}. What was
        recorded here since {fullDate(apart.since)} may bear the wrong day, and with it a withdrawal may end on the
        wrong day: look it over and strike out what is wrong. Set this device’s clock.
      </p>
      <Row style={{ marginTop: 12 }}>
        {waiting > 0 ? <Link to="/kept">{countText(waiting, 'entry', 'entries')} kept here</Link> : null}
        <Button onPress={() => forgetDayApart(client)}>I have read it</Button>
      </Row>
    </NotePanel>
  );
}
