import { Controller, Delete, Get, HttpCode, HttpStatus, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop, OwnerOnly } from '../access/inWorkshop.js';
import { Problem } from '../edge/problem.js';
import { AsideStore } from './asideStore.js';
import { AsideRecordView } from './event.dto.js';

/** Records that could not be counted, as they came. */
@ApiTags('batch')
@Controller('set-aside')
@InWorkshop()
export class AsideController {
  constructor(private readonly aside: AsideStore) {}

  @Get()
  @OwnerOnly()
  @ApiOkResponse({ type: [AsideRecordView] })
  list(): Promise<AsideRecordView[]> {
    return this.aside.list();
  }

  @Delete(':id')
  @OwnerOnly()
  @HttpCode(HttpStatus.NO_CONTENT)
  async giveUp(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    if (!(await this.aside.giveUp(id))) throw Problem.notFound('record');
  }
}
