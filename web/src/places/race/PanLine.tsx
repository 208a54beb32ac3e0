import type { WeighSettings } from '@yaylak/contract';
import { fromKg, readTypedWeight, toKg, unlikelyPan, type ScaleUnit } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { space } from '../../theme/tokens';
import { panFaultText, panText } from '../../words/pan';
import { say } from '@yaylak/contract';

/** What is taken off each reading: the pan, by its name. */
export type Pan = Pick<WeighSettings, 'tareKg' | 'tareName'>;

interface Props {
  readonly pan: Pan;
  readonly scale: ScaleUnit;
  readonly onChange: (pan: Pan) => void;
}

/** Which pan stands on the scale, always in sight; another can be taken in the midst of a job. */
export function PanLine({ pan, scale, onChange }: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Line>
      <span>
        {pan.tareKg
          ? say('{pan} taken off each reading', { pan: panText(pan, scale) })
          : say('No pan: the reading is the weight')}
      </span>
      <Button kind="quiet" onPress={() => setOpen(true)}>
        {pan.tareKg ? say('Another pan') : say('Use a pan')}
      </Button>
      {isOpen ? (
        <PanSheet
          pan={pan}
          scale={scale}
          onChange={(next) => {
            setOpen(false);
            onChange(next);
          }}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </Line>
  );
}

function PanSheet({ pan, scale, onChange, onClose }: Props & { readonly onClose: () => void }) {
  const [name, setName] = useState(pan.tareName ?? '');
  const [text, setText] = useState(pan.tareKg ? String(Number(fromKg(pan.tareKg, scale).toFixed(4))) : '');
  const [error, setError] = useState<string>();
  const use = (): void => {
    const typed = readTypedWeight(text, scale);
    if (typed.kind === 'refused' || typed.value <= 0)
      return setError(say('Enter what the pan weighs, in {scale}.', { scale }));
    const kg = Number(toKg(typed.value, scale).toFixed(4));
    const unlikely = unlikelyPan(kg);
    if (unlikely) return setError(panFaultText(kg, scale));
    onChange({ tareKg: kg, ...(name.trim() === '' ? {} : { tareName: name.trim() }) });
  };
  return (
    <Sheet title={say('Pan on the scale')} isOpen onClose={onClose}>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          use();
        }}
      >
        <Row $gap={3} style={{ alignItems: 'flex-start' }}>
          <Field
            label={say('Weight of the pan, {scale}', { scale })}
            inputMode="decimal"
            value={text}
            onChange={setText}
            error={error}
            autoFocus
          />
          <Field
            label={say('Which pan (may be left empty)')}
            value={name}
            onChange={setName}
            placeholder={say('blue basket')}
          />
        </Row>
        <Row style={{ marginTop: 16 }}>
          <Button kind="main" type="submit">
            {say('Use this pan')}
          </Button>
          {pan.tareKg ? <Button onPress={() => onChange({})}>{say('No pan')}</Button> : null}
        </Row>
      </form>
    </Sheet>
  );
}

const key = (jobId: string): string => `yaylak-pan-${jobId}`;

/** The pan that was taken in the midst of a job on this device; undefined where it is the job's own. */
export function keptPan(jobId: string | undefined): Pan | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key(jobId ?? '')) ?? 'null') as Pan | null;
    if (kept === null || typeof kept !== 'object') return undefined;
    const { tareKg, tareName } = kept;
    return typeof tareKg === 'number' && tareKg > 0
      ? { tareKg, ...(typeof tareName === 'string' ? { tareName } : {}) }
      : {};
  } catch {
    return undefined;
  }
}

export function keepPan(jobId: string | undefined, pan: Pan): void {
  if (jobId !== undefined) localStorage.setItem(key(jobId), JSON.stringify(pan));
}

export const forgetPan = (jobId: string): void => localStorage.removeItem(key(jobId));

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)};
  padding: ${space(1)} ${space(5)};
`;
