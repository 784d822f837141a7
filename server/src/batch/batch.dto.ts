import type { Blank, MountKind, NextAction, PlanSnapshot, RunEvent } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  IdField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { SchoolsDto } from '../workshop/workshop.dto.js';
import { SetAsideView } from './event.dto.js';

const DAY = { max: 10, pattern: /^\d{4}-\d{2}-\d{2}$/, like: '2026-03-20' };

/** The choices of a plan that are made for one batch. */
export class PlanChoicesDto {
  @NumberField({ min: 1, max: 2000, whole: true }) pieces: number;
  @TextField({ max: 16, pattern: /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, like: '2026-03-02T08:00' }) start: string;
  @TextField({ ...DAY, nullable: true }) due: string | null;
  @TextField({ min: 1, max: 60 }) materialId: string;
  /** which part of the item the batch makes; the first when not given */
  @TextField({ max: 60, optional: true }) partId?: string;
  /** bundle on the drying shelf that it is made from; dry stock when not given */
  @IdField({ optional: true }) woodId?: string;
  @TextField({ max: 60, nullable: true }) finishId: string | null;
  @NumberField({ min: 1, max: 50, whole: true }) perBlank: number;
  @ChoiceField(['mandrel', 'between centres', 'chuck'], { nullable: true }) mount: MountKind | null;
  @ApiProperty() @ObjectField(() => SchoolsDto) schools: SchoolsDto;
}

export class NewBatchDto extends PlanChoicesDto {
  @IdField() patternId: string;
  @NumberField({ min: 1, max: 1_000_000, whole: true }) revision: number;
  @TextField({ min: 1, max: 80 }) name: string;
  @TextField({ min: 1, max: 80 }) customer: string;
}

export class PutAwayDto {
  @BooleanField() putAway: boolean;
}

export class BatchView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty() customer: string;
  @ApiProperty({ type: String, nullable: true }) due: string | null;
  @ApiProperty() patternId: string;
  @ApiProperty() patternName: string;
  @ApiProperty() revision: number;
  @ApiProperty() pieces: number;
  @ApiProperty() planVersion: number;
  @ApiProperty() putAway: boolean;
}

/** A batch on the Bench: how far it is and what is next. */
export class BatchSummaryView extends BatchView {
  @CoreType('NextAction') next: NextAction;
  @ApiProperty() stepsDone: number;
  @ApiProperty() stepsInAll: number;
  @ApiProperty() rejected: number;
  @ApiProperty({ description: 'on the workshop’s clock' }) plannedEnd: string;
  @ApiProperty() materialId: string;
  @CoreType('Blank') blank: Blank;
  @ApiProperty({ description: 'corners are clipped to an octagon' }) octagon: boolean;
}

/** All of a batch: its plan as it was made, and everything recorded since. */
export class BatchDetailView extends BatchView {
  @CoreType('PlanSnapshot') snapshot: PlanSnapshot;
  @CoreType('RunEvent', { list: true }) events: RunEvent[];
  @ApiProperty({ type: [SetAsideView] }) setAside: SetAsideView[];
}
