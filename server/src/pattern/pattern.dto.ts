import {
  type AcceptanceCheck,
  type CaptiveRing,
  CHECK_KINDS,
  CHECK_STAGES,
  type CheckKind,
  type CheckStage,
  type CrossHole,
  type Decoration,
  DECORATION_KINDS,
  type DecorationKind,
  DESIGN_ORIGINS,
  type DesignOrigin,
  type DesignSource,
  ITEM_KINDS,
  type ItemKind,
  JOIN_KINDS,
  type MatingOutline,
  type Opening,
  OPENINGS,
  PART_ENDS,
  type PartEnd,
  type PartJoin,
  type PartJoinKind,
  type PatternBody,
  type TurningAxis,
  USED_BY,
  type UsedBy,
} from '@compas/core';
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
import { DimensionDto } from '../edge/dimension.dto.js';
import { OwnWayDto } from '../workshop/ownWay.dto.js';
import { ELEMENT_FORMS, ElementDto } from './element.dto.js';

const Id = () => TextField({ min: 1, max: 60 });
const Length = () => ObjectField(() => DimensionDto);
const MaybeLength = () => ObjectField(() => DimensionDto, { optional: true });
const Angle = () => NumberField({ min: -360, max: 360 });

class AxisDto implements TurningAxis {
  @Length() shift: DimensionDto;
  @Angle() direction: number;
  @NumberField({ min: -90, max: 90 }) tilt: number;
  @MaybeLength() along?: DimensionDto;
}

class TurningDto {
  @Id() id: string;
  @Length() startDiameter: DimensionDto;
  @ListField(() => ElementDto, { max: 200, kinds: ELEMENT_FORMS }) elements: ElementDto[];
  @BooleanField({ optional: true }) startHeld?: boolean;
  @MaybeLength() total?: DimensionDto;
  @ObjectField(() => AxisDto, { optional: true }) axis?: AxisDto;
}

class HoleStepDto {
  @Length() diameter: DimensionDto;
  @Length() depth: DimensionDto;
  @MaybeLength() endDiameter?: DimensionDto;
}

class HoleDto {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @ChoiceField(PART_ENDS) from: PartEnd;
  @BooleanField() through: boolean;
  @NumberField({ min: 30, max: 180 }) pointAngle: number;
  @ArrayMinSize(1, { message: 'A hole has at least one step. Give its diameter and depth.' })
  @ListField(() => HoleStepDto, { max: 8 })
  steps: HoleStepDto[];
}

class CrossHoleDto implements CrossHole {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @ChoiceField(PART_ENDS) from: PartEnd;
  @Length() at: DimensionDto;
  @Angle() angle: number;
  @Length() diameter: DimensionDto;
  @BooleanField() through: boolean;
  @MaybeLength() depth?: DimensionDto;
}

class HollowDto {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @ChoiceField(OPENINGS) opens: Opening;
  @ObjectField(() => AxisDto, { optional: true }) axis?: AxisDto;
  @MaybeLength() rim?: DimensionDto;
  @Length() startDiameter: DimensionDto;
  @ListField(() => ElementDto, { max: 50, kinds: ELEMENT_FORMS }) elements: ElementDto[];
}

class RingDto implements CaptiveRing {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @Length() at: DimensionDto;
  @Length() width: DimensionDto;
  @Length() across: DimensionDto;
  @Length() play: DimensionDto;
}

class DecorationDto implements Decoration {
  @Id() id: string;
  @ChoiceField(DECORATION_KINDS) kind: DecorationKind;
  @Id() elementId: string;
  @Length() from: DimensionDto;
  @Length() width: DimensionDto;
  @TextField({ max: 200, optional: true }) words?: string;
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
  @ListField(() => CrossHoleDto, { max: 20, optional: true }) crossHoles?: CrossHoleDto[];
  @ListField(() => HollowDto, { max: 8, optional: true }) hollows?: HollowDto[];
  @ListField(() => RingDto, { max: 20, optional: true }) rings?: RingDto[];
  @ListField(() => DecorationDto, { max: 60, optional: true }) decorations?: DecorationDto[];
  @ListField(() => OwnWayDto, { max: 200, optional: true }) ways?: OwnWayDto[];
}

class FittedHardwareDto {
  @Id() id: string;
  @Id() kitId: string;
  @Id() partId: string;
  @ChoiceField(PART_ENDS) end: PartEnd;
}

class InnerDto {
  @Id() partId: string;
  @ChoiceField(PART_ENDS) end: PartEnd;
}
class OuterDto {
  @Id() partId: string;
  @Id() holeId: string;
}
class JoinDto implements PartJoin {
  @Id() id: string;
  @ChoiceField(JOIN_KINDS) kind: PartJoinKind;
  @ObjectField(() => InnerDto) inner: InnerDto;
  @ObjectField(() => OuterDto) outer: OuterDto;
  @Length() depth: DimensionDto;
  @MaybeLength() at?: DimensionDto;
}

class CheckDto implements AcceptanceCheck {
  @Id() id: string;
  @ChoiceField(CHECK_KINDS) kind: CheckKind;
  @TextField({ min: 1, max: 200 }) words: string;
  @TextField({ max: 60, optional: true }) onId?: string;
  @ChoiceField(CHECK_STAGES) stage: CheckStage;
  @TextField({ max: 20, optional: true }) unit?: string;
  @NumberField({ min: -1e6, max: 1e6, optional: true }) least?: number;
  @NumberField({ min: -1e6, max: 1e6, optional: true }) most?: number;
}

class SourceDto implements DesignSource {
  @ChoiceField(DESIGN_ORIGINS) from: DesignOrigin;
  @TextField({ max: 300 }) words: string;
  @TextField({ max: 300 }) allows: string;
}

class MatePointDto {
  @Length() at: DimensionDto;
  @Length() diameter: DimensionDto;
}
class MateDto implements MatingOutline {
  @Id() id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @Id() partId: string;
  @ChoiceField(PART_ENDS) end: PartEnd;
  @ListField(() => MatePointDto, { max: 200 }) points: MatePointDto[];
}

class PatternBodyDto {
  @NumberField({ min: 1, max: 1, whole: true }) schema: 1;
  @ChoiceField(ITEM_KINDS) kind: ItemKind;
  @ChoiceField(USED_BY) usedBy: UsedBy;
  @MaybeLength() longest?: DimensionDto;
  @ArrayMinSize(1, { message: 'A pattern has at least one part.' })
  @ListField(() => PartDto, { max: 20 })
  parts: PartDto[];
  @ListField(() => FittedHardwareDto, { max: 20 }) hardware: FittedHardwareDto[];
  @ListField(() => JoinDto, { max: 40, optional: true }) joins?: JoinDto[];
  @ListField(() => CheckDto, { max: 60, optional: true }) checks?: CheckDto[];
  @ObjectField(() => SourceDto, { optional: true }) source?: SourceDto;
  @ListField(() => MateDto, { max: 10, optional: true }) mates?: MateDto[];
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
  @ApiProperty({ description: 'goes up with every save, of the name too' }) version: number;
  @CoreType('PatternBody') body: PatternBody;
}

export class PatternPageDto {
  /** where the page begins, as the page before said */
  @TextField({ max: 160, optional: true }) after?: string;
  @TextField({ max: 80, optional: true }) search?: string;
}

export class PatternPageView {
  @ApiProperty({ type: [PatternView] }) patterns: PatternView[];
  @ApiProperty({ type: String, nullable: true, description: 'where the next page begins' })
  next: string | null;
}

export class RevisionView {
  @ApiProperty() number: number;
  @ApiProperty({ type: [String] }) changes: string[];
  @ApiProperty() madeBy: string;
  @ApiProperty() madeAt: string;
  @CoreType('PatternBody') body: PatternBody;
}

/** What came of one acceptance check over all batches of a pattern. */
export class CheckResultView {
  @ApiProperty() checkId: string;
  @ApiProperty() passed: number;
  @ApiProperty() failed: number;
  @ApiProperty() batches: number;
  @ApiProperty({ type: [Number], description: 'the last numbers that were read' }) values: number[];
}
