import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BatchEntity } from './batch.entity.js';
import { OrderEntity, OrderLineEntity } from './order.entity.js';
import { OrderLines } from './orderLines.js';
import { DraftController } from './draft.controller.js';
import { DraftEntity } from './draft.entity.js';
import { DraftService } from './draft.service.js';
import { PlanVersionEntity } from './planVersion.entity.js';
import { AccessModule } from '../access/access.module.js';
import { DryingModule } from '../drying/drying.module.js';
import { HardwareModule } from '../hardware/hardware.module.js';
import { PatternModule } from '../pattern/pattern.module.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { AsideController } from './aside.controller.js';
import { AsideStore } from './asideStore.js';
import { BatchController } from './batch.controller.js';
import { BatchService } from './batch.service.js';
import { EventStore } from './eventStore.js';
import { PieceSummaries } from './pieceSummaries.js';
import { PiecesUnderWay } from './piecesUnderWay.js';
import { SparesService } from './spares.service.js';
import { SnapshotController } from './snapshot.controller.js';
import { StreamController } from './stream.controller.js';
import { Notices } from './notices.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([BatchEntity, DraftEntity, OrderEntity, OrderLineEntity, PlanVersionEntity]),
    AccessModule,
    DryingModule,
    PatternModule,
    WorkshopModule,
    HardwareModule,
  ],
  controllers: [AsideController, BatchController, DraftController, SnapshotController, StreamController],
  providers: [
    AsideStore,
    BatchService,
    DraftService,
    EventStore,
    Notices,
    OrderLines,
    PieceSummaries,
    PiecesUnderWay,
    SparesService,
  ],
  exports: [BatchService, EventStore, OrderLines, PieceSummaries],
})
export class BatchModule {}
