import type { ScanSettings } from '@yaylak/contract';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Row, Small } from '../../../parts/Panel';
import { Tick } from '../../../parts/Tick';
import { say } from '@yaylak/contract';

interface Props {
  readonly settings: ScanSettings | undefined;
  readonly startedBy: string;
  readonly onChange: (settings: ScanSettings) => void;
}

/** Who scans or feels, who learns beside them, and whether the services are shown. */
export function ScanSettingsForm({ settings = { way: 'scan' }, startedBy, onChange }: Props) {
  const { testedBy, learner, isBlind = false } = settings;
  const named = (key: 'testedBy' | 'learner') => (name: string) => {
    const { [key]: _, ...without } = settings;
    onChange(name.trim() === '' ? without : { ...without, [key]: name });
  };
  return (
    <>
      <Row $gap={3}>
        <Choice
          label={say('By')}
          value={settings.way}
          options={[
            ['scan', say('scanner')],
            ['palpation', say('hand, feeling')],
          ]}
          onChange={(way) => onChange({ ...settings, way })}
        />
        <Field
          label={say('Scanned or felt by')}
          value={testedBy ?? ''}
          placeholder={startedBy}
          onChange={named('testedBy')}
        />
        {settings.way === 'scan' ? (
          <Field label={say('Learning to tell the age')} value={learner ?? ''} onChange={named('learner')} />
        ) : null}
      </Row>
      <Tick
        label={say('Blind: hide the days since the services')}
        isSelected={isBlind}
        onChange={(hidden) => onChange({ ...settings, isBlind: hidden })}
      />
      <Small>
        {say(
          'A scanner that knows the dates tends to see them. Blind, the age stands by itself and is held against the services afterwards. Feel rabbits gently, on the floor or a table they cannot fall from.',
        )}
      </Small>
    </>
  );
}
