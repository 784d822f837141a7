import { ApiProperty } from '@nestjs/swagger';
import { DayField } from '../edge/days.js';
import { BooleanField, ChoiceField, IdField, ListField, NumberField, TextField } from '../edge/fields.js';

/** A line as it is written down: what is wanted, and how many. */
export class WantedLineDto {
  /** number of the line it was; a new one when not given */
  @NumberField({ min: 1, max: 1000, whole: true, optional: true }) number?: number;
  @IdField() patternId: string;
  @NumberField({ min: 1, max: 2000, whole: true }) pieces: number;
  /** what was chosen for its plan so far, as its address says it */
  @TextField({ max: 30_000, optional: true }) choices?: string;
}

export class NewOrderDto {
  @TextField({ min: 1, max: 80 }) customer: string;
  @DayField({ nullable: true }) due: string | null;
  @ApiProperty({ type: [WantedLineDto] })
  @ListField(() => WantedLineDto, { max: 100 })
  lines: WantedLineDto[];
}

export class ChangeOrderDto extends NewOrderDto {
  /** version that was read; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
}

export class OrderClosedDto {
  @BooleanField() closed: boolean;
}

/** What was chosen for a plan that is not kept yet, as its address says it. */
export class LineChoicesDto {
  @TextField({ max: 30_000 }) choices: string;
}

export class OrdersDto {
  @ChoiceField(['yes', 'no'], { optional: true }) closed?: 'yes' | 'no';
}

export class OrderLineView {
  @ApiProperty() number: number;
  @ApiProperty() patternId: string;
  @ApiProperty() patternName: string;
  @ApiProperty({ description: 'items that are wanted' }) pieces: number;
  @ApiProperty({ type: String, nullable: true, description: 'null while it is not planned' })
  batchId: string | null;
  @ApiProperty({ description: 'what was chosen for its plan so far' }) choices: string;
  @ApiProperty({ type: [Number], description: 'counts of the items that were handed over' }) given: number[];
  @ApiProperty({ type: [Number], description: 'counts of the items that can be handed over' })
  ready: number[];
  @ApiProperty({ description: 'that are still being made for it' }) coming: number;
  @ApiProperty({ description: 'that did not hold what they were tried for' }) stopped: number;
  @ApiProperty({ description: 'that nobody makes' }) short: number;
  @ApiProperty({ type: String, nullable: true, description: 'on the workshop’s clock' })
  plannedEnd: string | null;
}

export class OrderView {
  @ApiProperty() id: string;
  @ApiProperty() customer: string;
  @ApiProperty({ type: String, nullable: true }) due: string | null;
  @ApiProperty() version: number;
  @ApiProperty() closed: boolean;
  @ApiProperty({ type: [OrderLineView] }) lines: OrderLineView[];
}
