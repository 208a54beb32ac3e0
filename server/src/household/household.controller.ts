import { Body, Controller, Get, HttpCode, Inject, Post, Res } from '@nestjs/common';
import { AskJoinCode, JoinHousehold, TurnAway, say, type HouseholdView } from '@yaylak/contract';
import type { Response } from 'express';
import { ProblemException } from '../common/problems';
import { give } from './admission';
import { askerOf } from './asker';
import { HouseholdService } from './household.service';

/** Tablets, phones and other computers of the house. */
@Controller('api/household')
export class HouseholdController {
  constructor(@Inject(HouseholdService) private readonly household: HouseholdService) {}

  /** How the book is open to the house, and who is let in. */
  @Get()
  view(@Res({ passthrough: true }) response: Response): HouseholdView {
    return this.household.view(askerOf(response));
  }

  /** A code that lets one device in; on the computer with the book only. */
  @Post('code')
  @HttpCode(200)
  askCode(@Body() { id }: AskJoinCode, @Res({ passthrough: true }) response: Response): HouseholdView {
    onTheComputer(response);
    this.household.askCode(id);
    return this.household.view(askerOf(response));
  }

  /** Lets in who knows the code. */
  @Post('join')
  @HttpCode(200)
  join(@Body() body: JoinHousehold, @Res({ passthrough: true }) response: Response): HouseholdView {
    give(response, body.id, this.household.join(body));
    return this.household.view({ kind: 'device', id: body.id, person: null });
  }

  /** Keeps a device out from now on; on the computer with the book only. */
  @Post('turn-away')
  @HttpCode(200)
  turnAway(@Body() { id }: TurnAway, @Res({ passthrough: true }) response: Response): HouseholdView {
    onTheComputer(response);
    this.household.turnAway(id);
    return this.household.view(askerOf(response));
  }
}

/** @throws ProblemException for a device: who is let in is decided where the book is */
function onTheComputer(response: Response): void {
  if (askerOf(response).kind === 'computer') return;
  throw new ProblemException({
    type: '/problems/on-the-computer',
    title: say('That is done on the computer with the book.'),
    status: 403,
    detail: say('Nothing was changed. Open Holding, Tablets and phones there.'),
  });
}
