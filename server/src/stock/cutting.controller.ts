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
import { InWorkshop } from '../access/inWorkshop.js';
import { CuttingView, KeepCuttingDto } from './cutting.dto.js';
import { CuttingService } from './cutting.service.js';

@ApiTags('stock')
@Controller('cuttings')
@InWorkshop()
export class CuttingController {
  constructor(private readonly cuttings: CuttingService) {}

  @Get()
  @ApiOkResponse({ type: [CuttingView] })
  list(): Promise<CuttingView[]> {
    return this.cuttings.list();
  }

  @Get(':id')
  @ApiOkResponse({ type: CuttingView })
  show(@Param('id', ParseUUIDPipe) id: string): Promise<CuttingView> {
    return this.cuttings.show(id);
  }

  @Post()
  @ApiCreatedResponse({ type: CuttingView })
  keep(@Body() dto: KeepCuttingDto): Promise<CuttingView> {
    return this.cuttings.keep(dto);
  }

  @Post(':id/record')
  @HttpCode(HttpStatus.OK)
  @ApiOkResponse({ type: CuttingView })
  record(@Param('id', ParseUUIDPipe) id: string): Promise<CuttingView> {
    return this.cuttings.record(id);
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.cuttings.remove(id);
  }
}
