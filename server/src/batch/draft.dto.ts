import { ApiProperty } from '@nestjs/swagger';
import { TextField } from '../edge/fields.js';

/** What is chosen for a plan. */
export class DraftDto {
  @TextField({ min: 1, max: 30_000 }) choices: string;
}

export class DraftView extends DraftDto {
  @ApiProperty() patternId: string;
  @ApiProperty() patternName: string;
  @ApiProperty() changedBy: string;
  @ApiProperty() changedAt: string;
}
