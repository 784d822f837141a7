import { Controller, Get, Header, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { batchSheet, type Paper, PAPERS, patternDrawing, type Units, UNITS } from '@compas/core';
import { InWorkshop } from '../access/inWorkshop.js';
import { BatchService } from '../batch/batch.service.js';
import { PatternService } from '../pattern/pattern.service.js';
import { ChoiceField } from '../edge/fields.js';
import { pdfOf } from './pdf.js';

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
  ) {}

  /** Dimensioned drawing of the current revision, a sheet for each part. */
  @Get('patterns/:id/drawing.pdf')
  @Header('content-type', 'application/pdf')
  async drawing(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() { paper, units }: PrintDto,
  ): Promise<StreamableFile> {
    const { name, revision, body } = await this.patterns.show(id);
    const pages = patternDrawing({ title: name, revision, body, units, paper });
    return new StreamableFile(await pdfOf(pages, `${name}, drawing`));
  }

  @Get('batches/:id/sheet.pdf')
  @Header('content-type', 'application/pdf')
  async sheet(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() { paper, units }: PrintDto,
  ): Promise<StreamableFile> {
    const batch = await this.batches.view(id);
    const { plan } = await this.batches.snapshot(id, batch.planVersion);
    const pages = batchSheet({ title: batch.name, orderedBy: batch.customer, plan, units, paper });
    return new StreamableFile(await pdfOf(pages, batch.name));
  }
}
