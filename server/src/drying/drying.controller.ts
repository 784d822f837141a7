import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import { bundleOf, BundleView, ChangeBundleDto, NewBundleDto } from './drying.dto.js';
import { DryingService } from './drying.service.js';

@ApiTags('drying')
@Controller('drying')
@InWorkshop()
export class DryingController {
  constructor(private readonly drying: DryingService) {}

  @Get()
  @ApiOkResponse({ type: [BundleView] })
  list(): Promise<BundleView[]> {
    return this.drying.list();
  }

  @Get('calendar.ics')
  @Header('content-type', 'text/calendar; charset=utf-8')
  @Header('content-disposition', 'attachment; filename="drying-shelf.ics"')
  @ApiOkResponse({ type: String })
  calendar(): Promise<string> {
    return this.drying.calendar(new Date());
  }

  @Post()
  @ApiCreatedResponse({ type: BundleView })
  create(@Body() dto: NewBundleDto): Promise<BundleView> {
    return this.drying.create(bundleOf(dto));
  }

  @Put(':id')
  @ApiOkResponse({ type: BundleView })
  change(@Param('id', ParseUUIDPipe) id: string, @Body() dto: ChangeBundleDto): Promise<BundleView> {
    return this.drying.change(id, bundleOf(dto), dto.basedOn);
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  takeOff(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.drying.takeOff(id);
  }
}
