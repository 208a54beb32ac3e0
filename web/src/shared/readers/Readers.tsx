import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ButtonHTMLAttributes, type ComponentType } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { browserSerial, serialSource } from '../../adapters/readings/serialSource';
import { socketSource } from '../../adapters/readings/socketSource';
import { useDevices, useDevicesState } from '../../adapters/readings/useReadings';
import { colour, radius, space, touch } from '../../theme/tokens';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const BRIDGE_KEY = 'yaylak-bridge';
const OFF = 'off';
const USUAL_BAUD = '9600';
const STATE_WORDS = { connecting: say('connecting'), open: say('connected'), away: say('away, trying again') } as const;

interface Props {
  /** The button that says how they are: it looks like those beside it. */
  readonly button?: ComponentType<
    ButtonHTMLAttributes<HTMLButtonElement> & { readonly 'data-state'?: string | undefined }
  >;
}

/** Stick and crate: whether they are there, what the crate holds, and how to connect them. */
export function Readers({ button: Trigger = Plain }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const devices = useDevices();
  const { sources, crate } = useDevicesState();
  const unit = useWeightUnit();
  const [isOpen, setOpen] = useState(false);
  const [baud, setBaud] = useState(USUAL_BAUD);
  const [problem, setProblem] = useState<string>();
  const told = holding?.about.devicesUrl ?? undefined;
  const serial = browserSerial();

  // Devices are outside React: the bridge the server was told of is opened by itself, and no other.
  useEffect(() => {
    if (told === undefined || localStorage.getItem(BRIDGE_KEY) === OFF) return;
    const source = socketSource(told);
    devices.connect(source);
    return () => devices.disconnect(source.name);
  }, [devices, told]);

  const connect = (): void => {
    if (told === undefined) return;
    devices.connect(socketSource(told));
    localStorage.removeItem(BRIDGE_KEY);
    setOpen(false);
  };
  const connectSerial = async (): Promise<void> => {
    const rate = Number(baud);
    if (!serial || !Number.isInteger(rate) || rate <= 0)
      return setProblem(
        say('Speed of the line: “{baud}” is not a whole number. {usual} is usual.', {
          baud,
          usual: USUAL_BAUD,
        }),
      );
    try {
      devices.connect(serialSource(await serial.requestPort(), rate));
      setOpen(false);
    } catch {
      setProblem(say('No line was chosen, or it is held by another program.'));
    }
  };
  const disconnect = (name: string): void => {
    devices.disconnect(name);
    localStorage.setItem(BRIDGE_KEY, OFF);
  };
  const isConnected = told !== undefined && sources.some((s) => s.name === socketSource(told).name);
  const first = sources[0];
  const words =
    first === undefined
      ? say('no stick or crate')
      : say('stick and crate {state}{value}', {
          state: STATE_WORDS[first.state],
          value:
            crate && crate.kind !== 'empty'
              ? `, ${weightText(crate.kg, unit)} ${crate.kind === 'moving' ? say('moving') : say('settled')}`
              : '',
        });
  return (
    <>
      <Trigger
        type="button"
        data-state={first?.state}
        aria-label={say('Readers: {value}', { value: first ? STATE_WORDS[first.state] : say('none') })}
        onClick={() => setOpen(true)}
      >
        {words}
      </Trigger>
      <Sheet isForLooking title={say('Stick and crate')} isOpen={isOpen} onClose={() => setOpen(false)}>
        {sources.map((s) => (
          <Row key={s.name} $gap={3}>
            <span>
              <b>{s.name}</b>: {STATE_WORDS[s.state]}
            </span>
            <Button onPress={() => disconnect(s.name)}>{say('Disconnect')}</Button>
          </Row>
        ))}
        {told === undefined ? (
          <Small>
            <Said
              text={
                'No bridge is set. Start Yaylak with its address: <0>DEVICES_URL=ws://127.0.0.1:4871 npm start</0>.'
              }
              parts={{ 0: <code /> }}
            />
          </Small>
        ) : isConnected ? null : (
          <Row $gap={3}>
            <span>
              <Said text={'Bridge at <0>{told}</0>'} values={{ told }} parts={{ 0: <code /> }} />
            </span>
            <Button onPress={connect}>{say('Connect')}</Button>
          </Row>
        )}
        {serial ? (
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Field label={say('Speed of a serial line')} inputMode="numeric" value={baud} onChange={setBaud} />
            <Button onPress={() => void connectSerial()}>{say('Choose a serial line')}</Button>
          </Row>
        ) : null}
        {problem ? <p role="alert">{problem}</p> : null}
        <Small>
          {say(
            'A reader that types like a keyboard needs nothing here: its number and Enter go into the field at hand. A file of readings is read in under Holding, Files.',
          )}
        </Small>
      </Sheet>
    </>
  );
}

const Plain = styled.button`
  min-height: ${touch};
  padding: 0 ${space(3)};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  background: ${colour('panel')};
  color: ${colour('inkSoft')};
  cursor: pointer;
  &[data-state='away'] {
    border-color: ${colour('weldFill')};
  }
`;
