import type { DimensionKey, Element, ElementKind, ElementOf, FairPoint, TenonFit } from '@compas/core';
import { DIMENSION_WORDS, TENON_FITS } from '@compas/core';
import {
  BooleanField,
  ChoiceField,
  ChoicesField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { DimensionDto } from './dimension.dto.js';

const DIMENSION_KEYS = Object.keys(DIMENSION_WORDS) as DimensionKey[];
const SIDES = ['out', 'in'] as const;
const Length = () => ObjectField(() => DimensionDto);
const MaybeLength = () => ObjectField(() => DimensionDto, { optional: true });

/** What every element has; an element of an unknown kind is read as this, and refused for its kind. */
export class ElementDto {
  @ChoiceField([
    'cylinder',
    'taper',
    'bead',
    'cove',
    'ogee',
    'shoulder',
    'fillet',
    'v-groove',
    'sphere',
    'balloon',
    'oval',
    'arc',
    'square',
    'tenon',
    'fair',
    'repeat',
  ] satisfies ElementKind[])
  kind: ElementKind;
  @TextField({ min: 1, max: 40 }) id: string;
  @TextField({ max: 60, optional: true }) name?: string;
  @NumberField({ min: 0.01, max: 20, optional: true }) tolerance?: number;
  @ChoicesField(DIMENSION_KEYS, { optional: true }) held?: DimensionKey[];
  @BooleanField({ optional: true }) takesUp?: boolean;
}

class CylinderDto extends ElementDto implements ElementOf<'cylinder'> {
  declare kind: 'cylinder';
  @Length() length: DimensionDto;
}
class TaperDto extends ElementDto implements ElementOf<'taper'> {
  declare kind: 'taper';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
}
class BeadDto extends ElementDto implements ElementOf<'bead'> {
  declare kind: 'bead';
  @Length() length: DimensionDto;
  @Length() crown: DimensionDto;
  @ChoiceField(['round', 'ellipse'], { optional: true }) form?: 'round' | 'ellipse';
  @MaybeLength() fillet?: DimensionDto;
}
class CoveDto extends ElementDto implements ElementOf<'cove'> {
  declare kind: 'cove';
  @Length() length: DimensionDto;
  @Length() bottom: DimensionDto;
}
class OgeeDto extends ElementDto implements ElementOf<'ogee'> {
  declare kind: 'ogee';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @MaybeLength() turn?: DimensionDto;
  @ChoiceField(SIDES) side: 'out' | 'in';
}
class ShoulderDto extends ElementDto implements ElementOf<'shoulder'> {
  declare kind: 'shoulder';
  @Length() endDiameter: DimensionDto;
}
class FilletDto extends ElementDto implements ElementOf<'fillet'> {
  declare kind: 'fillet';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
}
class VGrooveDto extends ElementDto implements ElementOf<'v-groove'> {
  declare kind: 'v-groove';
  @Length() length: DimensionDto;
  @Length() depth: DimensionDto;
}
class SphereDto extends ElementDto implements ElementOf<'sphere'> {
  declare kind: 'sphere';
  @Length() diameter: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @MaybeLength() blend?: DimensionDto;
}
class BalloonDto extends ElementDto implements ElementOf<'balloon'> {
  declare kind: 'balloon';
  @Length() length: DimensionDto;
  @Length() diameter: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @ChoiceField(['first', 'last']) ball: 'first' | 'last';
}
class OvalDto extends ElementDto implements ElementOf<'oval'> {
  declare kind: 'oval';
  @Length() longAxis: DimensionDto;
  @Length() diameter: DimensionDto;
  @Length() endDiameter: DimensionDto;
}
class ArcDto extends ElementDto implements ElementOf<'arc'> {
  declare kind: 'arc';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @Length() radius: DimensionDto;
  @ChoiceField(SIDES) side: 'out' | 'in';
}
class SquareDto extends ElementDto implements ElementOf<'square'> {
  declare kind: 'square';
  @Length() length: DimensionDto;
  @Length() across: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @ChoiceField(['square', 'rolled']) shoulder: 'square' | 'rolled';
  @MaybeLength() roll?: DimensionDto;
}
class TenonDto extends ElementDto implements ElementOf<'tenon'> {
  declare kind: 'tenon';
  @Length() length: DimensionDto;
  @Length() hole: DimensionDto;
  @ChoiceField(TENON_FITS) fit: TenonFit;
}
class FairPointDto implements FairPoint {
  @Length() at: DimensionDto;
  @Length() diameter: DimensionDto;
}
class FairDto extends ElementDto implements ElementOf<'fair'> {
  declare kind: 'fair';
  @Length() length: DimensionDto;
  @Length() endDiameter: DimensionDto;
  @ListField(() => FairPointDto, { max: 100 }) points: FairPointDto[];
}
class RepeatDto extends ElementDto {
  declare kind: 'repeat';
  @NumberField({ min: 1, max: 200, whole: true }) times: number;
  // the kinds are known only when the class is made, and a row holds no rows
  elements: Element[];
}

/** Which form an element has, by its kind. */
export const ELEMENT_KINDS = {
  cylinder: CylinderDto,
  taper: TaperDto,
  bead: BeadDto,
  cove: CoveDto,
  ogee: OgeeDto,
  shoulder: ShoulderDto,
  fillet: FilletDto,
  'v-groove': VGrooveDto,
  sphere: SphereDto,
  balloon: BalloonDto,
  oval: OvalDto,
  arc: ArcDto,
  square: SquareDto,
  tenon: TenonDto,
  fair: FairDto,
  repeat: RepeatDto,
} satisfies Record<ElementKind, unknown>;

ListField(() => ElementDto, { max: 20, kinds: ELEMENT_KINDS })(RepeatDto.prototype, 'elements');
