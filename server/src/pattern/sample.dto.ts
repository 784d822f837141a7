import { FEATURES, SAMPLED_BY, type Feature, type SampledBy, type Trace } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import {
  ChoiceField,
  CoreType,
  ListField,
  NumberField,
  NumbersField,
  ObjectField,
  TextField,
} from '../edge/fields.js';

const MOST = 5000;

/** What was seen at one of the places. */
class SeenDto {
  @NumberField({ min: 0, max: MOST - 1, whole: true }) at: number;
  @ChoiceField(Object.keys(FEATURES)) is: Feature;
}

/** Places along a sample and its radii on two sides, mm, as three lists of the same length. */
class TraceDto implements Trace {
  @NumbersField({ min: -20_000, max: 20_000, most: MOST }) x: number[];
  @NumbersField({ min: 0, max: 10_000, most: MOST }) up: number[];
  @NumbersField({ min: 0, max: 10_000, most: MOST }) down: number[];
  @ListField(() => SeenDto, { max: MOST, optional: true }) seen?: SeenDto[];
}

export class NewSampleDto {
  @TextField({ min: 1, max: 80 }) name: string;
  @ChoiceField(SAMPLED_BY) measuredBy: SampledBy;
  @CoreType('Trace')
  @ObjectField(() => TraceDto)
  trace: TraceDto;
  @TextField({ max: 500 }) note: string;
}

export class SampleView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty({ enum: SAMPLED_BY }) measuredBy: SampledBy;
  @CoreType('Trace') trace: Trace;
  @ApiProperty() note: string;
}
