import { hostname, networkInterfaces } from 'node:os';

/** What this computer is called in the house. */
export interface Names {
  /** Names, the one that every tablet finds first. */
  readonly hosts: readonly string[];
  /** Numbers of its lines into the house; a router may give it others tomorrow. */
  readonly addresses: readonly string[];
}

/** Endings a name in a house may have: nobody outside has them. */
export const HOUSE_ENDINGS = ['local', 'lan', 'home', 'internal', 'home.arpa'] as const;
/** Addresses that stay within a house (RFC 1918, RFC 3927). */
export const HOUSE_RANGES = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16'] as const;

const HOUSE_ADDRESS = /^(10|172\.(1[6-9]|2\d|3[01])|192\.168|169\.254)\.\d/;
/** The lines of a house first; a program's own lines within the computer often have the others. */
const LIKELY = [/^192\.168\./, /^10\./, /^172\./, /^169\./];
const likelihood = (address: string): number => LIKELY.findIndex((range) => range.test(address));

/**
 * The names by which others in the house can reach this computer.
 * @param host as it calls itself, with or without an ending
 * @param addresses of all its lines, also those that lead out
 */
export function houseNames(host: string, addresses: readonly string[]): Names {
  const whole = host.toLowerCase().replace(/\.$/, '');
  const own = whole.split('.')[0]?.replace(/[^a-z\d-]/g, '-') ?? '';
  const hosts = [
    // Found without a server of names (RFC 6762).
    `${own === '' ? 'yaylak' : own}.local`,
    ...HOUSE_ENDINGS.filter((ending) => whole.endsWith(`.${ending}`)).map(() => whole),
  ];
  return {
    hosts: [...new Set(hosts)],
    addresses: [...new Set(addresses)]
      .filter((address) => HOUSE_ADDRESS.test(address))
      .sort((a, b) => likelihood(a) - likelihood(b)),
  };
}

/** Lines that lead to programs within the computer, or out of the house through a tunnel. */
const VIRTUAL = /^(docker|br-|veth|virbr|vbox|vmnet|tun|tap|wg|zt)/i;

/** The names of the computer this runs on. */
export const ownNames = (): Names =>
  houseNames(
    hostname(),
    Object.entries(networkInterfaces()).flatMap(([name, line]) =>
      (line ?? []).flatMap((a) => (a.family === 'IPv4' && !a.internal && !VIRTUAL.test(name) ? [a.address] : [])),
    ),
  );
