import {
  CERTAINTIES,
  DUST_HAZARDS,
  type DustHazard,
  MATERIAL_CLASSES,
  MATERIAL_FAMILIES,
  type MaterialClass,
  type MaterialFamily,
  type Tone,
  TONE_NAMES,
} from '@compas/core';
import { BooleanField, ChoiceField, NumberField, ObjectField, TextField } from '../edge/fields.js';

const Percent = () => NumberField({ min: 0, max: 25, nullable: true });

class SourceDto {
  @TextField({ min: 1, max: 120 }) source: string;
  @ChoiceField(CERTAINTIES) certainty: string;
}

/** Where each value is from that the workshop knows better than the rest. */
class SourcesDto {
  @ObjectField(() => SourceDto, { optional: true }) density?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) stiffness?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) shrinkRadial?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) shrinkTangential?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) hardness?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) grain?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) oily?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) dust?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) skin?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) tool?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) startGrit?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) sandingAllowance?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) drilling?: SourceDto;
  @ObjectField(() => SourceDto, { optional: true }) uses?: SourceDto;
}

export class MaterialDto {
  @TextField({ min: 1, max: 60 }) id: string;
  @TextField({ min: 1, max: 60 }) name: string;
  @ChoiceField(MATERIAL_CLASSES) class: MaterialClass;
  @ChoiceField(MATERIAL_FAMILIES)
  family: MaterialFamily;
  @NumberField({ min: 0.05, max: 3 }) density: number;
  @NumberField({ min: 100, max: 100_000, nullable: true }) stiffness: number | null;
  @Percent() shrinkRadial: number | null;
  @Percent() shrinkTangential: number | null;
  @NumberField({ min: 10, max: 100_000, nullable: true }) hardness: number | null;
  @TextField({ max: 120 }) grain: string;
  @BooleanField() oily: boolean;
  @ChoiceField(DUST_HAZARDS) dust: DustHazard;
  @ChoiceField(DUST_HAZARDS) skin: DustHazard;
  @TextField({ max: 120 }) tool: string;
  @NumberField({ min: 40, max: 2000, whole: true }) startGrit: number;
  @NumberField({ min: 0, max: 5 }) sandingAllowance: number;
  @TextField({ max: 200 }) drilling: string;
  @TextField({ max: 200 }) uses: string;
  @ChoiceField(TONE_NAMES) tone: Tone;
  @TextField({ min: 1, max: 120 }) source: string;
  @ChoiceField(CERTAINTIES) certainty: string;
  @ObjectField(() => SourcesDto) provenance: SourcesDto;
}
