import type { Dimension } from '../../measure/index.js';
import type { ToolKind } from '../../workshop/index.js';
import type { Element, ElementBase, ElementKind, ElementOf, FairPoint } from '../element.js';
import type { Outline, Shape } from '../shape.js';

/** A dimension; one that need not be given says what it begins at when it is, mm. */
export interface DimensionField {
  is: 'dimension';
  usual?: number;
  /** where the usual words for it would mislead */
  words?: string;
}

/** One of a few ways, each with the words it is chosen by; one that need not be given says which is usual. */
interface ChoiceField<T extends string = string> {
  is: 'choice';
  label: string;
  words: Readonly<Record<T, string>>;
  usual?: T;
}

interface CountField {
  is: 'count';
  label: string;
  least: number;
  most: number;
  usual?: number;
}

/** Points of a curve, so many at most. */
interface PointsField {
  is: 'points';
  most: number;
  usual?: never;
}

/** Elements of its own, so many at most. */
interface ElementsField {
  is: 'elements';
  most: number;
  usual?: never;
}

export type Field = DimensionField | ChoiceField | CountField | PointsField | ElementsField;

type OwnKey<K extends ElementKind> = Exclude<keyof ElementOf<K>, keyof ElementBase | 'kind'>;

type FieldFor<T> = [T] extends [Dimension]
  ? DimensionField
  : [T] extends [string]
    ? ChoiceField<T>
    : [T] extends [number]
      ? CountField
      : [T] extends [FairPoint[]]
        ? PointsField
        : [T] extends [Element[]]
          ? ElementsField
          : never;

/** What may be left out says what is usual; what must be given says nothing. */
type Presence<T> = undefined extends T
  ? { usual: NonNullable<T> extends Dimension ? number : NonNullable<T> }
  : { usual?: never };

/** Every field of a kind, in the order a turner is asked for them. */
type FieldsOf<K extends ElementKind> = {
  readonly [P in OwnKey<K>]-?: FieldFor<NonNullable<ElementOf<K>[P]>> & Presence<ElementOf<K>[P]>;
};

/** The size that an element has where it stands, mm. */
export interface Standing {
  length: number;
  startDiameter: number;
  endDiameter: number;
  /** thickest and thinnest place inside, where that lies beyond both ends */
  crown?: number;
  valley?: number;
}

/** Compiles elements that follow each other; handed in, so that a row can hold elements of every kind. */
export type Chain = (elements: readonly Element[], startDiameter: number) => Outline;

/** Mirrors elements that follow each other; handed in for a row. */
type MirrorAll = (elements: readonly Element[], startDiameter: number) => Element[];

/** Everything that is to be known of one kind of element. */
export interface KindRow<K extends ElementKind = ElementKind> {
  /** the words a turner chooses it by */
  words: string;
  fields: FieldsOf<K>;
  /** as it would usually look on stock of diameter d, mm: small enough to fit, large enough to be seen */
  fresh(id: string, d: number): ElementOf<K>;
  /** its lines and arcs from (x, r), mm */
  shape(element: ElementOf<K>, x: number, r: number, chain: Chain): Shape;
  /** turned end for end: it ends where it began; `all` mirrors elements that it holds */
  mirrored(element: ElementOf<K>, standing: Standing, all: MirrorAll): Element;
  /** highest or lowest places inside it that a turner sizes */
  sized: readonly ('crest' | 'bottom')[];
  /** its lowest place gets a notch of its own on the stick */
  notched?: true;
  /** the line is meant to break here */
  breaks?: true;
  /** a piece of it with the given size, for kinds that can be cut in two and stay what they are */
  piece?(element: ElementOf<K>, standing: Standing): Element;
  /** whether it and the one after it can be one, and that one */
  joins?(element: ElementOf<K>, next: Element): boolean;
  joined?(element: ElementOf<K>, standing: Standing): Element;
  /** tools that make it, best first */
  tools: readonly [ToolKind, ...ToolKind[]];
  /** how it is cut, said to the person at the lathe */
  cut(element: ElementOf<K>, name: string, standing: Standing): string;
}
