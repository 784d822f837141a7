import type { DimensionKey, Element, ElementKind } from '../element.js';
import { balloon, oval, sphere } from './ball.js';
import { arc, fair, fillet, ogee } from './curve.js';
import type { DimensionField, Field, KindRow } from './kindRow.js';
import { repeat } from './repeat.js';
import { bead, cove } from './ridge.js';
import { square } from './square.js';
import { cylinder, shoulder, taper } from './straight.js';
import { tenon } from './tenon.js';
import { vGroove } from './vGroove.js';

/** The kinds of elements, in the order they are offered: all that is to be known of each. */
export const ELEMENT_KINDS: { readonly [K in ElementKind]: KindRow<K> } = {
  cylinder,
  taper,
  bead,
  cove,
  ogee,
  shoulder,
  fillet,
  'v-groove': vGroove,
  sphere,
  balloon,
  oval,
  arc,
  fair,
  square,
  tenon,
  repeat,
};

export const ELEMENT_KIND_NAMES = Object.keys(ELEMENT_KINDS) as ElementKind[];

/** The row of an element's kind. */
export const kindOf = ({ kind }: Pick<Element, 'kind'>): KindRow => ELEMENT_KINDS[kind];

/** A new element as it would usually look on stock of diameter d, mm; the turner changes it from there. */
export const newElement = (kind: ElementKind, id: string, d: number): Element =>
  ELEMENT_KINDS[kind].fresh(id, d);

/** The fields of a kind by name, in the order a turner is asked for them. */
export const fieldsOf = (kind: ElementKind): [string, Field][] =>
  Object.entries<Field>(ELEMENT_KINDS[kind].fields);

const isDimension = (entry: [string, Field]): entry is [DimensionKey, DimensionField] =>
  entry[1].is === 'dimension';

/** The dimensions of a kind by name, in the order they are asked. */
export const dimensionFields = (kind: ElementKind): [DimensionKey, DimensionField][] =>
  fieldsOf(kind).filter(isDimension);
