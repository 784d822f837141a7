import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Put,
} from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import { DraftDto, DraftView } from './draft.dto.js';
import { DraftService } from './draft.service.js';

@ApiTags('batch')
@Controller('drafts')
@InWorkshop()
export class DraftController {
  constructor(private readonly drafts: DraftService) {}

  @Get()
  @ApiOkResponse({ type: [DraftView] })
  list(): Promise<DraftView[]> {
    return this.drafts.list();
  }

  @Put(':patternId')
  @HttpCode(HttpStatus.NO_CONTENT)
  keep(@Param('patternId', ParseUUIDPipe) patternId: string, @Body() { choices }: DraftDto): Promise<void> {
    return this.drafts.keep(patternId, choices);
  }

  @Delete(':patternId')
  @HttpCode(HttpStatus.NO_CONTENT)
  drop(@Param('patternId', ParseUUIDPipe) patternId: string): Promise<void> {
    return this.drafts.drop(patternId);
  }
}
