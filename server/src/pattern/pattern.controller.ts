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
  Query,
  Req,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { InWorkshop } from '../access/inWorkshop.js';
import {
  CheckResultView,
  NewPatternDto,
  NewRevisionDto,
  patternBodyOf,
  PatternPageDto,
  PatternPageView,
  PatternView,
  RevisionView,
} from './pattern.dto.js';
import { PatternService } from './pattern.service.js';

@ApiTags('pattern')
@Controller('patterns')
@InWorkshop()
export class PatternController {
  constructor(private readonly patterns: PatternService) {}

  @Get()
  @ApiOkResponse({ type: PatternPageView })
  list(@Query() { after, search }: PatternPageDto): Promise<PatternPageView> {
    return this.patterns.page(after ?? null, search ?? '');
  }

  @Get(':id')
  @ApiOkResponse({ type: PatternView })
  show(@Param('id', ParseUUIDPipe) id: string): Promise<PatternView> {
    return this.patterns.show(id);
  }

  @Get(':id/revisions')
  @ApiOkResponse({ type: [RevisionView] })
  revisions(@Param('id', ParseUUIDPipe) id: string): Promise<RevisionView[]> {
    return this.patterns.revisions(id);
  }

  /** How the acceptance checks went in all batches. */
  @Get(':id/checks')
  @ApiOkResponse({ type: [CheckResultView] })
  checks(@Param('id', ParseUUIDPipe) id: string): Promise<CheckResultView[]> {
    return this.patterns.checkResults(id);
  }

  @Post()
  @ApiCreatedResponse({ type: PatternView })
  create(@Body() dto: NewPatternDto, @Req() request: Request): Promise<PatternView> {
    return this.patterns.create(dto.name, patternBodyOf(dto), request.session.userName ?? '');
  }

  /** Saves a revision; the number stays when nothing but the name changed. */
  @Put(':id')
  @ApiOkResponse({ type: PatternView })
  revise(
    @Param('id', ParseUUIDPipe) id: string,
    @Body() dto: NewRevisionDto,
    @Req() request: Request,
  ): Promise<PatternView> {
    return this.patterns.revise(
      id,
      dto.name,
      patternBodyOf(dto),
      dto.basedOn,
      request.session.userName ?? '',
    );
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.patterns.remove(id);
  }
}
