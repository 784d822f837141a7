import { Body, Controller, Get, HttpCode, HttpStatus, Param, Post, Req, UseGuards } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { InviteView, NewPersonDto } from './access.dto.js';
import { AccessService } from './access.service.js';
import { beginSession, signedIn } from './session.controller.js';
import { TriesGuard } from './triesGuard.js';

/** The invited person's side of a one-time link. */
@ApiTags('access')
@Controller('invitations')
@UseGuards(TriesGuard)
export class InvitationController {
  constructor(private readonly access: AccessService) {}

  @Get(':token')
  @ApiOkResponse({ type: InviteView })
  show(@Param('token') token: string): Promise<InviteView> {
    return this.access.invited(token);
  }

  /** Joins as a new person. */
  @Post(':token')
  @HttpCode(HttpStatus.NO_CONTENT)
  async join(
    @Param('token') token: string,
    @Body() person: NewPersonDto,
    @Req() request: Request,
  ): Promise<void> {
    this.access.refuseNew(true);
    await this.access.invited(token);
    const user = await this.access.createUser(person);
    await beginSession(request, user, await this.access.accept(token, user.id));
  }

  /** Joins as the person who is signed in. */
  @Post(':token/accept')
  @HttpCode(HttpStatus.NO_CONTENT)
  async accept(@Param('token') token: string, @Req() request: Request): Promise<void> {
    request.session.workshopId = await this.access.accept(token, signedIn(request));
  }
}
