import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { overTls } from '../tests/overTls';
import { certify, fingerprintOf, isGoodFor, makeAuthority, type Pair } from './authority';
import { keysIn } from './keys';
import { houseNames, type Names } from './names';

const NOW = new Date();
const daysOn = (days: number): Date => new Date(NOW.getTime() + days * 86_400_000);
const BARN: Names = { hosts: ['barn.local'], addresses: ['192.168.1.5'] };

/** What somebody who trusts the authority gets from a server of that name: OpenSSL judges. */
async function trying(authority: Pair, server: Pair, name: string): Promise<string> {
  const listening = createServer({ key: server.key, cert: server.certificate }, (_, response) =>
    response.end('let in'),
  );
  await new Promise<void>((resolve) => listening.listen(0, '127.0.0.1', resolve));
  const { port } = listening.address() as AddressInfo;
  try {
    return (await overTls(`https://${name}:${port}`, authority.certificate)('/')).text;
  } catch (error) {
    return (error as Error).message;
  } finally {
    listening.close();
  }
}

let authority: Pair;
beforeAll(async () => {
  authority = await makeAuthority('Yaylak on barn', NOW);
});

it('vouches for a computer of the house', async () => {
  expect(await trying(authority, await certify(authority, BARN, NOW), 'barn.local')).toBe('let in');
});

it.each(['bank.example', 'barn.local.bank.example', 'local.example'])(
  'cannot vouch for %s, whoever has its key',
  async (name) => {
    const server = await certify(authority, { hosts: [name], addresses: [] }, NOW);
    expect(await trying(authority, server, name)).toMatch(/permitted subtree violation/);
  },
);

it('cannot vouch for a number outside of houses', async () => {
  const server = await certify(authority, { hosts: ['barn.local'], addresses: ['203.0.113.9'] }, NOW);
  expect(await trying(authority, server, 'barn.local')).toMatch(/permitted subtree violation/);
});

it('is no other book’s authority', async () => {
  const other = await makeAuthority('Yaylak on barn', NOW);
  const server = await certify(other, BARN, NOW);
  expect(await trying(authority, server, 'barn.local')).not.toBe('let in');
  expect(isGoodFor(server, authority, BARN, NOW)).toBe(false);
  expect(fingerprintOf(other)).not.toBe(fingerprintOf(authority));
});

it('makes a server’s certificate out for a year and renews it in the last month', async () => {
  const server = await certify(authority, BARN, NOW);
  expect(isGoodFor(server, authority, BARN, daysOn(359))).toBe(true);
  expect(isGoodFor(server, authority, BARN, daysOn(361))).toBe(false);
  expect(isGoodFor(server, authority, { ...BARN, addresses: ['192.168.1.6'] }, NOW)).toBe(false);
  expect(isGoodFor(server, authority, { ...BARN, hosts: ['byre.local'] }, NOW)).toBe(false);
});

describe('kept beside the book', () => {
  let folder: string;
  beforeEach(() => {
    folder = join(mkdtempSync(join(tmpdir(), 'yaylak-keys-')), 'household');
  });
  afterEach(() => rmSync(join(folder, '..'), { recursive: true, force: true }));

  it('both stay from one start to the next, their keys for the owner only', async () => {
    const first = await keysIn(folder, BARN, NOW);
    expect(await keysIn(folder, BARN, NOW)).toEqual(first);
    for (const name of ['authority-key.pem', 'server-key.pem'])
      expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600);
    expect(statSync(folder).mode & 0o777).toBe(0o700);
  });

  it('another number of this computer needs another certificate, and no tablet to trust anything anew', async () => {
    const first = await keysIn(folder, BARN, NOW);
    const moved = await keysIn(folder, { ...BARN, addresses: ['192.168.1.77'] }, NOW);
    expect(moved.authority).toEqual(first.authority);
    expect(moved.server).not.toEqual(first.server);
    expect(await trying(moved.authority, moved.server, 'barn.local')).toBe('let in');
  });

  it('a key without its certificate, as a pulled plug leaves it, is made anew', async () => {
    const first = await keysIn(folder, BARN, NOW);
    const { key } = await certify(first.authority, BARN, NOW);
    writeFileSync(join(folder, 'server-key.pem'), key);
    const again = await keysIn(folder, BARN, NOW);
    expect(await trying(again.authority, again.server, 'barn.local')).toBe('let in');
    expect(readFileSync(join(folder, 'server-key.pem'), 'utf8')).not.toBe(key);
  });

  it('a damaged certificate is made anew, and a damaged authority is told of in words', async () => {
    await keysIn(folder, BARN, NOW);
    writeFileSync(join(folder, 'server.pem'), 'not a certificate');
    const again = await keysIn(folder, BARN, NOW);
    expect(await trying(again.authority, again.server, 'barn.local')).toBe('let in');
    writeFileSync(join(folder, 'authority-key.pem'), 'not a key');
    writeFileSync(join(folder, 'server.pem'), '');
    await expect(keysIn(folder, BARN, NOW)).rejects.toThrow(
      /The key of the house in .+ cannot be used .+ Move that folder/,
    );
  });
});

it.each([
  ['Barn', [], ['barn.local']],
  ['barn.lan', [], ['barn.local', 'barn.lan']],
  ['barn.example.org', [], ['barn.local']],
  ['büro pc', [], ['b-ro-pc.local']],
  ['barn', ['172.20.0.3', '203.0.113.9', '192.168.1.5', '172.32.0.3', '10.1.2.3'], ['barn.local']],
] as const)('the names in the house of %s', (host, addresses, hosts) => {
  const names = houseNames(host, addresses);
  expect(names.hosts).toEqual(hosts);
  expect(names.addresses).toEqual(addresses.length > 0 ? ['192.168.1.5', '10.1.2.3', '172.20.0.3'] : []);
});
