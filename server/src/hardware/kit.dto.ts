import { ApiProperty } from '@nestjs/swagger';
import type { ClassConstructor } from 'class-transformer';
import { GLUE_KINDS, type Kit, KIT_KIND_LIST, KIT_KINDS, type KitKind } from '@compas/core';
import { ChoiceField, CoreType, NumberField, ObjectField, TextField } from '../edge/fields.js';
import { DimensionDto } from '../edge/dimension.dto.js';

class KitBodyDto {
  @ChoiceField(KIT_KIND_LIST) kind: KitKind;
  @TextField({ min: 1, max: 80 }) name: string;
  @NumberField({ min: 0, max: 100_000, whole: true }) onHand: number;
  @NumberField({ min: 0, max: 100_000_000, whole: true, optional: true }) cost?: number;
  @NumberField({ min: 0, max: 100_000, whole: true, optional: true }) reorderAt?: number;
}

/** The form of one kind: its fields are those of the core's table of kinds, so that neither can fall behind. */
function formOf(kind: KitKind): ClassConstructor<KitBodyDto> {
  const { lengths, texts = [], glue } = KIT_KINDS[kind];
  class OfItsKind extends KitBodyDto {}
  const field = (key: string, decorate: PropertyDecorator) => decorate(OfItsKind.prototype, key);
  for (const { key, optional } of lengths)
    field(
      key,
      ObjectField(() => DimensionDto, { optional: optional === true }),
    );
  for (const { key, choices } of texts)
    field(key, choices ? ChoiceField(choices) : TextField({ min: 1, max: 20 }));
  if (glue) field('glue', ChoiceField(GLUE_KINDS));
  return OfItsKind;
}

const FORMS = Object.fromEntries(KIT_KIND_LIST.map((kind) => [kind, formOf(kind)]));

export class NewKitDto {
  @CoreType('NewKit')
  @ObjectField(() => KitBodyDto, { kinds: FORMS })
  kit: KitBodyDto;
}

export class ChangeKitDto extends NewKitDto {
  /** version that was edited; another one in between is a conflict */
  @NumberField({ min: 1, max: 1_000_000, whole: true }) basedOn: number;
}

export class HeldKitView {
  @CoreType('Kit') kit: Kit;
  @ApiProperty() version: number;
}

export class KitListView {
  @ApiProperty({ type: [HeldKitView] }) kits: HeldKitView[];
}

export class KitView {
  @CoreType('Kit') kit: Kit;
}
