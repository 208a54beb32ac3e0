import { readConfig } from './config';

it('knows the demo by its variable alone', () => {
  expect(readConfig({ YAYLAK_DEMO: '1' }).isDemo).toBe(true);
  expect(readConfig({}).isDemo).toBe(false);
});

it('an address of a bridge is a WebSocket’s', () => {
  expect(readConfig({ DEVICES_URL: 'ws://127.0.0.1:4871' }).devicesUrl).toBe('ws://127.0.0.1:4871');
  expect(readConfig({}).devicesUrl).toBeUndefined();
  expect(() => readConfig({ DEVICES_URL: 'http://127.0.0.1' })).toThrow('DEVICES_URL');
});

it('listens on this computer alone unless told otherwise', () => {
  expect(readConfig({})).toMatchObject({ host: '127.0.0.1', port: 4870 });
  expect(readConfig({ HOST: 'localhost', PORT: '80' })).toMatchObject({ host: 'localhost', port: 80 });
});

it.each(['0.0.0.0', '::', '192.168.1.20', 'barn.local', '127.0.0.1.example'])(
  'does not open a book bare to the network at %s, and says what is safe',
  (HOST) => {
    expect(() => readConfig({ HOST })).toThrow(
      /HOST is ".+": that would open the book.+Leave HOST out.+npm start -- --home/,
    );
  },
);

it('goes ahead of the day only as far as it is told', () => {
  expect(readConfig({}).daysAhead).toBe(0);
  expect(readConfig({ DAYS_AHEAD: '42' }).daysAhead).toBe(42);
  expect(() => readConfig({ DAYS_AHEAD: 'soon' })).toThrow('DAYS_AHEAD is "soon"');
});

describe('the following copy', () => {
  const of = (FOLLOW_TO: string) => readConfig({ DATA_DIR: '/home/aylin/yaylak', FOLLOW_TO }).followTo;

  it('goes to a folder, or to whatever address it is told', () => {
    expect(readConfig({}).followTo).toBeUndefined();
    expect(of('/media/old disk/following')).toBe('/media/old disk/following');
    expect(of('s3://bucket/book')).toBe('s3://bucket/book');
  });

  it('is refused by a path that is not whole, and in the folder of the book itself', () => {
    expect(() => of('following')).toThrow('FOLLOW_TO is "following"; give the whole path');
    expect(() => of('/home/aylin/yaylak/following')).toThrow('Name a folder on another disk.');
  });
});

it.each(['eighty', '70000', '-1', '80.5'])('refuses port %s by name', (PORT) => {
  expect(() => readConfig({ PORT })).toThrow(`PORT is "${PORT}"`);
});
