import type { StartJob } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { lastHand } from '../../shared/jobs/hand';
import { fullDate } from '../../words/dates';
import { say } from '@yaylak/contract';

interface Props {
  readonly job: StartJob;
  /** The day the animals will be dated. */
  readonly on: string;
  readonly by: string | undefined;
  readonly onSaid: (by: string) => void;
}

/** Asked on a device that did not begin the job, and on another day: each animal bears the hand that was there. */
export function WhoIsThere({ job, on, by, onSaid }: Props) {
  const [name, setName] = useState(by ?? lastHand() ?? job.startedBy);
  const [error, setError] = useState<string>();
  return (
    <Panel>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          const said = name.trim();
          if (said === '') return setError(say('Enter a name.'));
          onSaid(said);
        }}
      >
        <Stack>
          <h2>{say('Who is at the race now?')}</h2>
          <p>
            {say('{name}: begun on {date} by {startedBy}.', {
              name: job.name,
              date: fullDate(job.on),
              startedBy: job.startedBy,
            })}
          </p>
          <Field label={say('Weighed and recorded by')} value={name} onChange={setName} error={error} autoFocus />
          <Small>
            {job.isForItsDay
              ? say('This job is for {date}: every animal is dated with that day.', { date: fullDate(on) })
              : say('From here on animals are dated {date}.', { date: fullDate(on) })}
          </Small>
          <Row>
            <Button kind="main" type="submit">
              {say('Continue')}
            </Button>
          </Row>
        </Stack>
      </form>
    </Panel>
  );
}
