import {
  applyDecorators,
  HttpStatus,
  Injectable,
  SetMetadata,
  UseInterceptors,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { from, lastValueFrom, type Observable } from 'rxjs';
import { Answers } from '../database/answers.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { askedBy, fingerprintOf } from './asked.js';
import { Problem } from '../edge/problem.js';

const OWNER_ONLY = 'ownerOnly';

/** Wraps a request of a signed-in member in the one transaction of its workshop. */
@Injectable()
class InWorkshopInterceptor implements NestInterceptor {
  constructor(
    private readonly transaction: WorkshopTransaction,
    private readonly answers: Answers,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    return from(this.run(context, next));
  }

  private async run(context: ExecutionContext, next: CallHandler): Promise<unknown> {
    const request = context.switchToHttp().getRequest<Request>();
    const { session } = request;
    if (session.userId === undefined)
      throw new Problem(HttpStatus.UNAUTHORIZED, 'You are not signed in. Sign in and try again.');
    if (!session.workshopId) throw new Problem(HttpStatus.FORBIDDEN, 'Choose a workshop first.');
    const ownerOnly = this.reflector.getAllAndOverride<boolean | undefined>(OWNER_ONLY, [
      context.getHandler(),
      context.getClass(),
    ]);
    const asked = askedBy(request);
    const handle = () => lastValueFrom(next.handle(), { defaultValue: undefined }) as Promise<unknown>;
    const result = await this.transaction.run(
      session.workshopId,
      session.userId,
      async ({ role }) => {
        if (ownerOnly && role !== 'owner')
          throw new Problem(HttpStatus.FORBIDDEN, 'Only an owner of the workshop can do this.');
        const { changeId } = asked;
        return {
          value: await (changeId === null
            ? handle()
            : this.answers.once(changeId, fingerprintOf(request), handle)),
        };
      },
      asked,
    );
    if (result === null)
      throw new Problem(HttpStatus.FORBIDDEN, 'You are no longer a member of this workshop.');
    return result.value;
  }
}

/** For controllers that touch a workshop's data. */
export const InWorkshop = () => applyDecorators(UseInterceptors(InWorkshopInterceptor));

/** For what only an owner may do. */
export const OwnerOnly = () => SetMetadata(OWNER_ONLY, true);
