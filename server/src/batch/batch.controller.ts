import {
  Body,
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import {
  BatchDetailView,
  BatchPageDto,
  BatchPageView,
  EventsSinceDto,
  MadeView,
  NewBatchDto,
  PutAwayDto,
  ReplanDto,
  SparesDto,
} from './batch.dto.js';
import { BatchService } from './batch.service.js';
import { CreditView, EventPageView, EventsDto, StoredEventsView } from './event.dto.js';
import { EventStore } from './eventStore.js';
import { SparesService } from './spares.service.js';

@ApiTags('batch')
@Controller('batches')
@InWorkshop()
export class BatchController {
  constructor(
    private readonly batches: BatchService,
    private readonly events: EventStore,
    private readonly spares: SparesService,
  ) {}

  @Get()
  @ApiOkResponse({ type: BatchPageView })
  list(@Query() wish: BatchPageDto): Promise<BatchPageView> {
    return this.batches.page(wish, Date.now());
  }

  /** What was made of each pattern so far. */
  @Get('made')
  @ApiOkResponse({ type: [MadeView] })
  made(): Promise<MadeView[]> {
    return this.batches.made();
  }

  @Get(':id')
  @ApiOkResponse({ type: BatchDetailView })
  show(@Param('id', ParseUUIDPipe) id: string): Promise<BatchDetailView> {
    return this.batches.show(id);
  }

  @Post()
  @ApiCreatedResponse({ type: BatchDetailView })
  create(@Body() dto: NewBatchDto): Promise<BatchDetailView> {
    return this.batches.create(dto);
  }

  @Post(':id/plans')
  @ApiCreatedResponse({ type: BatchDetailView })
  replan(@Param('id', ParseUUIDPipe) id: string, @Body() dto: ReplanDto): Promise<BatchDetailView> {
    return this.batches.replan(id, dto);
  }

  /** More pieces of a part, for some that were rejected. */
  @Post(':id/spares')
  @ApiCreatedResponse({ type: BatchDetailView })
  async spare(@Param('id', ParseUUIDPipe) id: string, @Body() dto: SparesDto): Promise<BatchDetailView> {
    await this.spares.add(id, dto);
    return this.batches.show(id);
  }

  /** What was recorded after a number; ask on while there is more. */
  @Get(':id/events')
  @ApiOkResponse({ type: EventPageView })
  since(@Param('id', ParseUUIDPipe) id: string, @Query() { after }: EventsSinceDto): Promise<EventPageView> {
    return this.events.since(id, after);
  }

  /** Whose what was recorded is. */
  @Get(':id/credit')
  @ApiOkResponse({ type: [CreditView] })
  credit(@Param('id', ParseUUIDPipe) id: string): Promise<CreditView[]> {
    return this.events.credit(id);
  }

  @Post(':id/events')
  @HttpCode(HttpStatus.OK)
  @ApiOkResponse({ type: StoredEventsView })
  append(
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { events, sent, jumps, recorders }: EventsDto,
  ): Promise<StoredEventsView> {
    const clock =
      sent === undefined ? null : { sent: Date.parse(sent), ...(jumps === undefined ? {} : { jumps }) };
    return this.events.append(id, events, clock, recorders);
  }

  @Put(':id/put-away')
  @HttpCode(HttpStatus.NO_CONTENT)
  putAway(@Param('id', ParseUUIDPipe) id: string, @Body() { putAway }: PutAwayDto): Promise<void> {
    return this.batches.putAway(id, putAway);
  }
}
