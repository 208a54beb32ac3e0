import type { StartJob } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Panel, Row, Small, Stack } from '../../parts/Panel';
import { lastHand } from '../../shared/jobs/hand';
import { fullDate } from '../../words/format';

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
          if (said === '') return setError('Enter a name.');
          onSaid(said);
        }}
      >
        <Stack>
          <h2>Who is at the race now?</h2>
          <p>
            {job.name}: begun on {fullDate(job.on)} by {job.startedBy}.
          </p>
          <Field label="Weighed and recorded by" value={name} onChange={setName} error={error} autoFocus />
          <Small>
            {job.isForItsDay
              ? `This job is for ${fullDate(on)}: every animal is dated with that day.`
              : `From here on animals are dated ${fullDate(on)}.`}
          </Small>
          <Row>
            <Button kind="main" type="submit">
              Continue
            </Button>
          </Row>
        </Stack>
      </form>
    </Panel>
  );
}
