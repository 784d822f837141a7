import type { Kit } from '../hardware/index.js';
import type { Material } from '../material/index.js';
import type { Hole, Outline, Part, PartEnd } from '../pattern/index.js';
import type { Centre, CentreKind, Workshop } from '../workshop/index.js';
import type { Lack } from './lack.js';
import type { StackItem } from './stack.js';

export const MOUNT_KINDS = [
  'mandrel',
  'between centres',
  'chuck',
  'recess',
  'spur drive',
  'friction pair',
  'through mandrel',
  'collet',
  'dowel',
  'glued shaft',
  'screw',
  'tape plate',
  'cups',
  'shifted centre',
  'offset plate',
] as const;
export type MountKind = (typeof MOUNT_KINDS)[number];

/** Whether what drives in a way of holding holds alone, so that the tail may go away. */
export const HOLDS_ALONE: Record<MountKind, boolean> = {
  mandrel: true,
  'between centres': false,
  chuck: true,
  recess: true,
  'spur drive': false,
  'friction pair': false,
  'through mandrel': true,
  collet: true,
  dowel: true,
  'glued shaft': true,
  screw: true,
  'tape plate': true,
  cups: false,
  'shifted centre': false,
  'offset plate': true,
};

/** Ways of holding in which the work can be turned about a further axis. */
export const TURNS_FURTHER: ReadonlySet<MountKind> = new Set<MountKind>([
  'between centres',
  'spur drive',
  'shifted centre',
  'offset plate',
]);

/** What a live centre presses into a face, across, and so much of wood round it; mm, bench practice, typical. */
const BEARING = 6;
const ROUND_BEARING = 3;

/** Waste that a centre sits in is never turned thinner than so, mm. */
export const STUB = BEARING + 2 * ROUND_BEARING;

/** Wood between centres is never roughed thinner than so: a stub bears the live centre, and what drives sits on wood all round. mm */
export const leastRound = ({ bears = 0 }: Pick<Mount, 'bears'>): number => Math.max(STUB, bears);

/** One sensible way to hold the work. Lengths mm. */
export interface Mount {
  kind: MountKind;
  label: string;
  why: string;
  headstock: string;
  /** null when nothing supports the tail */
  tailstock: string | null;
  /** which end of the part sits at the headstock */
  headstockEnd: 'reference' | 'far';
  wasteDrive: number;
  wasteTail: number;
  /** what the fixture takes up between spindle and work */
  reach: number;
  /** what drives sits on so much wood, across; plans made before that was looked at have none */
  bears?: number;
  /** a tenon to turn on the waste, for a chuck */
  tenon: { diameter: number; length: number } | null;
  /** things this way needs that the workshop does not own */
  missing: string[];
  /** the same as they would be listed; plans made before they could be added in place have none */
  lacks?: Lack[];
  /** fastest the fixture may turn, rpm; Infinity when it sets no limit */
  fastest: number;
  /** what lies between the spindle and the work, in order */
  stack?: StackItem[];
  /** what must be on the lathe beside the two ends: washers, spacers, draw bar */
  fixtures?: string[];
  /** how it is held for its other end */
  reversal?: string;
  /** a face held by tape alone: across, mm */
  taped?: number;
  /** what must fit the lathe's spindle thread or taper */
  fits?: LatheFit[];
}

/** Something that goes on or into the spindle or the tailstock, and the thread or taper it wants. */
export interface LatheFit {
  what: string;
  fits: string;
}

/** A finished part that the work is glued onto, by which both can be held. mm */
export interface StandingShaft {
  name: string;
  end: PartEnd;
  through: boolean;
  diameter: number;
  x0: number;
  x1: number;
}

export interface MountWish {
  part: Part;
  outline: Outline;
  kit: Kit | undefined;
  kitEnd: PartEnd | undefined;
  mandrelThread: string | undefined;
  /** holes as they are drilled, those of the hardware among them */
  holes?: readonly Hole[];
  /** those of them that are drilled when it has come off, and run through no waste */
  drilledLast?: readonly Hole[];
  material?: Material;
  /** another part that is glued in before this one is turned, and stands out of it */
  shaft?: StandingShaft;
}

/** A way that could be taken, and how well it suits: less is better. */
interface Proposal {
  mount: Mount;
  suits: number;
}

/** A way of holding looks at the work and says whether and how well it would serve. */
export type WayOfHolding = (wish: MountWish, workshop: Workshop) => Proposal[];

/** A mount with nothing unusual about it. */
export const plainMount = (
  mount: Pick<Mount, 'kind' | 'label' | 'why' | 'headstock'> & Partial<Mount>,
): Mount => ({
  tailstock: null,
  headstockEnd: 'reference',
  wasteDrive: 0,
  wasteTail: 0,
  reach: 0,
  tenon: null,
  missing: [],
  fastest: Infinity,
  ...mount,
});

/** How it is held, to go on a sentence with: names of threads keep their capitals. */
export const heldHow = ({ label }: Pick<Mount, 'label'>): string =>
  label.charAt(0).toLowerCase() + label.slice(1);

/** What of the equipment used says what it wants of the lathe. */
export const fitsOf = (...used: ({ name: string; fits?: string } | undefined)[]): { fits?: LatheFit[] } => {
  const fits = used.flatMap((u) => (u?.fits ? [{ what: u.name, fits: u.fits }] : []));
  return fits.length > 0 ? { fits } : {};
};

/** A drilled end goes to the tail: its hole is measured from the finished end, and no waste may hide it. */
export const drilledEnd = ({ part, kit, kitEnd }: MountWish): PartEnd | undefined =>
  kit ? kitEnd : part.holes[0]?.from;

/** Which end sits at the headstock when the drilled one is to be at the tail. */
export const awayFromHole = (wish: MountWish): PartEnd =>
  drilledEnd(wish) === 'reference' ? 'far' : 'reference';

/**
 * The centre that drives wood of a width, mm: of the first kinds that are owned the widest that lies on wood all round; the
 * narrowest where all are wider, and the wood is left thicker for it then.
 */
export function drivingCentre(
  { centres }: Pick<Workshop, 'centres'>,
  wood: number,
  ...preferred: readonly CentreKind[][]
): Centre | undefined {
  const owned = preferred
    .map((kinds) => centres.filter((c) => kinds.includes(c.kind)).sort((a, b) => a.diameter - b.diameter))
    .find((own) => own.length > 0);
  return owned?.findLast((c) => c.diameter <= wood) ?? owned?.[0];
}

/** Centres that slip when a cut is too heavy, before those that bite. */
export const SLIPPING: CentreKind[] = ['ring', 'stepped'];
export const BITING: CentreKind[] = ['spur'];

export const liveCentre = ({ centres }: Workshop) => centres.find((c) => c.kind === 'live');
