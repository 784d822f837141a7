import { DRYING_SCHOOLS, type DryingBundle, type DryingSchool } from '@compas/core';
import { ApiProperty } from '@nestjs/swagger';
import {
  ChoiceField,
  CoreType,
  IdField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { AirDto } from '../workshop/workshop.dto.js';
import { DayField } from '../edge/days.js';

class WeighingDto {
  @DayField() day: string;
  @NumberField({ min: 1, max: 1_000_000 }) grams: number;
}

class BundleDto {
  @TextField({ min: 1, max: 120 }) label: string;
  @IdField({ nullable: true }) itemId: string | null;
  @TextField({ min: 1, max: 60 }) materialId: string;
  @NumberField({ min: 1, max: 5000, whole: true }) pieces: number;
  @ChoiceField(DRYING_SCHOOLS) school: DryingSchool;
  @NumberField({ min: 4, max: 30 }) target: number;
  @NumberField({ min: 5, max: 250, nullable: true }) startMoisture: number | null;
  @ObjectField(() => AirDto, { nullable: true }) air: AirDto | null;
  @ListField(() => WeighingDto, { max: 500 }) weighings: WeighingDto[];
}

export class NewBundleDto {
  @CoreType('DryingBundle')
  @ObjectField(() => BundleDto)
  bundle: BundleDto;
}

export class ChangeBundleDto extends NewBundleDto {
  /** version that was edited; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
}

export const bundleOf = (dto: NewBundleDto): DryingBundle => dto.bundle;

class PieceSizeView {
  @ApiProperty() across: number;
  @ApiProperty() length: number;
}

export class BundleView {
  @ApiProperty() id: string;
  @ApiProperty() version: number;
  @CoreType('DryingBundle') bundle: DryingBundle;
  /** of one of its pieces, mm; null where its shelf item has none */
  @ApiProperty({ type: PieceSizeView, nullable: true }) size: PieceSizeView | null;
}
