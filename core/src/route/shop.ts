import type { MaterialClass } from '../material/index.js';
import type { Body, DecorationKind, PartEnd, Placement } from '../pattern/index.js';

/** Kind, subject and where needed the pass of an operation: `size:e7`, `hold:chuck:far`. */
export type OpId = string;

/** A surface by what made it: the stock's own, a cut, a hole, a flat, or hardware that is fixed in the wood. */
export interface SurfaceRef {
  of: 'stock' | 'skin' | 'hole' | 'flat' | 'fixed';
  id: string;
  /** stretch along the wood's frame, mm */
  x0: number;
  x1: number;
}

/** How a surface was treated. */
export type Treatment = 'sanded' | 'burnished' | 'textured' | 'burnt' | 'dyed' | 'coated';

/** What each drawn decoration is on the wood. */
export const MADE_AS: Record<DecorationKind, Treatment> = {
  'burnt line': 'burnt',
  texture: 'textured',
  colour: 'dyed',
};

export interface Treated {
  on: SurfaceRef;
  how: Treatment;
  by: OpId;
}

/** Hardware that sits in the wood, and where it is met from. */
export interface Fixed {
  id: string;
  kitId?: string;
  at: Placement;
  by: OpId;
}

/** Where a drawn piece lies in its wood, whether it has been cut out or not. */
export interface PieceIn {
  partId: string;
  n: number;
  at: Placement;
}

/** What of its material decides what it bears, and what it weighs: g/cm³. */
export interface MadeOf {
  class: MaterialClass;
  density: number;
}

/** One lump of wood. Its frame runs from its sawn end and never moves. */
export interface Wood {
  id: string;
  body: Body;
  pieces: PieceIn[];
  fixed: Fixed[];
  treated: Treated[];
  /** what made it: sawn, parted or joined */
  by: OpId;
  /** surfaces that do not run true to the axis in use; the stock's own never does */
  untrue: string[];
  moisture: 'green' | 'resting' | 'dry';
  /** plans before engine 14 have none: what carries is not asked there */
  madeOf?: MadeOf;
}

/** What each way of taking hold can do: hold alone, or only together with the other end. */
export const GRIPS = {
  'spur centre': 'drives',
  'ring centre': 'drives',
  'live centre': 'supports',
  jaws: 'holds',
  'jaws in a recess': 'holds',
  thread: 'holds',
  collet: 'holds',
  screw: 'holds',
  'tape disc': 'holds',
  'jam chuck': 'holds',
  'wooden jaws': 'holds',
  cup: 'drives',
  cord: 'drives',
  dowel: 'holds',
  'through rod': 'holds',
  'friction face': 'drives',
  'offset plate': 'holds',
  vise: 'holds',
  'fed by hand': 'holds',
  hands: 'supports',
} as const satisfies Record<string, 'drives' | 'holds' | 'supports'>;
type GripKind = keyof typeof GRIPS;

export interface Grip {
  by: GripKind;
  words: string;
  on: SurfaceRef;
}

/** What is on the lathe, or in the vise of the press: by which grips, about which axis of its frame. */
export interface Held {
  wood: string;
  place: 'lathe' | 'drill press' | 'bench';
  axis: Placement;
  drive: Grip;
  tail: Grip | null;
  by: OpId;
}

/** What a wait keeps from being done. */
export type Purpose = 'handle' | 'turn' | 'coat' | 'use';

/** Something that cures or dries: on what, since which operation, minutes until each purpose. */
export interface Waiting {
  wood: string;
  by: OpId;
  what: string;
  minutes: Partial<Record<Purpose, number>>;
}

/** All woods on the bench, what is held, and what still waits. */
export interface Shop {
  woods: Wood[];
  held: Held | null;
  waits: Waiting[];
}

export const EMPTY_SHOP: Shop = { woods: [], held: null, waits: [] };

export const woodOf = (shop: Shop, id: string): Wood | undefined => shop.woods.find((w) => w.id === id);

/** An end or a flat that lengths are measured from, and that a person can lay a rule on. */
export type Datum =
  /** what stands now at the low or the high end of the wood's frame, sawn or faced */
  | { kind: 'end'; side: 'low' | 'high' }
  /** an end of a piece as it is drawn, once it has been cut; the side of the wood it looks to */
  | { kind: 'finished'; partId: string; n: number; end: PartEnd; side: 'low' | 'high' }
  /** a flat cut across another axis, such as the rim of a bowl */
  | { kind: 'flat'; id: string };
