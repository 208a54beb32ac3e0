import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post, Put, Res } from '@nestjs/common';
import {
  AddPerson,
  ChangeOwn,
  ChangePerson,
  LogIn,
  MakeKey,
  SwitchHands,
  type KeyMade,
  type PeopleView,
} from '@yaylak/contract';
import type { Response } from 'express';
import { AccountsService } from './accounts.service';
import { giveHand, takeHand } from './admission';
import { askerOf, type Asker } from './asker';

/** The people of the household: who is logged in here, and who may what. */
@Controller('api/household')
export class PeopleController {
  constructor(@Inject(AccountsService) private readonly accounts: AccountsService) {}

  /** Who is logged in, and who may log in here. */
  @Get('people')
  view(@Res({ passthrough: true }) response: Response): PeopleView {
    return this.accounts.view(askerOf(response));
  }

  /** Logs in by name and password. */
  @Post('log-in')
  @HttpCode(200)
  async logIn(@Body() body: LogIn, @Res({ passthrough: true }) response: Response): Promise<PeopleView> {
    return this.come(response, await this.accounts.logIn(askerOf(response), body));
  }

  /** Changes hands by a PIN, on a device both have logged in on before. */
  @Post('switch')
  @HttpCode(200)
  async switchHands(@Body() body: SwitchHands, @Res({ passthrough: true }) response: Response): Promise<PeopleView> {
    return this.come(response, await this.accounts.switchHands(askerOf(response), body));
  }

  /** Logs out on this device. */
  @Delete('log-in')
  logOut(@Res({ passthrough: true }) response: Response): PeopleView {
    const asker = askerOf(response);
    this.accounts.logOut(asker);
    takeHand(response);
    return this.accounts.view({ ...asker, person: null });
  }

  /** Adds one more; the first, on the computer with the book, is an owner and logged in at once. */
  @Post('people')
  @HttpCode(200)
  async add(@Body() body: AddPerson, @Res({ passthrough: true }) response: Response): Promise<PeopleView> {
    const shown = await this.accounts.add(askerOf(response), body);
    return shown === undefined ? this.view(response) : this.come(response, shown);
  }

  /** Gives somebody another role, or a new password. */
  @Put('people/:id')
  async change(
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChangePerson,
    @Res({ passthrough: true }) response: Response,
  ): Promise<PeopleView> {
    await this.accounts.change(id, body);
    return this.view(response);
  }

  /** Lets somebody in no more; what they wrote stays under their name. */
  @Delete('people/:id')
  remove(@Param('id', ParseUUIDPipe) id: string, @Res({ passthrough: true }) response: Response): PeopleView {
    this.accounts.remove(id);
    return this.view(response);
  }

  /** One’s own password or PIN. */
  @Put('own')
  async changeOwn(@Body() body: ChangeOwn, @Res({ passthrough: true }) response: Response): Promise<PeopleView> {
    await this.accounts.changeOwn(askerOf(response), body);
    return this.view(response);
  }

  /** A key by which a script of one’s own comes in; shown once. */
  @Post('keys')
  @HttpCode(200)
  makeKey(@Body() body: MakeKey, @Res({ passthrough: true }) response: Response): KeyMade {
    const key = this.accounts.makeKey(askerOf(response), body);
    return { people: this.view(response), key };
  }

  /** Ends a key of one’s own. */
  @Delete('keys/:id')
  endKey(@Param('id', ParseUUIDPipe) id: string, @Res({ passthrough: true }) response: Response): PeopleView {
    this.accounts.endKey(askerOf(response), id);
    return this.view(response);
  }

  /** Has the device show who is logged in from now on. */
  private come(response: Response, shown: string): PeopleView {
    giveHand(response, shown);
    const asker: Asker = askerOf(response);
    const [id = '', token = ''] = shown.split('.');
    return this.accounts.view({ ...asker, person: this.accounts.whoShows(asker.id, id, token)?.person ?? null });
  }
}
