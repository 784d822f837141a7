import {
  BATCHING_SCHOOLS,
  type BatchingSchool,
  BIT_KINDS,
  type BitKind,
  CENTRE_KINDS,
  type CentreKind,
  DRILL_MOMENTS,
  type DrillMoment,
  type Drive,
  DRIVE_KINDS,
  FINISH_KINDS,
  type FinishKind,
  FIXTURE_KINDS,
  type FixtureKind,
  GAUGE_KINDS,
  type GaugeKind,
  GLUE_KINDS,
  type GlueKind,
  GRIT_SCALES,
  type GritScale,
  SPEED_SCHOOLS,
  type SpeedSchool,
  TOOL_KINDS,
  type ToolKind,
  type Units,
  UNITS,
  type Workshop,
} from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import { TimeZoneField } from '../edge/days.js';
import {
  BooleanField,
  ChoiceField,
  CoreType,
  ListField,
  NumberField,
  NumbersField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { DimensionDto } from '../edge/dimension.dto.js';
import { MaterialDto } from './material.dto.js';
import { HabitDto } from './ownWay.dto.js';

const Id = () => TextField({ min: 1, max: 60 });
const Name = () => TextField({ min: 1, max: 80 });
const Millimetres = (max = 20_000) => NumberField({ min: 0, max });
const Rpm = () => NumberField({ min: 1, max: 20_000 });
const Minutes = (max: number) => NumberField({ min: 0, max });

class DriveDto {
  @ChoiceField(DRIVE_KINDS) kind: Drive['kind'];
}
class PulleysDto extends DriveDto {
  @NumbersField({ min: 1, max: 20_000, most: 24 }) speeds: number[];
}
class RangeDto extends DriveDto {
  @Rpm() slowest: number;
  @Rpm() fastest: number;
}
class TreadleDto extends DriveDto {}

class LatheDto {
  @Name() name: string;
  @ObjectField(() => DriveDto, { kinds: { pulleys: PulleysDto, range: RangeDto, treadle: TreadleDto } })
  drive: DriveDto;
  @NumberField({ min: 20, max: 3000 }) swing: number;
  @NumberField({ min: 50, max: 10_000 }) betweenCentres: number;
  @TextField({ max: 40 }) spindleThread: string;
  @TextField({ max: 40 }) taper: string;
  @NumberField({ min: 20, max: 3000, optional: true }) overRest?: number;
  @NumberField({ min: 5, max: 500, optional: true }) quillTravel?: number;
}
class CentreDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(CENTRE_KINDS) kind: CentreKind;
  @Millimetres(200) diameter: number;
  @TextField({ max: 40, optional: true }) fits?: string;
}
class JawsDto {
  @Id() id: string;
  @Name() name: string;
  @Millimetres(500) gripLeast: number;
  @Millimetres(500) gripBest: number;
  @Millimetres(500) gripMost: number;
  @Millimetres(200) depth: number;
  @NumberField({ min: 0, max: 500, optional: true }) recessLeast?: number;
  @NumberField({ min: 0, max: 500, optional: true }) recessMost?: number;
}
class ChuckDto {
  @Id() id: string;
  @Name() name: string;
  @Rpm() fastest: number;
  @ListField(() => JawsDto, { max: 40 }) jaws: JawsDto[];
  @TextField({ max: 40, optional: true }) fits?: string;
}
class MandrelDto {
  @Id() id: string;
  @Name() name: string;
  @TextField({ min: 1, max: 40 }) takes: string;
  @Millimetres(1000) reach: number;
  @NumberField({ min: 0, max: 1000, optional: true }) threadLength?: number;
  @TextField({ max: 40, optional: true }) fits?: string;
}
class BitDto {
  @Id() id: string;
  @ChoiceField(BIT_KINDS) kind: BitKind;
  @ObjectField(() => DimensionDto) diameter: DimensionDto;
  @Millimetres(2000) length: number;
  @ObjectField(() => DimensionDto, { optional: true }) pilot?: DimensionDto;
  @NumberField({ min: 0, max: 2000, optional: true }) pilotLength?: number;
  @NumberField({ min: 0, max: 100, optional: true }) point?: number;
}
class FixtureDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(FIXTURE_KINDS) kind: FixtureKind;
  @Millimetres(1000) diameter: number;
  @NumberField({ min: 0, max: 1000, optional: true }) bore?: number;
  @Millimetres(5000) length: number;
  @TextField({ max: 40, optional: true }) fits?: string;
}
class CopyingDto {
  @Millimetres(100) stylus: number;
  @Millimetres(100) cutter: number;
  @Millimetres(10) templateKerf: number;
}
class GaugeDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(GAUGE_KINDS) kind: GaugeKind;
  @ObjectField(() => DimensionDto, { optional: true }) size?: DimensionDto;
  @ObjectField(() => DimensionDto, { optional: true }) noGo?: DimensionDto;
}
class ToolDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(TOOL_KINDS) kind: ToolKind;
  @Millimetres(100) width: number;
  @NumberField({ min: 0, max: 100, optional: true }) nose?: number;
}
class AbrasiveDto {
  @Id() id: string;
  @NumberField({ min: 16, max: 20_000, whole: true }) grit: number;
  @ChoiceField(GRIT_SCALES) scale: GritScale;
}
class FinishDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(FINISH_KINDS) kind: FinishKind;
  @NumberField({ min: 1, max: 12, whole: true }) coats: number;
}
class GlueDto {
  @Id() id: string;
  @Name() name: string;
  @ChoiceField(GLUE_KINDS) kind: GlueKind;
  @Minutes(20_000) cureMinutes: number;
}
class WindowDto {
  @NumberField({ min: 1, max: 7, whole: true }) weekday: number;
  @Minutes(1440) from: number;
  @Minutes(1440) to: number;
}
class HoursDto {
  @TimeZoneField() timeZone: string;
  @ListField(() => WindowDto, { max: 40 }) windows: WindowDto[];
}
class AllowancesDto {
  @Millimetres(50) skim: number;
  @Millimetres(20) centring: number;
  @Millimetres(200) wasteDrive: number;
  @Millimetres(200) wasteTail: number;
  @Millimetres(50) parting: number;
  @Millimetres(50) leastWall: number;
  @Millimetres(50) holeRoom: number;
}
class SpeedBandDto {
  @NumberField({ min: 1000, max: 2_000_000 }) low: number;
  @NumberField({ min: 1000, max: 2_000_000 }) high: number;
}
class SawingDto {
  @Millimetres(20) ripKerf: number;
  @Millimetres(20) crossKerf: number;
  @Millimetres(20) surfacing: number;
  @Millimetres(300) endTrim: number;
  @Millimetres(3000) leastOffcutLength: number;
  @Millimetres(500) leastOffcutWidth: number;
  @Millimetres(50) leaveOversize: number;
  @Millimetres(200) splitDrift: number;
  @BooleanField({ optional: true }) offcutsCarryCost?: boolean;
}
export class AirDto {
  @NumberField({ min: -10, max: 80 }) temperature: number;
  @NumberField({ min: 5, max: 98 }) humidity: number;
}
export class SchoolsDto {
  @ApiProperty() @ChoiceField(SPEED_SCHOOLS) speed: SpeedSchool;
  @ApiProperty() @ChoiceField(BATCHING_SCHOOLS) batching: BatchingSchool;
  @ChoiceField(DRILL_MOMENTS, { optional: true }) drilling?: DrillMoment;
}
class WorkshopBodyDto {
  @NumberField({ min: 1, max: 1, whole: true }) schema: 1;
  @ChoiceField(UNITS) units: Units;
  @ObjectField(() => SchoolsDto) schools: SchoolsDto;
  @ObjectField(() => LatheDto) lathe: LatheDto;
  @ListField(() => CentreDto, { max: 60 }) centres: CentreDto[];
  @ListField(() => ChuckDto, { max: 30 }) chucks: ChuckDto[];
  @ListField(() => MandrelDto, { max: 60 }) mandrels: MandrelDto[];
  @ListField(() => BitDto, { max: 600 }) bits: BitDto[];
  @ListField(() => GaugeDto, { max: 200 }) gauges: GaugeDto[];
  @ListField(() => ToolDto, { max: 200 }) tools: ToolDto[];
  @ListField(() => AbrasiveDto, { max: 60 }) abrasives: AbrasiveDto[];
  @ListField(() => FinishDto, { max: 60 }) finishes: FinishDto[];
  @ListField(() => GlueDto, { max: 40 }) glues: GlueDto[];
  @ObjectField(() => HoursDto) hours: HoursDto;
  @ObjectField(() => AllowancesDto) allowances: AllowancesDto;
  @ObjectField(() => SpeedBandDto) speedBand: SpeedBandDto;
  @ListField(() => MaterialDto, { max: 200, optional: true }) materials?: MaterialDto[];
  @ObjectField(() => SawingDto, { optional: true }) sawing?: SawingDto;
  @ObjectField(() => AirDto, { optional: true }) air?: AirDto;
  @ListField(() => FixtureDto, { max: 200, optional: true }) fixtures?: FixtureDto[];
  @ObjectField(() => CopyingDto, { optional: true }) copying?: CopyingDto;
  @TextField({ min: 3, max: 3, pattern: /^[A-Z]{3}$/, like: 'EUR', optional: true }) currency?: string;
  @ListField(() => HabitDto, { max: 300, optional: true }) ways?: HabitDto[];
}

export class ChangeWorkshopDto {
  @TextField({ min: 1, max: 80 }) name: string;
  /** version that was edited; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
  @CoreType('Workshop')
  @ObjectField(() => WorkshopBodyDto)
  body: WorkshopBodyDto;
}

/** Class by class the DTO has the core's fields; the drive is read by its kind. */
export const workshopOf = (dto: ChangeWorkshopDto): Workshop => dto.body as unknown as Workshop;

export class WorkshopView {
  @ApiProperty() id: string;
  @ApiProperty() name: string;
  @ApiProperty() version: number;
  @CoreType('Workshop') body: Workshop;
}
