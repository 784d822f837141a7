import { capitalised, type MustFit } from '../measure/index.js';
import type { GlueKind } from '../workshop/index.js';
import type { KitKind, NewKit } from './kit.js';

/** A length of a kit: which faces to measure, and what the number must fit. */
export interface KitLength {
  key: string;
  /** between which faces the calliper goes */
  measure: string;
  /** what a new kit begins with, mm */
  usual: number;
  /** may be left out */
  optional?: true;
  /** another length that it must stay below, and how that one is called */
  below?: { key: string; what: string };
}

/** A word of a kit: its thread, or one of a few. */
export interface KitWord {
  key: string;
  label: string;
  usual: string;
  choices?: readonly string[];
}

/** What a kind of kit is called and what is measured on it. */
export interface KitKindOf {
  words: string;
  lengths: KitLength[];
  texts?: KitWord[];
  glue?: GlueKind;
}

const length = (key: string, measure: string, usual: number, rest: Partial<KitLength> = {}): KitLength => ({
  key,
  measure,
  usual,
  ...rest,
});
const below = (key: string, what: string) => ({ below: { key, what } });
const thread = (label: string, usual: string): KitWord => ({ key: 'thread', label, usual });

const base = (mm: number): KitLength[] => [
  length('baseDiameter', 'Base, where wood meets it', mm),
  length('neckDiameter', 'Neck of the bottle, inside', 18, { optional: true }),
  length('discDiameter', 'Disc under the base, across', mm + 8, { optional: true }),
  length('discThickness', 'Disc, thickness', 3, { optional: true }),
];
const own = [
  length('rootDiameter', 'Root, between the threads', 6, below('outsideDiameter', 'its outside')),
  length('outsideDiameter', 'Outside, over the threads', 8),
];

/** Every kind of kit with the faces to measure. The order is the one in which they are offered. */
export const KIT_KINDS: Record<KitKind, KitKindOf> = {
  'tapped-insert': {
    words: 'stopper base with a tapped insert',
    lengths: [
      ...base(32),
      length('insertDiameter', 'Body of the insert, not its flange', 11.5, below('baseDiameter', 'the base')),
      length('insertLength', 'Insert, end to end', 20),
    ],
    texts: [thread('Thread inside', 'M8')],
    glue: 'epoxy',
  },
  'self-tapping-stud': {
    words: 'stopper base with a self-tapping stud',
    lengths: [...base(30), ...own, length('studLength', 'Stud, tip to base', 16)],
    texts: [thread('Thread, as the mandrel has it', 'stud 8')],
  },
  'glue-in-stud': {
    words: 'stopper base with a stud to glue in',
    lengths: [
      ...base(30),
      length('studDiameter', 'Stud, over its ridges', 8, below('baseDiameter', 'the base')),
      length('studLength', 'Stud, tip to base', 18),
    ],
    glue: 'epoxy',
  },
  ferrule: {
    words: 'ferrule and tang',
    lengths: [
      length('bore', 'Inside of the ferrule', 20, below('outsideDiameter', 'its outside')),
      length('outsideDiameter', 'Outside of the ferrule', 22),
      length('length', 'Ferrule, end to end', 18),
      length('tangDiameter', 'Tang, across its thickest', 8, below('bore', 'the ferrule')),
      length('tangLength', 'Tang, tip to shoulder', 45),
    ],
    glue: 'epoxy',
  },
  ring: {
    words: 'ring or cap over a tenon',
    lengths: [
      length('bore', 'Inside of the ring', 18, below('outsideDiameter', 'its outside')),
      length('outsideDiameter', 'Outside of the ring', 20),
      length('length', 'Ring, along the axis', 8),
    ],
    glue: 'cyanoacrylate',
  },
  head: {
    words: 'scoop, server or tip on a stem',
    lengths: [
      length('endDiameter', 'Its end, where wood blends in', 16),
      length('stemDiameter', 'Stem, across', 8, below('endDiameter', 'its end')),
      length('stemLength', 'Stem, tip to its end', 35),
    ],
    glue: 'epoxy',
  },
  tang: {
    words: 'bare tang',
    lengths: [
      length('shoulderAcross', 'Tang at the shoulder; square: across its flats', 9),
      length('tipAcross', 'Tang at the tip', 5, below('shoulderAcross', 'the shoulder')),
      length('tangLength', 'Tang, tip to shoulder', 60),
      length('bolsterDiameter', 'Bolster, where wood meets it', 18, { optional: true }),
    ],
    texts: [{ key: 'section', label: 'Section', usual: 'square', choices: ['round', 'square'] }],
    glue: 'epoxy',
  },
  'tapered-shank': {
    words: 'tapered shank in a reamed socket',
    lengths: [
      length('mouthDiameter', 'Shank where it enters', 16),
      length('tipDiameter', 'Shank at its tip', 11, below('mouthDiameter', 'where it enters')),
      length('shankLength', 'Shank, tip to where it enters', 50),
    ],
    glue: 'epoxy',
  },
  socket: {
    words: 'socket over a cone of wood',
    lengths: [
      length('mouthDiameter', 'Inside of the socket, at its mouth', 20),
      length(
        'bottomDiameter',
        'Inside of the socket, at its bottom',
        12,
        below('mouthDiameter', 'its mouth'),
      ),
      length('socketDepth', 'Socket, mouth to bottom', 38),
    ],
  },
  rod: {
    words: 'rod or dowel',
    lengths: [length('diameter', 'Rod, across', 6), length('length', 'Rod, what goes into the wood', 30)],
    texts: [{ key: 'fit', label: 'Fit', usual: 'glue gap', choices: ['press', 'glue gap', 'slip'] }],
    glue: 'epoxy',
  },
  ball: {
    words: 'ball set in a tip',
    lengths: [
      length('diameter', 'Ball, across', 6),
      length('seatDepth', 'How deep it sits', 4, below('diameter', 'the ball itself')),
    ],
    glue: 'cyanoacrylate',
  },
  'screw-eye': {
    words: 'screw eye or hook',
    lengths: [
      length('rootDiameter', 'Root, between the threads', 1.8, below('outsideDiameter', 'its outside')),
      length('outsideDiameter', 'Outside, over the threads', 2.6),
      length('threadLength', 'Thread, tip to eye', 10),
    ],
  },
  cord: {
    words: 'cord through the axis',
    lengths: [
      length('diameter', 'Cord, across', 3),
      length('knotDiameter', 'Knot, across', 7, { optional: true }),
    ],
  },
  'threaded-insert': {
    words: 'threaded insert screwed into the wood',
    lengths: [
      length(
        'rootDiameter',
        'Body, between its coarse threads',
        8.5,
        below('outsideDiameter', 'its outside'),
      ),
      length('outsideDiameter', 'Outside, over its coarse threads', 10),
      length('insertLength', 'Insert, end to end', 13),
    ],
    texts: [thread('Thread inside', 'M6')],
  },
};

export const KIT_KIND_LIST = Object.keys(KIT_KINDS) as KitKind[];

/** Reads a length of a kit by its key; null when it is left out. mm */
function kitLength(kit: object, key: string): number | null {
  const value = (kit as Record<string, { mm?: number } | undefined>)[key];
  return value?.mm ?? null;
}

/** A new kit of a kind at its usual sizes. */
export function freshKit(kind: KitKind): NewKit {
  const { words, lengths, texts = [], glue } = KIT_KINDS[kind];
  return {
    kind,
    name: capitalised(words),
    onHand: 0,
    ...Object.fromEntries(lengths.filter((l) => !l.optional).map((l) => [l.key, { mm: l.usual }])),
    ...Object.fromEntries(texts.map((t) => [t.key, t.usual])),
    ...(glue ? { glue } : {}),
  } as NewKit;
}

/** Hardware is rarely so many times smaller or larger than the usual of its kind. */
const FAR_FROM_USUAL = 6;

/** What a length of a kit must fit: another length of it, or what hardware of its kind can be. */
export function kitFit(kit: object, { below, usual }: KitLength): MustFit {
  const most = below && kitLength(kit, below.key);
  if (below && most !== undefined && most !== null && most > 0)
    return { what: below.what, minMm: Math.min(0.5, most), maxMm: most };
  return { what: 'hardware of this kind', minMm: usual / FAR_FROM_USUAL, maxMm: usual * FAR_FROM_USUAL };
}

/** What a kit's dimensions say against each other; empty when they can be. */
export function kitProblems(kit: { kind: KitKind }): { field: string; why: string }[] {
  const { lengths } = KIT_KINDS[kit.kind];
  return lengths.flatMap((l) => {
    const value = kitLength(kit, l.key);
    const most = l.below && kitLength(kit, l.below.key);
    if (value !== null && value <= 0)
      return [{ field: l.key, why: `${l.measure}: ${value} mm. Measure it again; it is above 0.` }];
    if (value === null || most === undefined || most === null || !l.below || allowed(value, most, l.key))
      return [];
    return [
      {
        field: l.key,
        why: `${l.measure}: ${value} mm is not below ${l.below.what}, ${most} mm. Measure both again.`,
      },
    ];
  });
}

/** A straight tang is as wide at its tip as at its shoulder; everything else is narrower than what it must fit. */
const allowed = (value: number, most: number, key: string): boolean =>
  key === 'tipAcross' ? value <= most : value < most;
