import {
  DIMENSION_KEYS,
  ELEMENT_KIND_NAMES,
  fieldsOf,
  type DimensionKey,
  type ElementKind,
  type FairPoint,
  type Field,
} from '@compas/core';
import {
  BooleanField,
  ChoiceField,
  ChoicesField,
  ListField,
  NumberField,
  ObjectField,
  TextField,
} from '../edge/fields.js';
import { DimensionDto } from '../edge/dimension.dto.js';

/** What every element has; an element of an unknown kind is read as this, and refused for its kind. */
export class ElementDto {
  @ChoiceField(ELEMENT_KIND_NAMES) kind: ElementKind;
  @TextField({ min: 1, max: 40 }) id: string;
  @TextField({ max: 60, optional: true }) name?: string;
  @NumberField({ min: 0.01, max: 20, optional: true }) tolerance?: number;
  @ChoicesField(DIMENSION_KEYS, { optional: true }) held?: DimensionKey[];
  @BooleanField({ optional: true }) takesUp?: boolean;
}

class FairPointDto implements FairPoint {
  @ObjectField(() => DimensionDto) at: DimensionDto;
  @ObjectField(() => DimensionDto) diameter: DimensionDto;
}

type ElementClass = new () => ElementDto;

/** Which form an element has, by its kind: what the table of kinds asks for. */
export const ELEMENT_FORMS = Object.fromEntries(
  ELEMENT_KIND_NAMES.map((kind) => [kind, class extends ElementDto {}]),
) as Record<ElementKind, ElementClass>;

// only when every form is there can a row name them
for (const kind of ELEMENT_KIND_NAMES)
  for (const [name, field] of fieldsOf(kind)) rulesOf(field)(ELEMENT_FORMS[kind].prototype as object, name);

function rulesOf(field: Field): PropertyDecorator {
  const optional = field.usual !== undefined;
  switch (field.is) {
    case 'dimension':
      return ObjectField(() => DimensionDto, { optional });
    case 'choice':
      return ChoiceField(Object.keys(field.words), { optional });
    case 'count':
      return NumberField({ min: field.least, max: field.most, whole: true, optional });
    case 'points':
      return ListField(() => FairPointDto, { max: field.most });
    case 'elements':
      return ListField(() => ElementDto, { max: field.most, kinds: ELEMENT_FORMS });
  }
}
