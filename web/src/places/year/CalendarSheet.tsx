import type { HoldingView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { say } from '@yaylak/contract';

interface Props {
  readonly holding: HoldingView;
  readonly calendarKey: string;
  readonly onClose: () => void;
}

const ALARMS = ['none', '0', '1', '2', '7'] as const;
const ALARM_WORDS = {
  none: say('no alarm'),
  '0': say('on the day'),
  '1': say('a day before'),
  '2': say('two days before'),
  '7': say('a week before'),
};

/** The plan in the calendar of a telephone: as a file, or by an address it asks again by itself. */
export function CalendarSheet({ holding, calendarKey, onClose }: Props) {
  const save = useSaveHolding();
  const { ownText = '', alarmDays } = holding.calendar;
  const [text, setText] = useState(ownText);
  const [alarm, setAlarm] = useState<(typeof ALARMS)[number]>(
    ALARMS.find((a) => a === String(alarmDays ?? 'none')) ?? 'none',
  );
  const [problem, setProblem] = useState<string>();
  const [isCopied, setCopied] = useState(false);
  const address = `${window.location.origin}/api/calendar.ics?key=${calendarKey}`;
  const keep = async (): Promise<void> =>
    setProblem(
      await save({
        calendar: {
          ...(text.trim() ? { ownText: text.trim() } : {}),
          ...(alarm === 'none' ? {} : { alarmDays: Number(alarm) }),
        },
      }),
    );
  return (
    <Sheet isForLooking title={say('Calendar')} isOpen onClose={onClose}>
      <Stack>
        <p>
          {say(
            'All steps of the plans and all that is due, as whole days. Each calendar that reads iCalendar takes it.',
          )}
        </p>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label={say('Your own words under each date')} value={text} onChange={setText} />
          <Choice
            label={say('Rings')}
            value={alarm}
            options={ALARMS.map((a) => [a, ALARM_WORDS[a]])}
            onChange={setAlarm}
          />
          <Button onPress={() => void keep()}>{say('Keep')}</Button>
        </Row>
        {problem ? <p role="alert">{problem}</p> : null}
        <Field label={say('Address to subscribe to')} value={address} isReadOnly />
        <Row>
          <Button
            onPress={() => {
              void navigator.clipboard
                .writeText(address)
                .then(() => setCopied(true))
                .catch(() => setProblem(say('The browser does not let it be copied. Mark the address and copy it.')));
            }}
          >
            {isCopied ? say('Copied') : say('Copy the address')}
          </Button>
          <LinkButton href={address} download="yaylak.ics">
            {say('As a file')}
          </LinkButton>
        </Row>
        <Small>
          {say(
            'Whoever knows the address reads the plan. It is reached only from this computer, unless the server was told to listen on your network.',
          )}
        </Small>
      </Stack>
    </Sheet>
  );
}
