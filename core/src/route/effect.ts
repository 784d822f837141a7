import type { Drilled, Flat, Placement, Skin } from '../pattern/index.js';
import type { Fixed, Held, PieceIn, SurfaceRef, Treated, Waiting, Wood } from './shop.js';

/** A ring as it is undercut: from where to where along the axis, and its inside radius. mm */
interface FreeRing {
  x0: number;
  x1: number;
  r: number;
}

/** What an operation does to the shop, as plain data; nothing in it knows the drawing. */
export type Effect =
  | { do: 'stock'; wood: Wood }
  /** what is not turned is carved by hand */
  | { do: 'cut'; wood: string; skin: Skin; through: 'nothing' | 'treated'; turning: boolean; lightly?: true }
  /** what is sawn is held by fence and cradle */
  | { do: 'flat'; wood: string; flat: Flat; sawn?: true }
  | { do: 'drill'; wood: string; hole: Drilled }
  /** both sides of a plane go on as woods of their own; a side that is null is waste */
  | {
      do: 'split';
      wood: string;
      at: Placement;
      into: [low: string | null, high: string | null];
      lightly?: true;
    }
  /** a ring comes free round the wood it is turned from; both keep their frame */
  | { do: 'free'; wood: string; axis: Placement; ring: FreeRing; into: string; piece: PieceIn }
  /** `enters` goes into a hole that must be there */
  | { do: 'fix'; wood: string; fixed: Fixed; enters?: true }
  /** another piece like it is fetched: its parts lie in it as they do in the first */
  | { do: 'another'; like: string; wood: string; n: number }
  | { do: 'join'; into: string; of: { wood: string; at: Placement }[] }
  | { do: 'hold'; held: Held | null; untrue: boolean }
  /** `turning` is done while it spins */
  | { do: 'treat'; wood: string; treated: Treated; takes: number; turning: boolean }
  /** surfaces are felt, measured or tried against something; the wood stays as it is */
  | { do: 'look'; wood: string; on: SurfaceRef[] }
  | { do: 'wait'; wait: Waiting }
  | { do: 'dry'; wood: string; moisture: Wood['moisture'] };
