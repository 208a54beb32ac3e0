import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { mayRole, say } from '@yaylak/contract';
import type { Request, Response } from 'express';
import { ProblemException } from '../common/problems';
import { AccountsService } from './accounts.service';
import { askerOf } from './asker';
import { ANYBODY, DEED_OF } from './deeds';

/** Lets through who may do what they ask for; everybody where the household has no accounts. */
@Injectable()
export class DeedGuard implements CanActivate {
  constructor(@Inject(AccountsService) private readonly accounts: AccountsService) {}

  canActivate(context: ExecutionContext): boolean {
    if (!this.accounts.isAsked) return true;
    const http = context.switchToHttp();
    const { method, route } = http.getRequest<Request & { route: { path: string } }>();
    const deed = DEED_OF[`${method} ${route.path}`];
    if (deed === ANYBODY) return true;
    const { person, isScript } = askerOf(http.getResponse<Response>());
    // A key that somebody found lets nobody else in for good.
    const isForPeople = isScript && (deed === 'own' || deed === 'house');
    if (deed !== undefined && person && mayRole(person.role, deed) && !isForPeople) return true;
    throw new ProblemException({
      type: '/problems/not-yours',
      title: say('That is not for you to do in this book.'),
      status: 403,
      detail: say('Nothing was changed. Ask an owner: Holding, People says who may what.'),
    });
  }
}
