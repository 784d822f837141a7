import { Body, Controller, Get, HttpCode, HttpStatus, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import { BatchDetailView, BatchSummaryView, NewBatchDto, PlanChoicesDto, PutAwayDto } from './batch.dto.js';
import { BatchService } from './batch.service.js';
import { EventsDto, StoredEventsView } from './event.dto.js';
import { EventStore } from './eventStore.js';

@ApiTags('batch')
@Controller('batches')
@InWorkshop()
export class BatchController {
  constructor(
    private readonly batches: BatchService,
    private readonly events: EventStore,
  ) {}

  @Get()
  @ApiOkResponse({ type: [BatchSummaryView] })
  list(): Promise<BatchSummaryView[]> {
    return this.batches.list(Date.now());
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
  replan(@Param('id', ParseUUIDPipe) id: string, @Body() dto: PlanChoicesDto): Promise<BatchDetailView> {
    return this.batches.replan(id, dto);
  }

  @Post(':id/events')
  @HttpCode(HttpStatus.OK)
  @ApiOkResponse({ type: StoredEventsView })
  append(@Param('id', ParseUUIDPipe) id: string, @Body() { events }: EventsDto): Promise<StoredEventsView> {
    return this.events.append(id, events);
  }

  @Put(':id/put-away')
  @HttpCode(HttpStatus.NO_CONTENT)
  putAway(@Param('id', ParseUUIDPipe) id: string, @Body() { putAway }: PutAwayDto): Promise<void> {
    return this.batches.putAway(id, putAway);
  }
}
