import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DeviceView } from '@yaylak/contract';
import { writeWhole } from '../common/wholeFile';

/** A device as it is kept: what it shows at the door is known by its hash only. */
interface Device extends DeviceView {
  readonly tokenHash: string;
}

const FILE = 'devices.json';
const OWNERS_ONLY = 0o600;
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/**
 * The devices that were let in, kept beside the book: they are of this computer, and a copy of the book that is put
 * back does not let in again who was turned away since.
 */
export class Devices {
  private devices: readonly Device[];

  /** @throws Error naming the file where it cannot be read: who is let in is not guessed */
  constructor(private readonly folder: string) {
    const file = join(folder, FILE);
    try {
      this.devices = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Device[]) : [];
    } catch {
      throw new Error(
        `The list of devices ${file} cannot be read. Move it away; then each tablet and phone joins once more with a code.`,
      );
    }
  }

  /** The last one first. */
  list(): DeviceView[] {
    return this.devices.map(({ tokenHash: _hash, ...device }) => device).toReversed();
  }

  /** Lets a device in; one that joins again has its old token no more. @returns what it shows at the door from now on */
  admit(id: string, name: string, today: string): string {
    const token = randomBytes(32).toString('base64url');
    const device = { id, name, joinedOn: today, seenOn: today, tokenHash: hashOf(token).toString('hex') };
    this.keep([...this.devices.filter((d) => d.id !== id), device]);
    return token;
  }

  /**
   * Who shows this at the door, and that it was here today; nobody where it was turned away.
   * @returns with whether it is the first time today
   */
  seen(id: string, token: string, today: string): { readonly isFirst: boolean } | undefined {
    const device = this.devices.find((d) => d.id === id);
    if (!device || !timingSafeEqual(hashOf(token), Buffer.from(device.tokenHash, 'hex'))) return undefined;
    const isFirst = device.seenOn !== today;
    if (isFirst) {
      this.devices = this.devices.map((d) => (d.id === id ? { ...d, seenOn: today } : d));
      try {
        this.keep(this.devices);
      } catch {
        // A full disk keeps nobody out; the day stands there with the next that is kept.
      }
    }
    return { isFirst };
  }

  /** Whether it was among those that are let in. */
  turnAway(id: string): boolean {
    const left = this.devices.filter((d) => d.id !== id);
    if (left.length === this.devices.length) return false;
    this.keep(left);
    return true;
  }

  private keep(devices: readonly Device[]): void {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    writeWhole(join(this.folder, FILE), JSON.stringify(devices, null, 2), OWNERS_ONLY);
    this.devices = devices;
  }
}
