import type { Material } from '../material/index.js';
import { keysOf, type Dimension, type Schools, type Units } from '../measure/index.js';
import type { Habit } from './ownWay.js';

/** What turns the work. A treadle or pole lathe has no rpm: plans leave speeds out. */
export type Drive =
  | { kind: 'pulleys'; speeds: number[] }
  | { kind: 'range'; slowest: number; fastest: number }
  | { kind: 'treadle' };

/** How each kind of drive is said. */
export const DRIVE_KINDS: Record<Drive['kind'], string> = {
  pulleys: 'motor with belt steps',
  range: 'motor, any speed in a range',
  treadle: 'treadle or pole',
};

export interface Lathe {
  name: string;
  drive: Drive;
  /** largest diameter that passes over the bed, mm */
  swing: number;
  /** longest work between centres, mm */
  betweenCentres: number;
  /** as marked on the spindle, e.g. "M33 × 3.5" */
  spindleThread: string;
  /** taper of headstock and tailstock, e.g. "MT2" */
  taper: string;
  /** largest diameter that passes over the banjo of the rest, mm */
  overRest?: number;
  /** how far the tailstock's quill goes out, mm */
  quillTravel?: number;
}

export const CENTRE_KINDS = ['spur', 'ring', 'stepped', 'live'] as const;
export type CentreKind = (typeof CENTRE_KINDS)[number];

export interface Centre {
  id: string;
  name: string;
  kind: CentreKind;
  diameter: number;
  /** thread or taper that it wants of the lathe, such as M33 × 3.5 or MT2 */
  fits?: string;
}

export interface Jaws {
  id: string;
  name: string;
  /** diameters the jaws close on from outside, mm; they hold best where they are just open */
  gripLeast: number;
  gripBest: number;
  gripMost: number;
  /** depth of the jaws, mm */
  depth: number;
  /** recesses they open into, mm: nearly closed they hold best there too */
  recessLeast?: number;
  recessMost?: number;
}

export interface Chuck {
  id: string;
  name: string;
  fastest: number;
  jaws: Jaws[];
  /** thread or taper that it wants of the lathe, such as M33 × 3.5 or MT2 */
  fits?: string;
}

export interface Mandrel {
  id: string;
  name: string;
  /** thread or size that it takes, matched with the kit's */
  takes: string;
  /** how far it stands out of the spindle, mm */
  reach: number;
  /** how far its thread goes into the work, mm; not known when not entered */
  threadLength?: number;
  /** thread or taper that it wants of the lathe, such as M33 × 3.5 or MT2 */
  fits?: string;
}

export const FIXTURE_KINDS = [
  'dowel',
  'collet',
  'screw',
  'tape plate',
  'friction pair',
  'cup',
  'jam chuck',
  'wooden jaws',
  'through mandrel',
  'bushing',
  'cone bushing',
  'spacer',
  'washer',
  'offset plate',
  'drill chuck',
  'draw bar',
  'steady',
] as const;
export type FixtureKind = (typeof FIXTURE_KINDS)[number];

/** What holds, fills or steadies beside centres, chucks and mandrels. Lengths mm. */
export interface Fixture {
  id: string;
  name: string;
  kind: FixtureKind;
  /** what it grips, fits into or is across; of a cone bushing its wide end */
  diameter: number;
  /** what a bushing or a spacer slides on, mm; not known when not entered */
  bore?: number;
  /** what it takes up along the axis; of a through mandrel what fits on it; of a screw what enters the wood */
  length: number;
  /** thread or taper that it wants of the lathe, such as M33 × 3.5 or MT2 */
  fits?: string;
}

export const BIT_KINDS = ['twist', 'brad point', 'flat-bottomed', 'spade', 'step'] as const;
export type BitKind = (typeof BIT_KINDS)[number];

export interface Bit {
  id: string;
  kind: BitKind;
  diameter: Dimension;
  /** usable length from the point, mm */
  length: number;
  /** of a step bit: its thinner leading part, and how long that is, mm */
  pilot?: Dimension;
  pilotLength?: number;
  /** how far its point stands before its cutting edges, when it was measured, mm */
  point?: number;
}

export const GAUGE_KINDS = ['slot', 'open wrench', 'go and no-go', 'calliper'] as const;
export type GaugeKind = (typeof GAUGE_KINDS)[number];

export interface Gauge {
  id: string;
  name: string;
  kind: GaugeKind;
  /** a fixed gauge has one size, the one that goes over; a calliper is set */
  size?: Dimension;
  /** of a go and no-go gauge: the size that must not go over */
  noGo?: Dimension;
}

export const TOOL_KINDS = ['roughing gouge', 'spindle gouge', 'skew', 'parting tool', 'scraper'] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

export interface Tool {
  id: string;
  name: string;
  kind: ToolKind;
  width: number;
  /** radius of the nose, mm: a cove cannot be tighter */
  nose?: number;
}

/** Grit numbers of two scales mean different grains. */
export const GRIT_SCALES = ['P', 'CAMI'] as const;
export type GritScale = (typeof GRIT_SCALES)[number];

export interface Abrasive {
  id: string;
  grit: number;
  scale: GritScale;
}

export const FINISH_KINDS = ['friction polish', 'oil', 'lacquer', 'wax', 'burnish'] as const;
export type FinishKind = (typeof FINISH_KINDS)[number];

export interface Finish {
  id: string;
  name: string;
  kind: FinishKind;
  coats: number;
}

/** Glues by the names they are kept under, as they are called. */
export const GLUE_WORDS = {
  epoxy: 'epoxy',
  cyanoacrylate: 'cyanoacrylate',
  'wood glue': 'wood glue',
  foaming: 'foaming polyurethane glue',
} as const;
export const GLUE_KINDS = keysOf(GLUE_WORDS);
export type GlueKind = (typeof GLUE_KINDS)[number];

export interface Glue {
  id: string;
  name: string;
  kind: GlueKind;
  /** from mixing until it may be turned, minutes */
  cureMinutes: number;
}

/** One span of work in a week: weekday 1 is Monday, times are minutes after midnight. */
export interface WorkingWindow {
  weekday: number;
  from: number;
  to: number;
}

export interface WorkingHours {
  timeZone: string;
  windows: WorkingWindow[];
}

/** Allowances and limits of the shop that are habits rather than tools. */
export interface Allowances {
  /** taken off the diameter to get round and clean, mm */
  skim: number;
  /** how far a centre is off, mm */
  centring: number;
  wasteDrive: number;
  wasteTail: number;
  parting: number;
  /** thinnest wall that may be left round a hole, mm */
  leastWall: number;
  /** glue or clearance room beyond the longest thing in a hole, mm */
  holeRoom: number;
}

/** rpm × diameter (mm) at the low and high end of the band of school A. */
export interface SpeedBand {
  low: number;
  high: number;
}

/** How stock is sawn here. Lengths mm. */
export interface Sawing {
  ripKerf: number;
  crossKerf: number;
  /** planed off each face and edge of a rough board */
  surfacing: number;
  /** cut off each end of a new board, square or log, where it has checked */
  endTrim: number;
  /** an offcut is kept from this length and this width on */
  leastOffcutLength: number;
  leastOffcutWidth: number;
  /** stock may be this much thicker than the blank and is used as it is */
  leaveOversize: number;
  /** how far a split runs off its line over a metre */
  splitDrift: number;
  /** offcuts keep a share of what their board cost; otherwise the blanks pay for all of it */
  offcutsCarryCost?: boolean;
}

/** Air that wood dries in: °C and relative humidity, %. */
export interface Air {
  temperature: number;
  humidity: number;
}

/** The copying attachment: what follows the template, and what cuts. Radii mm, 0 for a knife edge. */
export interface Copying {
  stylus: number;
  cutter: number;
  /** width that the cutter of templates and gauges takes away, mm */
  templateKerf: number;
}

/** All that a workshop owns and does by habit; planning chooses from it. */
export interface Workshop {
  schema: 1;
  units: Units;
  schools: Schools;
  lathe: Lathe;
  centres: Centre[];
  chucks: Chuck[];
  mandrels: Mandrel[];
  bits: Bit[];
  gauges: Gauge[];
  tools: Tool[];
  abrasives: Abrasive[];
  finishes: Finish[];
  glues: Glue[];
  hours: WorkingHours;
  allowances: Allowances;
  speedBand: SpeedBand;
  /** materials that the workshop added or knows better than the library */
  materials?: Material[];
  sawing?: Sawing;
  air?: Air;
  fixtures?: Fixture[];
  copying?: Copying;
  /** three letters; what stock is paid in */
  currency?: string;
  /** what is done here otherwise than usual */
  ways?: Habit[];
}
