import { createDevices } from './devices';
import { serialSource, type SerialPortLike } from './serialSource';
import { lineCutter, lineIntake, type DeviceEvent, type ReadingSource } from './source';

it('a stream cut anywhere is the same lines', () => {
  const text = '792000000126031\r\nST,GS, 27.4 kg\r\n\r\n792000000126032\n';
  for (let size = 1; size < text.length; size++) {
    const lines: string[] = [];
    const cut = lineCutter((line) => lines.push(line));
    for (let i = 0; i < text.length; i += size) cut(text.slice(i, i + size));
    expect(lines).toEqual(['792000000126031', 'ST,GS, 27.4 kg', '792000000126032']);
  }
});

it('a line that never ends does not fill the memory, and the next is read', () => {
  const lines: string[] = [];
  const cut = lineCutter((line) => lines.push(line));
  cut('x'.repeat(5000));
  cut('\n27.4 kg\n');
  expect(lines.at(-1)).toBe('27.4 kg');
});

it('says a number once, a bad one as bad, and a weight only when it stands', () => {
  const intake = lineIntake();
  const said = (line: string, atMs: number) => intake.take(line, atMs).event;
  expect(said('792000000126031', 0)).toEqual({ kind: 'number', digits: '792000000126031' });
  expect(said('792000000126031', 300)).toBeUndefined();
  expect(said('79200000012603', 400)).toMatchObject({ kind: 'bad-number' });
  const events = Array.from({ length: 20 }, (_, i) => said('41.2 kg', 1000 + i * 100)).filter(Boolean);
  expect(events).toEqual([{ kind: 'weight', kg: 41.2 }]);
});

describe('the devices of this device', () => {
  const fake = () => {
    let line: (text: string) => void = () => undefined;
    let isOpen = false;
    const source: ReadingSource = {
      name: 'fake',
      open(onLine, onState) {
        line = onLine;
        isOpen = true;
        onState('open');
        return () => {
          isOpen = false;
        };
      },
    };
    return { source, say: (text: string) => line(text), isOpen: () => isOpen };
  };
  it('hand events to whoever listens, and none to whoever has left', () => {
    const { source, say } = fake();
    let now = 0;
    const devices = createDevices(() => (now += 5000));
    const heard: DeviceEvent[] = [];
    const leave = devices.listen((e) => heard.push(e));
    devices.connect(source);
    say('792000000126031');
    leave();
    say('792000000126032');
    expect(heard).toEqual([{ kind: 'number', digits: '792000000126031' }]);
  });
  it('connected again close what was open, and show what the crate holds', () => {
    const first = fake();
    const second = fake();
    let now = 0;
    const devices = createDevices(() => (now += 100));
    devices.connect(first.source);
    devices.connect(second.source);
    expect([first.isOpen(), second.isOpen()]).toEqual([false, true]);
    for (let i = 0; i < 12; i++) second.say('41.2 kg');
    expect(devices.state()).toMatchObject({
      sources: [{ name: 'fake', state: 'open' }],
      crate: { kind: 'settled', kg: 41.2 },
    });
    devices.disconnect('fake');
    expect(devices.state()).toEqual({ sources: [], crate: undefined });
  });
});

it('a serial line brings lines, says when it is away, and is closed again', async () => {
  const encoder = new TextEncoder();
  const port: SerialPortLike = {
    open: () => Promise.resolve(),
    close: () => Promise.resolve(),
    readable: new ReadableStream({
      start(controller) {
        controller.enqueue(encoder.encode('7920000001'));
        controller.enqueue(encoder.encode('26031\r\n'));
        controller.close();
      },
    }),
  };
  const lines: string[] = [];
  const states: string[] = [];
  await new Promise<void>((resolve) => {
    serialSource(port, 9600).open(
      (line) => lines.push(line),
      (state) => {
        states.push(state);
        if (state === 'away') resolve();
      },
    );
  });
  expect(lines).toEqual(['792000000126031']);
  expect(states).toEqual(['connecting', 'open', 'away']);
});
