import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { browserSerial, serialSource } from '../../readings/serialSource';
import { socketSource } from '../../readings/socketSource';
import { useDevices, useDevicesState } from '../../readings/useReadings';
import { colour, radius, space } from '../../theme/tokens';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';

const ADDRESS_KEY = 'yaylak-bridge';
const OFF = 'off';
const USUAL_BAUD = '9600';
const STATE_WORDS = { connecting: 'connecting', open: 'connected', away: 'away, trying again' } as const;

/** Stick and crate: whether they are there, what the crate holds, and how to connect them. */
export function Readers() {
  const { data: holding } = useQuery(holdingQuery);
  const devices = useDevices();
  const { sources, crate } = useDevicesState();
  const unit = useWeightUnit();
  const [isOpen, setOpen] = useState(false);
  const [typedAddress, setAddress] = useState<string>();
  const [baud, setBaud] = useState(USUAL_BAUD);
  const [problem, setProblem] = useState<string>();
  const told = holding?.about.devicesUrl ?? undefined;
  const address = typedAddress ?? told ?? '';
  const serial = browserSerial();

  // Devices are outside React: a bridge this device used before, or the server was told of, is opened by itself.
  useEffect(() => {
    const kept = localStorage.getItem(ADDRESS_KEY) ?? told;
    if (!kept || kept === OFF) return;
    const source = socketSource(kept);
    devices.connect(source);
    return () => devices.disconnect(source.name);
  }, [devices, told]);

  const connect = (): void => {
    try {
      const source = socketSource(address.trim());
      devices.connect(source);
      localStorage.setItem(ADDRESS_KEY, address.trim());
      setProblem(undefined);
      setOpen(false);
    } catch {
      setProblem(`“${address}” is no address of a bridge. Write it as ws://127.0.0.1:4871.`);
    }
  };
  const connectSerial = async (): Promise<void> => {
    const rate = Number(baud);
    if (!serial || !Number.isInteger(rate) || rate <= 0)
      return setProblem(`Speed of the line: “${baud}” is no whole number. ${USUAL_BAUD} is usual.`);
    try {
      devices.connect(serialSource(await serial.requestPort(), rate));
      setOpen(false);
    } catch {
      setProblem('No line was chosen, or it is held by another program.');
    }
  };
  const disconnect = (name: string): void => {
    devices.disconnect(name);
    localStorage.setItem(ADDRESS_KEY, OFF);
  };
  const first = sources[0];
  const words =
    first === undefined
      ? 'no stick or crate'
      : `stick and crate ${STATE_WORDS[first.state]}${crate && crate.kind !== 'empty' ? `, ${weightText(crate.kg, unit)} ${crate.kind === 'moving' ? 'moving' : 'settled'}` : ''}`;
  return (
    <>
      <Shown
        type="button"
        data-state={first?.state}
        aria-label={`Readers: ${first ? STATE_WORDS[first.state] : 'none'}`}
        onClick={() => setOpen(true)}
      >
        {words}
      </Shown>
      <Sheet title="Stick and crate" isOpen={isOpen} onClose={() => setOpen(false)}>
        {sources.map((s) => (
          <Row key={s.name} $gap={3}>
            <span>
              <b>{s.name}</b>: {STATE_WORDS[s.state]}
            </span>
            <Button onPress={() => disconnect(s.name)}>Disconnect</Button>
          </Row>
        ))}
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field
            label="Address of the bridge"
            value={address}
            onChange={setAddress}
            placeholder="ws://127.0.0.1:4871"
          />
          <Button onPress={connect} isDisabled={address.trim() === ''}>
            Connect
          </Button>
        </Row>
        {serial ? (
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Field label="Speed of a serial line" inputMode="numeric" value={baud} onChange={setBaud} />
            <Button onPress={() => void connectSerial()}>Choose a serial line</Button>
          </Row>
        ) : null}
        {problem ? <p role="alert">{problem}</p> : null}
        <Small>
          A reader that types like a keyboard needs nothing here: its number and Enter go into the field at hand. A file
          of readings is read in under Holding, Files.
        </Small>
      </Sheet>
    </>
  );
}

const Shown = styled.button`
  min-height: 36px;
  padding: 0 ${space(3)};
  border: 1px solid ${colour('bandSoft')};
  border-radius: ${radius};
  background: transparent;
  color: ${colour('bandInk')};
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  &[data-state='away'] {
    border-color: #ebbe62;
  }
`;
