import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop, OwnerOnly } from '../access/inWorkshop.js';
import { ChangeWorkshopDto, workshopOf, WorkshopView } from './workshop.dto.js';
import { WorkshopService } from './workshop.service.js';

@ApiTags('workshop')
@Controller('workshop')
@InWorkshop()
export class WorkshopController {
  constructor(private readonly workshop: WorkshopService) {}

  @Get()
  @ApiOkResponse({ type: WorkshopView })
  show(): Promise<WorkshopView> {
    return this.workshop.show();
  }

  @Put()
  @OwnerOnly()
  @ApiOkResponse({ type: WorkshopView })
  change(@Body() dto: ChangeWorkshopDto): Promise<WorkshopView> {
    return this.workshop.change(dto.name, workshopOf(dto), dto.basedOn);
  }
}
