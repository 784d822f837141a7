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
  Put,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import { ChangeKitDto, KitListView, KitView, NewKitDto } from './kit.dto.js';
import { KitService } from './kit.service.js';

@ApiTags('hardware')
@Controller('kits')
@InWorkshop()
export class HardwareController {
  constructor(private readonly kits: KitService) {}

  @Get()
  @ApiOkResponse({ type: KitListView })
  async list(): Promise<KitListView> {
    return { kits: await this.kits.held() };
  }

  @Post()
  @ApiCreatedResponse({ type: KitView })
  async create(@Body() dto: NewKitDto): Promise<KitView> {
    return { kit: await this.kits.create(dto) };
  }

  @Put(':id')
  @ApiOkResponse({ type: KitView })
  async change(@Param('id', ParseUUIDPipe) id: string, @Body() dto: ChangeKitDto): Promise<KitView> {
    return { kit: await this.kits.change(id, dto) };
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.kits.remove(id);
  }
}
