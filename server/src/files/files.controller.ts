import { Controller, Get, Header, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { type Paper, PAPERS, type Units, UNITS } from '@compas/core';
import { InWorkshop } from '../access/inWorkshop.js';
import { Computing } from '../compute/computing.js';
import { BatchService } from '../batch/batch.service.js';
import { PatternService } from '../pattern/pattern.service.js';
import { ChoiceField } from '../edge/fields.js';

class PrintDto {
  @ChoiceField(PAPERS) paper: Paper;
  @ChoiceField(UNITS) units: Units;
}

@ApiTags('files')
@ApiProduces('application/pdf')
@Controller()
@InWorkshop()
export class FilesController {
  constructor(
    private readonly batches: BatchService,
    private readonly patterns: PatternService,
    private readonly computing: Computing,
  ) {}

  /** Dimensioned drawing of the current revision, a sheet for each part. */
  @Get('patterns/:id/drawing.pdf')
  @Header('content-type', 'application/pdf')
  async drawing(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() { paper, units }: PrintDto,
  ): Promise<StreamableFile> {
    const { name, revision, body } = await this.patterns.show(id);
    return new StreamableFile(
      await this.computing.run('drawing', { title: name, revision, body, units, paper }),
    );
  }

  @Get('batches/:id/sheet.pdf')
  @Header('content-type', 'application/pdf')
  async sheet(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() { paper, units }: PrintDto,
  ): Promise<StreamableFile> {
    const batch = await this.batches.view(id);
    const { plan } = await this.batches.snapshot(id, batch.planVersion);
    return new StreamableFile(
      await this.computing.run('sheet', { title: batch.name, orderedBy: batch.customer, plan, units, paper }),
    );
  }
}
