import { createServer as plainServer, type RequestListener, type Server } from 'node:http';
import { createServer as securedServer, type Server as SecuredServer } from 'node:https';
import { Inject, Injectable, Logger, type BeforeApplicationShutdown } from '@nestjs/common';
import { CONFIG } from '../common/tokens';
import type { HouseConfig, ServerConfig } from '../config';
import { houseFolder } from './asker';
import { HouseholdService } from './household.service';
import { joinDesk } from './joinDesk';
import type { Keys } from './keys';
import { ownNames, type Names } from './names';

const MINUTE_MS = 60_000;
/** A browser that asks again within the minute finds its connection open. */
const KEEP_ALIVE_MS = 65_000;
const LET_GO_MS = 50;

/** The doors into the house: one encrypted, to the book; one plain, where a device learns to trust the first. */
@Injectable()
export class HouseDoors implements BeforeApplicationShutdown {
  /** What this computer is called; the certificate is made out to it. */
  names: Names = { hosts: [], addresses: [] };
  private readonly logger = new Logger('household');
  private readonly servers: Server[] = [];
  private looking: NodeJS.Timeout | undefined;
  private lookedOn = '';

  constructor(
    @Inject(CONFIG) private readonly config: ServerConfig,
    @Inject(HouseholdService) private readonly household: HouseholdService,
  ) {}

  /** Whether a name, as a request has it, is one of this computer's. */
  isOwn(host: string | undefined): boolean {
    const asked = host?.toLowerCase().replace(/:\d{1,5}$/, '');
    return asked !== undefined && [...this.names.hosts, ...this.names.addresses].includes(asked);
  }

  /**
   * Opens both where the book is to be open to the house.
   * @param book answers what is asked of the book
   * @throws Error in words where a door cannot be opened
   */
  async open(book: RequestListener): Promise<void> {
    const { house } = this.config;
    if (!house) return;
    const names = ownNames();
    const { authority, server, fingerprint } = await this.keysFor(names, new Date());
    const secured = securedServer({ key: server.key, cert: server.certificate, minVersion: 'TLSv1.2' }, book);
    secured.keepAliveTimeout = KEEP_ALIVE_MS;
    const port = await this.listen(secured, house.port, house.host, 'HOUSE_PORT');
    const desk = plainServer(joinDesk(authority.certificate, () => this.household.door?.openAt ?? []));
    const deskPort = await this.listen(desk, house.port === 0 ? 0 : house.port + 1, house.host, 'HOUSE_PORT');
    this.callIt(names, [port, deskPort], fingerprint);
    this.looking = setInterval(() => {
      void this.look(secured, [port, deskPort]).catch((error: Error) => this.logger.error(error.message));
    }, MINUTE_MS);
    this.looking.unref();
  }

  /** Others end as soon as their answer is out: who asks on and on would keep the server from ever closing. */
  async beforeApplicationShutdown(): Promise<void> {
    clearInterval(this.looking);
    this.household.door = null;
    const open = this.servers.splice(0);
    const letGo = setInterval(() => open.forEach((server) => server.closeIdleConnections()), LET_GO_MS);
    await Promise.all(open.map((server) => new Promise((resolve) => server.close(resolve))));
    clearInterval(letGo);
  }

  /** A router that gave this computer another number, or a certificate in its last month: it is made out anew. */
  private async look(secured: SecuredServer, ports: Ports): Promise<void> {
    const names = ownNames();
    const now = new Date();
    const state = `${now.toDateString()} ${[...names.hosts, ...names.addresses].join(' ')}`;
    if (state === this.lookedOn) return;
    const { server, fingerprint } = await this.keysFor(names, now);
    secured.setSecureContext({ key: server.key, cert: server.certificate, minVersion: 'TLSv1.2' });
    this.callIt(names, ports, fingerprint);
    this.lookedOn = state;
  }

  /** What makes certificates is read only where there is a door: most books are open to their own computer alone. */
  private async keysFor(names: Names, now: Date): Promise<Keys> {
    const { keysIn } = await import('./keys');
    return keysIn(houseFolder(this.config), names, now);
  }

  private callIt(names: Names, [port, deskPort]: Ports, fingerprint: string): void {
    this.names = names;
    this.household.door = {
      // By number first: every tablet finds it, and it is asked but once.
      joinAt: [...names.addresses, ...names.hosts].map((name) => `http://${name}:${deskPort}`),
      // By name first: what a device keeps belongs to the address, and a number may be another one tomorrow.
      openAt: [...names.hosts, ...names.addresses].map((name) => `https://${name}:${port}`),
      fingerprint,
    };
  }

  private listen(server: Server, port: number, host: HouseConfig['host'], variable: string): Promise<number> {
    this.servers.push(server);
    return new Promise((resolve, reject) => {
      server.once('error', (error: Error & { code?: string }) =>
        reject(
          error.code === 'EADDRINUSE'
            ? new Error(
                `Port ${port} is in use. Choose others for the house, for example ${variable}=4890 (it takes the next one too).`,
              )
            : error,
        ),
      );
      server.listen(port, host, () => resolve((server.address() as { port: number }).port));
    });
  }
}

/** Of the door to the book, and of the desk. */
type Ports = readonly [door: number, desk: number];
