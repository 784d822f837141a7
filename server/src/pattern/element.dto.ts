import type { Element, ElementKind } from '@compas/core';
import { ChoiceField, NumberField, ObjectField, TextField } from '../edge/fields.js';
import { DimensionDto } from './dimension.dto.js';

type Of<K extends ElementKind> = Extract<Element, { kind: K }>;

const KINDS: ElementKind[] = ['cylinder', 'taper', 'bead', 'cove', 'shoulder', 'v-groove', 'sphere', 'arc'];
const Length = () => ObjectField(() => DimensionDto);

/** What every element has; an element of an unknown kind is read as this, and refused for its kind. */
export class ElementDto {
  @ChoiceField(KINDS) kind: ElementKind;
  @TextField({ min: 1, max: 40 }) id: string;
  @TextField({ max: 60, optional: true }) name?: string;
  @NumberField({ min: 0.01, max: 20, optional: true }) tolerance?: number;
}

class CylinderDto extends ElementDto implements Of<'cylinder'> {
  declare kind: 'cylinder';
  @Length() length: DimensionDto;
}
class TaperDto extends ElementDto implements Of<'taper'> {
  declare kind: 'taper';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
}
class BeadDto extends ElementDto implements Of<'bead'> {
  declare kind: 'bead';
  @Length() length: DimensionDto;
  @Length() crown: DimensionDto;
}
class CoveDto extends ElementDto implements Of<'cove'> {
  declare kind: 'cove';
  @Length() length: DimensionDto;
  @Length() bottom: DimensionDto;
}
class ShoulderDto extends ElementDto implements Of<'shoulder'> {
  declare kind: 'shoulder';
  @Length() endDiameter: DimensionDto;
}
class VGrooveDto extends ElementDto implements Of<'v-groove'> {
  declare kind: 'v-groove';
  @Length() length: DimensionDto;
  @Length() depth: DimensionDto;
}
class SphereDto extends ElementDto implements Of<'sphere'> {
  declare kind: 'sphere';
  @Length() diameter: DimensionDto;
  @Length() endDiameter: DimensionDto;
}
class ArcDto extends ElementDto implements Of<'arc'> {
  declare kind: 'arc';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @Length() radius: DimensionDto;
  @ChoiceField(['out', 'in']) side: 'out' | 'in';
}

/** Which form an element has, by its kind. */
export const ELEMENT_KINDS = {
  cylinder: CylinderDto,
  taper: TaperDto,
  bead: BeadDto,
  cove: CoveDto,
  shoulder: ShoulderDto,
  'v-groove': VGrooveDto,
  sphere: SphereDto,
  arc: ArcDto,
} satisfies Record<ElementKind, unknown>;
