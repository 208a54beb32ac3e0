import { mkdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Role } from '@yaylak/contract';
import { writeWhole } from '../common/wholeFile';

/** A log-in on a device. */
export interface Session {
  /** Of what the device shows. */
  readonly hash: string;
  readonly device: string;
  /** The day it was last used. */
  readonly usedOn: string;
}
/** What a script shows. */
export interface Key {
  readonly id: string;
  readonly name: string;
  readonly hash: string;
  readonly madeOn: string;
  readonly usedOn: string | null;
}
/** Somebody of the household as they are kept: nothing that opens the book is known but by its hash. */
export interface Person {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly password: string;
  readonly pin: string | null;
  /** Where they have logged in by password, so that the PIN is enough. */
  readonly devices: readonly string[];
  readonly sessions: readonly Session[];
  readonly keys: readonly Key[];
}

export const PEOPLE_FILE = 'people.json';
const OWNERS_ONLY = 0o600;

/**
 * The people of the household, kept beside the book and not in it: a copy that is put back brings no old password back,
 * and none goes along with the book. Another program on the computer may write the file as well (`npm run password`), so
 * it is read anew when it is another.
 */
export class People {
  private people: readonly Person[] = [];
  private readAs = '';
  private readonly file: string;

  constructor(private readonly folder: string) {
    this.file = join(folder, PEOPLE_FILE);
  }

  /** @throws Error naming the file where it cannot be read: who may what is not guessed */
  all(): readonly Person[] {
    const as = this.stateOfFile();
    if (as !== this.readAs) {
      try {
        this.people = as === '' ? [] : (JSON.parse(readFileSync(this.file, 'utf8')) as Person[]);
      } catch {
        throw new Error(
          `The list of people ${this.file} cannot be read. Move it away, and add the people of the household anew on this computer.`,
        );
      }
      this.readAs = as;
    }
    return this.people;
  }

  byId(id: string): Person | undefined {
    return this.all().find((p) => p.id === id);
  }
  byName(name: string): Person | undefined {
    const plain = plainName(name);
    return this.all().find((p) => plainName(p.name) === plain);
  }

  add(person: Person): void {
    this.keep([...this.all(), person]);
  }
  change(id: string, change: (person: Person) => Partial<Person>): void {
    this.keep(this.all().map((p) => (p.id === id ? { ...p, ...change(p) } : p)));
  }
  remove(id: string): void {
    this.keep(this.all().filter((p) => p.id !== id));
  }

  private keep(people: readonly Person[]): void {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    writeWhole(this.file, JSON.stringify(people, null, 2), OWNERS_ONLY);
    this.people = people;
    this.readAs = this.stateOfFile();
  }

  /** Another text for each file that was written; empty where there is none. */
  private stateOfFile(): string {
    const stat = statSync(this.file, { bigint: true, throwIfNoEntry: false });
    return stat === undefined ? '' : `${stat.mtimeNs} ${stat.ino} ${stat.size}`;
  }
}

const plainName = (name: string): string => name.trim().normalize('NFC').toLocaleLowerCase('en');
