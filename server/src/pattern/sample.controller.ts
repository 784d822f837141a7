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
import { NewSampleDto, SampleView } from './sample.dto.js';
import { SampleService } from './sample.service.js';

@ApiTags('pattern')
@Controller('samples')
@InWorkshop()
export class SampleController {
  constructor(private readonly samples: SampleService) {}

  @Get()
  @ApiOkResponse({ type: [SampleView] })
  list(): Promise<SampleView[]> {
    return this.samples.list();
  }

  @Post()
  @ApiCreatedResponse({ type: SampleView })
  create(@Body() dto: NewSampleDto): Promise<SampleView> {
    return this.samples.create(dto);
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.samples.remove(id);
  }
}
