import { Controller, Get, Param, Query, Res, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { FileProblem, type Paper, PAPERS, type Print, PRINT_WORDS, PRINTS } from '@compas/core';
import type { Response } from 'express';
import { InWorkshop } from '../access/inWorkshop.js';
import { Computing } from '../compute/computing.js';
import type { JobInput } from '../compute/jobs.js';
import { BatchService } from '../batch/batch.service.js';
import { ChoiceField, IdField, TextField } from '../edge/fields.js';
import { Problem } from '../edge/problem.js';

const TYPES = { pdf: 'application/pdf', svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const;
type Format = keyof typeof TYPES;

class WhichPrintDto {
  @IdField() id: string;
  @ChoiceField(PRINTS) print: Print;
}

class PrintAsDto {
  @ChoiceField(PAPERS) paper: Paper;
  @ChoiceField(TYPES) format: Format;
  /** which part of the item; the first when not given */
  @TextField({ max: 60, optional: true }) part?: string;
}

/** What a plan gives at 1:1: sticks, gauges, templates; on paper, or as a drawing for a laser or saw. */
@ApiTags('files')
@ApiProduces('application/pdf')
@Controller('batches/:id/prints')
@InWorkshop()
export class PrintController {
  constructor(
    private readonly batches: BatchService,
    private readonly computing: Computing,
  ) {}

  @Get(':print')
  async print(
    @Param() { id, print }: WhichPrintDto,
    @Query() { paper, format, part }: PrintAsDto,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const batch = await this.batches.view(id);
    const { plan, inputs } = await this.batches.snapshot(id, batch.planVersion);
    const title = `${batch.name}, ${PRINT_WORDS[print]}`;
    const wish = {
      title: batch.name,
      part: plan.parts.find((p) => p.partId === part) ?? plan.parts[0],
      workshop: inputs.workshop,
      paper: format === 'pdf' ? paper : ('roll' as const),
      forCutter: format !== 'pdf',
      version: `${batch.revision}.${batch.planVersion}`,
    };
    const bytes = await this.drawn({ print, wish, format, title });
    response.setHeader('content-type', TYPES[format]);
    if (format !== 'pdf') response.attachment(`${title}.${format}`);
    return new StreamableFile(bytes);
  }

  private async drawn(wish: JobInput<'print'>): Promise<Uint8Array> {
    try {
      return await this.computing.run('print', wish);
    } catch (error) {
      if (error instanceof FileProblem) throw Problem.unusable([{ field: 'print', why: error.why }]);
      throw error;
    }
  }
}
