import type { ItemKind, PartEnd, PatternBody, UsedBy } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { ArrayMinSize } from 'class-validator';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { DimensionDto } from './dimension.dto.js';
import { ELEMENT_KINDS, ElementDto } from './element.dto.js';

const ITEM_KINDS: ItemKind[] = ['stopper', 'handle', 'finial', 'ornament', 'rolling pin', 'other'];
const USED_BY: UsedBy[] = ['anybody', 'food', 'child'];
const ENDS: PartEnd[] = ['reference', 'far'];
const Id = () => TextField({ min: 1, max: 60 });

class TurningDto {
  @Id() id: string;
  @ObjectField(() => DimensionDto) startDiameter: DimensionDto;
  @ListField(() => ElementDto, { max: 200, kinds: ELEMENT_KINDS }) elements: ElementDto[];
}

class HoleStepDto {
  @ObjectField(() => DimensionDto) diameter: DimensionDto;
  @ObjectField(() => DimensionDto) depth: DimensionDto;
}

class HoleDto {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @ChoiceField(ENDS) from: PartEnd;
  @BooleanField() through: boolean;
  @NumberField({ min: 30, max: 180 }) pointAngle: number;
  @ListField(() => HoleStepDto, { max: 8 }) steps: HoleStepDto[];
}

class PartDto {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @NumberField({ min: 1, max: 100, whole: true }) perItem: number;
  @Id() materialId: string;
  @ArrayMinSize(1, { message: 'A part has at least one turning.' })
  @ListField(() => TurningDto, { max: 8 })
  turnings: TurningDto[];
  @ListField(() => HoleDto, { max: 20 }) holes: HoleDto[];
}

class FittedHardwareDto {
  @Id() id: string;
  @Id() kitId: string;
  @Id() partId: string;
  @ChoiceField(ENDS) end: PartEnd;
}

class PatternBodyDto {
  @NumberField({ min: 1, max: 1, whole: true }) schema: 1;
  @ChoiceField(ITEM_KINDS) kind: ItemKind;
  @ChoiceField(USED_BY) usedBy: UsedBy;
  @ObjectField(() => DimensionDto, { optional: true }) longest?: DimensionDto;
  @ArrayMinSize(1, { message: 'A pattern has at least one part.' })
  @ListField(() => PartDto, { max: 20 })
  parts: PartDto[];
  @ListField(() => FittedHardwareDto, { max: 20 }) hardware: FittedHardwareDto[];
  @NumberField({ min: 0, max: 1_000_000, whole: true }) lastId: number;
}

export class NewPatternDto {
  @TextField({ min: 1, max: 80 }) name: string;
  @CoreType('PatternBody')
  @ObjectField(() => PatternBodyDto)
  body: PatternBodyDto;
}

export class NewRevisionDto extends NewPatternDto {
  /** revision that was edited; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
}

/**
 * The body as the core knows it. The DTO's element classes implement the core's element types one by
 * one; what TypeScript cannot see is that the validated list holds only those.
 */
export const patternBodyOf = (dto: NewPatternDto): PatternBody => dto.body as unknown as PatternBody;

export class PatternView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty({ enum: ITEM_KINDS }) kind: ItemKind;
  @ApiProperty() revision: number;
  @CoreType('PatternBody') body: PatternBody;
}

export class RevisionView {
  @ApiProperty() number: number;
  @ApiProperty({ type: [String] }) changes: string[];
  @ApiProperty() madeBy: string;
  @ApiProperty() madeAt: string;
  @CoreType('PatternBody') body: PatternBody;
}
