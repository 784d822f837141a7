import type { GlueKind, Kit } from '@compas/core';
import { ChoiceField, CoreType, NumberField, ObjectField, TextField } from '../edge/fields.js';
import { DimensionDto } from '../pattern/dimension.dto.js';

const GLUES: GlueKind[] = ['epoxy', 'cyanoacrylate', 'wood glue', 'foaming'];
const Length = () => ObjectField(() => DimensionDto);

class KitBodyDto {
  @ChoiceField(['tapped-insert', 'self-tapping-stud', 'ferrule']) kind: Kit['kind'];
  @TextField({ min: 1, max: 80 }) name: string;
  @NumberField({ min: 0, max: 100_000, whole: true }) onHand: number;
  @NumberField({ min: 0, max: 100_000_000, whole: true, optional: true }) cost?: number;
  @NumberField({ min: 0, max: 100_000, whole: true, optional: true }) reorderAt?: number;
}

class TappedInsertDto extends KitBodyDto {
  @Length() baseDiameter: DimensionDto;
  @Length() insertDiameter: DimensionDto;
  @Length() insertLength: DimensionDto;
  @TextField({ min: 1, max: 20 }) thread: string;
  @ChoiceField(GLUES) glue: GlueKind;
}

class SelfTappingDto extends KitBodyDto {
  @Length() baseDiameter: DimensionDto;
  @Length() rootDiameter: DimensionDto;
  @Length() outsideDiameter: DimensionDto;
  @Length() studLength: DimensionDto;
  @TextField({ min: 1, max: 20 }) thread: string;
}

class FerruleDto extends KitBodyDto {
  @Length() bore: DimensionDto;
  @Length() outsideDiameter: DimensionDto;
  @Length() length: DimensionDto;
  @Length() tangDiameter: DimensionDto;
  @Length() tangLength: DimensionDto;
  @ChoiceField(GLUES) glue: GlueKind;
}

export class NewKitDto {
  @CoreType('NewKit')
  @ObjectField(() => KitBodyDto, {
    kinds: { 'tapped-insert': TappedInsertDto, 'self-tapping-stud': SelfTappingDto, ferrule: FerruleDto },
  })
  kit: KitBodyDto;
}

export class KitListView {
  @CoreType('Kit', { list: true }) kits: Kit[];
}

export class KitView {
  @CoreType('Kit') kit: Kit;
}
