import { Inject, Injectable } from '@nestjs/common';
import { say, type HouseDoorView, type HouseholdView, type JoinHousehold } from '@yaylak/contract';
import { isoOf } from '@yaylak/core';
import { Clock } from '../common/clock';
import { conflict, notFound } from '../common/problems';
import { CONFIG } from '../common/tokens';
import type { ServerConfig } from '../config';
import { AccountsService } from './accounts.service';
import { houseFolder, type Asker } from './asker';
import { Devices } from './devices';
import { JoinCode } from './joinCode';

/** Who of the house is let in to the book, and how. */
@Injectable()
export class HouseholdService {
  /** Where others find this computer, while it is open to them. */
  door: HouseDoorView | null = null;
  private readonly devices: Devices;
  private code: JoinCode | undefined;

  constructor(
    @Inject(CONFIG) config: ServerConfig,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(AccountsService) private readonly accounts: AccountsService,
  ) {
    this.devices = new Devices(houseFolder(config));
  }

  view(asker: Asker): HouseholdView {
    const isHere = asker.kind === 'computer';
    // Who lets others in is logged in.
    const isTold = isHere && (!this.accounts.isAsked || asker.person !== null);
    const all = this.devices.list();
    const seconds = this.code?.seconds ?? 0;
    return {
      isHere,
      door: this.door,
      devices: isTold ? all : all.filter((d) => d.id === asker.id),
      code: isTold && this.code && seconds > 0 ? { code: this.code.code, seconds } : null,
    };
  }

  /** A code for one more device, shown on the computer's screen. @throws ProblemException where nothing is open to the house */
  askCode(id: string): void {
    if (!this.door)
      throw conflict(
        say('The book is not open to the house.'),
        say('Stop Yaylak and start it with npm start -- --home; then let the device in.'),
      );
    if (this.code?.id !== id || this.code.seconds === 0) this.code = new JoinCode(id);
  }

  /** Lets a device in that knows the code. @returns what it shows at the door. @throws ProblemException where it does not */
  join({ id, code, name }: JoinHousehold): string {
    if (!this.code?.isMet(code))
      throw conflict(
        say('That code does not work.'),
        say(
          'A code is for one device and good for ten minutes. Ask for a new one on the computer, and type it as it is shown there.',
        ),
      );
    this.code = undefined;
    return this.devices.admit(id, name.trim(), isoOf(this.clock.today()));
  }

  turnAway(id: string): void {
    if (!this.devices.turnAway(id)) throw notFound(say('device'));
    this.accounts.forgetDevice(id);
  }

  /** Whether a device may in that shows this. */
  seen(id: string, token: string): { readonly isFirst: boolean } | undefined {
    return this.devices.seen(id, token, isoOf(this.clock.today()));
  }
}
