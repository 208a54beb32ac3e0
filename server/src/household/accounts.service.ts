import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import {
  SESSION_DAYS,
  say,
  type AddPerson,
  type ChangeOwn,
  type ChangePerson,
  type LogIn,
  type MakeKey,
  type PeopleView,
  type PersonView,
  type SwitchHands,
} from '@yaylak/contract';
import { dayOf, isoOf } from '@yaylak/core';
import { Clock } from '../common/clock';
import type { Hand } from '../common/hand';
import { conflict, notFound, ProblemException } from '../common/problems';
import { CONFIG } from '../common/tokens';
import type { ServerConfig } from '../config';
import { houseFolder, type Asker } from './asker';
import { hashedSecret, isSecret } from './passwords';
import { Patience } from './patience';
import { People, type Person } from './people';

/** Wrong PINs before the password is asked for: there are but ten thousand of four digits. */
const PIN_TRIES = 5;
/** Log-ins of one person that are remembered, the newest. */
const SESSIONS = 50;
const KEYS = 20;

/** What is said, and done, where it is wrong. */
interface Wrong {
  readonly wrong: string;
  readonly remedy: string;
  readonly onWrong?: (times: number) => void;
}

const newToken = (): string => randomBytes(32).toString('base64url');
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const isHashOf = (hash: string, token: string): boolean =>
  timingSafeEqual(Buffer.from(hash, 'hex'), Buffer.from(hashOf(token), 'hex'));

/** Who of the household is who, and how they show it. */
@Injectable()
export class AccountsService {
  private readonly people: People;
  private readonly patience = new Patience();

  constructor(
    @Inject(CONFIG) private readonly config: ServerConfig,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.people = new People(houseFolder(config));
  }

  /** Somebody has to log in: the book is open to the house, and the household has people. */
  get isAsked(): boolean {
    return this.config.house !== undefined && this.people.all().length > 0;
  }

  /** Who is logged in on a device that shows this; with whether it is the first time today. */
  whoShows(
    device: string,
    id: string,
    token: string,
  ): { readonly person: Person; readonly isFirst: boolean } | undefined {
    const person = this.people.byId(id);
    const session = person?.sessions.find((s) => s.device === device && isHashOf(s.hash, token));
    const today = this.today();
    if (!person || !session || dayOf(today) - dayOf(session.usedOn) > SESSION_DAYS) return undefined;
    const isFirst = session.usedOn !== today;
    if (isFirst)
      this.keepQuietly(id, ({ sessions }) => ({
        sessions: sessions.map((s) => (s.hash === session.hash ? { ...s, usedOn: today } : s)),
      }));
    return { person, isFirst };
  }

  /** Whose script shows this. */
  whoseKey(id: string, token: string): Person | undefined {
    const person = this.people.byId(id);
    const key = person?.keys.find((k) => isHashOf(k.hash, token));
    if (!person || !key) return undefined;
    const today = this.today();
    if (key.usedOn !== today)
      this.keepQuietly(id, ({ keys }) => ({ keys: keys.map((k) => (k.id === key.id ? { ...k, usedOn: today } : k)) }));
    return person;
  }

  /** Who works, as it stands over everything they write. */
  handOf({ person, isScript, id: device }: Asker): Hand | undefined {
    if (!person) return undefined;
    const others = isScript ? [] : this.knownOn(device).filter((p) => p.id !== person.id);
    return { name: person.name, role: person.role, alsoHere: new Map(others.map((p) => [p.name, p.role])) };
  }

  view({ person, id: device }: Asker): PeopleView {
    if (!this.isAsked) return { isAsked: false, me: null, people: [] };
    // As they are kept now: what is asked may just have changed them.
    const me = person ? this.people.byId(person.id) : undefined;
    const shown = me?.role === 'owner' ? this.people.all() : this.knownOn(device);
    const toView = (one: Person): PersonView => ({
      id: one.id,
      name: one.name,
      role: one.role,
      isByPin: one.pin !== null && one.devices.includes(device),
    });
    return {
      isAsked: true,
      me: me ? { ...toView(me), hasPin: me.pin !== null, keys: me.keys.map(({ hash: _hash, ...key }) => key) } : null,
      people: shown.map(toView),
    };
  }

  /** @returns what the device shows from now on. @throws ProblemException where it is not the password, or too soon */
  async logIn({ id: device }: Asker, { name, password }: LogIn): Promise<string> {
    const person = this.people.byName(name);
    await this.tried(`name ${person?.id ?? name.trim().toLowerCase()}`, () => isSecret(person?.password, password), {
      wrong: say('That is not the name and the password of anybody here.'),
      remedy: say('Type both once more. An owner sets a forgotten password anew.'),
    });
    return this.begin(person as Person, device);
  }

  /** @returns what the device shows from now on. @throws ProblemException where it is not the PIN, or is asked for here no more */
  async switchHands({ id: device }: Asker, { id, pin }: SwitchHands): Promise<string> {
    const person = this.knownOn(device).find((p) => p.id === id && p.pin !== null);
    if (!person)
      throw conflict(say('The PIN is not taken here.'), say('Log in with the password once; then the PIN is.'));
    await this.tried(`pin ${device} ${id}`, () => isSecret(person.pin, pin), {
      wrong: say('That is not the PIN.'),
      remedy: say('After five wrong ones the password is asked for.'),
      onWrong: (times) => {
        if (times >= PIN_TRIES)
          this.people.change(id, ({ devices }) => ({ devices: devices.filter((d) => d !== device) }));
      },
    });
    return this.begin(person, device);
  }

  logOut({ person, id: device }: Asker): void {
    if (person)
      this.people.change(person.id, ({ sessions }) => ({ sessions: sessions.filter((s) => s.device !== device) }));
  }

  /** @returns what the device shows from now on, where the first person was added */
  async add({ kind, id: device }: Asker, { id, name, role, password }: AddPerson): Promise<string | undefined> {
    const isFirst = this.people.all().length === 0;
    if (this.config.house === undefined || (isFirst && kind !== 'computer'))
      throw conflict(
        say('People are added once the book is open to the house.'),
        say('Start Yaylak with npm start -- --home, and add the first on the computer with the book.'),
      );
    const hashed = await hashedSecret(password);
    if (this.people.byId(id)) return undefined;
    if (this.people.byName(name))
      throw conflict(
        say('There is a {name} already.', { name: name.trim() }),
        say('The name stands under what is written. Add something that tells the two apart.'),
      );
    const person: Person = {
      id,
      name: name.trim(),
      // Somebody has to be able to add the others.
      role: isFirst ? 'owner' : role,
      password: hashed,
      pin: null,
      devices: [],
      sessions: [],
      keys: [],
    };
    this.people.add(person);
    return isFirst ? this.begin(person, device) : undefined;
  }

  /** @throws ProblemException where there is no such person, or no owner would be left */
  async change(id: string, { role, password }: ChangePerson): Promise<void> {
    const person = this.person(id);
    if (role !== undefined && role !== 'owner') this.ownerStays(person);
    const hashed = password === undefined ? undefined : await hashedSecret(password);
    this.people.change(id, () => ({
      ...(role === undefined ? {} : { role }),
      ...(hashed === undefined ? {} : { password: hashed, sessions: [], devices: [], pin: null }),
    }));
  }

  /** What they wrote stays. @throws ProblemException where there is no such person, or no owner would be left */
  remove(id: string): void {
    this.ownerStays(this.person(id));
    this.people.remove(id);
  }

  /** @throws ProblemException where it is not the password as it is now, or too soon */
  async changeOwn({ person, id: device }: Asker, { password, newPassword, pin }: ChangeOwn): Promise<void> {
    const me = this.self(person);
    await this.tried(`name ${me.id}`, () => isSecret(me.password, password), {
      wrong: say('That is not your password as it is now.'),
      remedy: say('Nothing was changed. Type it once more.'),
    });
    const [hashed, hashedPin] = await Promise.all(
      [newPassword, pin].map(async (s) => (s ? hashedSecret(s) : undefined)),
    );
    this.people.change(me.id, ({ sessions, devices }) => ({
      // A new password ends the log-ins everywhere else.
      ...(hashed === undefined
        ? {}
        : {
            password: hashed,
            sessions: sessions.filter((s) => s.device === device),
            devices: devices.filter((d) => d === device),
          }),
      ...(hashedPin === undefined ? {} : { pin: hashedPin }),
    }));
  }

  /** @returns what the script shows. @throws ProblemException where there are too many */
  makeKey({ person }: Asker, { id, name }: MakeKey): string {
    const me = this.self(person);
    if (me.keys.length >= KEYS)
      throw conflict(say('You have {n} keys.', { n: KEYS }), say('End one that is not used any more first.'));
    const token = newToken();
    const key = { id, name: name.trim(), hash: hashOf(token), madeOn: this.today(), usedOn: null };
    this.people.change(me.id, ({ keys }) => ({ keys: [...keys.filter((k) => k.id !== id), key] }));
    return `${me.id}.${token}`;
  }

  endKey({ person }: Asker, id: string): void {
    const me = this.self(person);
    if (!me.keys.some((k) => k.id === id)) throw notFound(say('key'));
    this.people.change(me.id, ({ keys }) => ({ keys: keys.filter((k) => k.id !== id) }));
  }

  /** A device that was turned away knows nobody any more. */
  forgetDevice(device: string): void {
    for (const { id, devices, sessions } of this.people.all())
      if (devices.includes(device) || sessions.some((s) => s.device === device))
        this.people.change(id, () => ({
          devices: devices.filter((d) => d !== device),
          sessions: sessions.filter((s) => s.device !== device),
        }));
  }

  /** One session of a person on a device: who logs in again there has the old one no more. */
  private begin({ id }: Person, device: string): string {
    const token = newToken();
    const session = { hash: hashOf(token), device, usedOn: this.today() };
    this.people.change(id, ({ sessions, devices }) => ({
      sessions: [...sessions.filter((s) => s.device !== device), session].slice(-SESSIONS),
      devices: [...new Set([...devices, device])],
    }));
    return `${id}.${token}`;
  }

  /** @throws ProblemException where it is wrong, or was wrong so often that there is to wait */
  private async tried(who: string, isRight: () => Promise<boolean>, { wrong, remedy, onWrong }: Wrong): Promise<void> {
    const seconds = this.patience.seconds(who);
    if (seconds > 0)
      throw new ProblemException({
        type: '/problems/too-often',
        title: say('That was wrong several times.'),
        status: 429,
        detail: say('Wait {n} {n, plural, one {second} other {seconds}}, and try again.', { n: seconds }),
      });
    // Counted before it is known: several sent at once are several.
    const times = this.patience.wrong(who);
    if (await isRight()) return this.patience.right(who);
    onWrong?.(times);
    throw conflict(wrong, remedy);
  }

  private knownOn(device: string): readonly Person[] {
    return this.people.all().filter((p) => p.devices.includes(device));
  }
  private person(id: string): Person {
    const person = this.people.byId(id);
    if (!person) throw notFound(say('person'));
    return person;
  }
  private self(person: Person | null): Person {
    if (!person) throw conflict(say('Nobody is logged in.'), say('Log in first.'));
    return this.person(person.id);
  }
  private ownerStays({ id, role }: Person): void {
    if (role !== 'owner' || this.people.all().some((p) => p.role === 'owner' && p.id !== id)) return;
    throw conflict(say('That is the only owner.'), say('Make somebody else an owner first.'));
  }
  private today(): string {
    return isoOf(this.clock.today());
  }
  /** A full disk keeps nobody out; the day stands there with the next that is kept. */
  private keepQuietly(id: string, change: (person: Person) => Partial<Person>): void {
    try {
      this.people.change(id, change);
    } catch {
      // As above.
    }
  }
}
