import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Problem } from '../edge/problem.js';
import { InviteLinkView, MemberView, NewInviteDto, OpenInviteView, RecorderView } from './access.dto.js';
import { AccessService } from './access.service.js';
import { AccessStore } from './accessStore.js';
import { InWorkshop, OwnerOnly } from './inWorkshop.js';
import { Recorders } from './recorders.js';

@ApiTags('access')
@Controller('members')
@InWorkshop()
export class MembersController {
  constructor(
    private readonly access: AccessService,
    private readonly store: AccessStore,
    private readonly recorders: Recorders,
  ) {}

  @Get()
  @ApiOkResponse({ type: [MemberView] })
  list(): Promise<MemberView[]> {
    return this.store.members();
  }

  @Post('invites')
  @OwnerOnly()
  @ApiCreatedResponse({ type: InviteLinkView })
  invite(@Body() { role }: NewInviteDto): Promise<InviteLinkView> {
    return this.access.invite(role);
  }

  /** What this device says who recorded something by; it opens nothing and outlives the session. */
  @Post('recorders')
  @ApiCreatedResponse({ type: RecorderView })
  recorder(): Promise<RecorderView> {
    return this.recorders.issue();
  }

  /** Links that nobody has used yet. */
  @Get('invites')
  @OwnerOnly()
  @ApiOkResponse({ type: [OpenInviteView] })
  async invites(): Promise<OpenInviteView[]> {
    const open = await this.store.invites();
    return open.map(({ id, role, expires_at }) => ({ id, role, expiresAt: expires_at.toISOString() }));
  }

  @Delete('invites/:id')
  @OwnerOnly()
  @HttpCode(HttpStatus.NO_CONTENT)
  async withdraw(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    if (!(await this.store.withdraw(id))) throw Problem.notFound('open invitation');
  }

  @Delete(':id')
  @OwnerOnly()
  @HttpCode(HttpStatus.NO_CONTENT)
  async remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    if (!(await this.store.removeMember(id)))
      throw Problem.conflict('This member is not here, or is the last owner: a workshop keeps at least one.');
  }
}
