import { Module } from '@nestjs/common';
import { AccessService } from './access.service.js';
import { AccessStore } from './accessStore.js';
import { InvitationController } from './invitation.controller.js';
import { MembersController } from './members.controller.js';
import { Recorders } from './recorders.js';
import { SessionStore } from './session.js';
import { SessionController } from './session.controller.js';

@Module({
  controllers: [SessionController, MembersController, InvitationController],
  providers: [AccessService, AccessStore, Recorders, SessionStore],
  exports: [AccessService, AccessStore, Recorders],
})
export class AccessModule {}
