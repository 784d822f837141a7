import {
  DRILL_MOMENTS,
  DRILL_SETUPS,
  FITTING_WAYS,
  MOUNT_KINDS,
  STOCK_FORMS,
  type DrillMoment,
  type DrillSetup,
  type FittingWay,
  type Lot,
  type MountKind,
  type NextStep,
  type BatchPart,
  type StockForm,
} from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { DayField, MomentField } from '../edge/days.js';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  IdField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { OwnWayDto } from '../workshop/ownWay.dto.js';
import { SchoolsDto } from '../workshop/workshop.dto.js';
import { SetAsideView } from './event.dto.js';

/** When and with what set-up one hole is drilled. */
class DrillChoiceDto {
  @TextField({ min: 1, max: 120 }) holeId: string;
  @ChoiceField(DRILL_MOMENTS, { optional: true }) moment?: DrillMoment;
  @ChoiceField(DRILL_SETUPS, { optional: true }) setup?: DrillSetup;
}

/** The choices for one part. */
class PartChoicesDto {
  @TextField({ min: 1, max: 60 }) materialId: string;
  /** bundle on the drying shelf that it is made from; dry stock when not given */
  @IdField({ optional: true }) woodId?: string;
  /** turned while it is wet, and dried afterwards */
  @BooleanField({ optional: true }) green?: boolean;
  @TextField({ max: 60, nullable: true }) finishId: string | null;
  @NumberField({ min: 1, max: 50, whole: true }) perBlank: number;
  @ChoiceField(MOUNT_KINDS, { nullable: true }) mount: MountKind | null;
  @ChoiceField(FITTING_WAYS, { optional: true }) fitting?: FittingWay;
  @CoreType('DrillChoice', { list: true, optional: true })
  @ListField(() => DrillChoiceDto, { max: 60, optional: true })
  drilling?: DrillChoiceDto[];
  @ChoiceField(STOCK_FORMS, { optional: true }) stockForm?: StockForm;
  /** mark that all others are measured from; the reference end when not given */
  @TextField({ min: 1, max: 80, optional: true }) datum?: string;
  /** what is done otherwise than usual, this time */
  @CoreType('OwnWay', { list: true, optional: true })
  @ListField(() => OwnWayDto, { max: 200, optional: true })
  ways?: OwnWayDto[];
}

/** The choices for a further part of an item. */
class OtherPartDto extends PartChoicesDto {
  @TextField({ min: 1, max: 60 }) partId: string;
}

/** The choices of a plan that are made for one batch: those for its part, or for the first where whole items are made. */
export class PlanChoicesDto extends PartChoicesDto {
  @NumberField({ min: 1, max: 2000, whole: true }) pieces: number;
  @MomentField() start: string;
  @DayField({ nullable: true }) due: string | null;
  /** the part that is chosen for; the first when not given */
  @TextField({ max: 60, optional: true }) partId?: string;
  /** choices for the other parts, where whole items are made */
  @CoreType('OtherPart', { list: true, optional: true })
  @ListField(() => OtherPartDto, { max: 60, optional: true })
  others?: OtherPartDto[];
  @ApiProperty() @ObjectField(() => SchoolsDto) schools: SchoolsDto;
}

/** A line of an order. */
export class LineRefDto {
  @IdField() orderId: string;
  @NumberField({ min: 1, max: 1000, whole: true }) number: number;
}

/** A batch is made for lines that are ordered, for one more of an order, or for an order of its own. */
export class NewBatchDto extends PlanChoicesDto {
  @IdField() patternId: string;
  @NumberField({ min: 1, max: 1_000_000, whole: true }) revision: number;
  @TextField({ min: 1, max: 80 }) name: string;
  @TextField({ min: 1, max: 80, optional: true }) customer?: string;
  /** order that it is one more line of */
  @IdField({ optional: true }) orderId?: string;
  @ApiProperty({ type: [LineRefDto], required: false })
  @ListField(() => LineRefDto, { max: 100, optional: true })
  lines?: LineRefDto[];
  /** the draft of the pattern is this plan: it is none any more */
  @BooleanField({ optional: true }) fromDraft?: boolean;
}

/** More pieces of a part, for some that were rejected. */
export class SparesDto {
  @TextField({ min: 1, max: 60 }) partId: string;
  @NumberField({ min: 1, max: 200, whole: true }) count: number;
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
  @ApiProperty({ description: 'of all parts, spares included' }) pieces: number;
  @CoreType('Lot', { list: true }) lots: Lot[];
  @ApiProperty() planVersion: number;
  @ApiProperty() putAway: boolean;
}

/** A batch on the Bench: how far it is and what is next. */
export class BatchSummaryView extends BatchView {
  @CoreType('NextStep') next: NextStep;
  @ApiProperty() stepsDone: number;
  @ApiProperty() stepsInAll: number;
  @ApiProperty() rejected: number;
  @ApiProperty({ description: 'pieces on which a check or a fit did not hold' }) failed: number;
  @ApiProperty({ description: 'on the workshop’s clock' }) plannedEnd: string;
  @CoreType('BatchPart', { list: true }) parts: BatchPart[];
}

/** Batches in the order they were made, so many at a time. */
export class BatchPageView {
  @ApiProperty({ type: [BatchSummaryView] }) batches: BatchSummaryView[];
  @ApiProperty({ type: String, nullable: true, description: 'where the next page begins' })
  next: string | null;
}

export class BatchPageDto {
  /** put away, or still on the bench */
  @ChoiceField(['yes', 'no'], { optional: true }) away?: 'yes' | 'no';
  @IdField({ optional: true }) patternId?: string;
  @TextField({ max: 120, optional: true }) after?: string;
}

/** How many pieces of a pattern were made, and how many of them rejected. */
export class MadeView {
  @ApiProperty() patternId: string;
  @ApiProperty() made: number;
  @ApiProperty() rejected: number;
}

/** A batch without what can be long: its plan lies at an address of its own, its events are asked for by number. */
export class BatchDetailView extends BatchView {
  @ApiProperty({ description: 'address of the plan that is followed' }) planHash: string;
  @ApiProperty({ description: 'number of the newest event' }) lastEvent: number;
  @ApiProperty({ type: [SetAsideView] }) setAside: SetAsideView[];
}

export class EventsSinceDto {
  @Type(() => Number)
  @NumberField({ min: 0, max: Number.MAX_SAFE_INTEGER, whole: true })
  after: number;
}

export class ReplanDto extends PlanChoicesDto {
  /** plan version that is planned anew; another one in between is a conflict */
  @NumberField({ min: 1, max: 100_000, whole: true, optional: true }) basedOn?: number;
}
