import { extremes } from '../../pattern/index.js';
import { fromOf, type Along, type OperationFigure } from '../figure.js';
import { profileSaid, segmentsOf } from '../saidProfile.js';
import type { SaidName } from '../said.js';
import { saidAs, type KindRow, type Told } from './kindRow.js';
import { offTheEnd } from './sawing.js';

/** A profile, place by place. */
const PROFILE = [
  'from',
  'to',
  '⌀',
  'round by',
  'hollow by',
  'left for sanding, on the radius',
] as const satisfies readonly SaidName[];

const TURNED = { stage: 'turn', purpose: 'turn', says: PROFILE } as const;
const SHAPED = {
  ...TURNED,
  does: 'shape',
  called: 'shape',
  work: 'turning',
  profile: 'told',
  figure: shaped,
} as const;
const ROUGHED = {
  ...TURNED,
  does: 'rough',
  called: 'rough',
  work: 'roughing',
  presses: 'hard',
  leaves: 'roughed',
} as const;

/** What an edge takes off while the wood turns, and what a knife carves of it. */
export const CUTTING = {
  rough: { ...ROUGHED, figure: thickest('round', 'whole') },
  'rough beside a square': { ...ROUGHED, figure: thickest('round', 'stretch') },
  'true up': { ...ROUGHED, figure: thickest('round', 'stretch') },
  'rough down': { ...ROUGHED, figure: thickest('round', 'stretch') },
  'turn a tenon': {
    ...TURNED,
    does: 'tenon',
    called: 'turn the tenon',
    work: 'turning',
    presses: 'hard',
    figure: thickest('tenon', 'stretch'),
  },
  size: {
    ...TURNED,
    does: 'size',
    called: 'size',
    stage: 'mark',
    work: 'turning',
    presses: 'hard',
    says: [...PROFILE, 'at the mark'],
    figure: (told) => {
      const [figure, mark] = [thickest('parted down', 'stretch')(told), saidAs(told, 'at the mark')];
      return figure && mark?.from ? { ...figure, at: { from: fromOf(mark.from), mm: mark.mm } } : figure;
    },
  },
  shape: SHAPED,
  'turn a tip': SHAPED,
  'carve a tip': { ...SHAPED, called: 'carve the tips', purpose: 'handle', work: 'bench work' },
  'turn about a further axis': SHAPED,
  /** a ball between cups: its poles lie at the sides, and no place of it is laid off */
  'scrape the poles': {
    ...TURNED,
    does: 'shape',
    called: 'shape',
    work: 'turning',
    figure: thickest('round', 'whole'),
  },
  'round a ring': SHAPED,
  'turn where a ring was': SHAPED,
  hollow: {
    ...TURNED,
    does: 'hollow',
    called: 'hollow',
    work: 'turning',
    profile: 'told',
    figure: (told) => {
      const wall = profileSaid(told.said);
      const bottom = wall?.to.at(-1);
      if (!wall || !bottom) return undefined;
      const mouth = { is: 'mouth', mm: wall.diameter } as const;
      return { is: 'depth', mm: bottom.x, from: fromOf(wall.from), beside: [mouth] };
    },
  },
  'turn a stub': {
    ...TURNED,
    does: 'stub',
    called: 'turn the stub',
    work: 'turning',
    presses: 'hard',
    figure: thickest('stub', 'stretch'),
  },
  'part to a nib': {
    ...TURNED,
    does: 'nib',
    called: 'part to nibs',
    work: 'turning',
    presses: 'hard',
    figure: thickest('nib', 'stretch'),
  },
  /** an end, in whatever holds it: with a facer in the press, with a skew on the lathe */
  'face an end': {
    ...TURNED,
    does: 'face',
    called: 'square the ends',
    work: 'turning',
    says: ['face to'],
    figure: offTheEnd,
  },
  'face a rim': {
    ...TURNED,
    does: 'face',
    called: 'face the rim',
    work: 'turning',
    says: ['flat above the axis', 'over all, back to rim'],
    figure: (told) => {
      const over = saidAs(told, 'over all, back to rim');
      return over && { is: 'back to rim', mm: over.mm };
    },
  },
} as const satisfies Record<string, KindRow>;

export type CutKind = keyof typeof CUTTING;

/** A cut that is told by the thickest of what it leaves, with what goes in sanding; of a stretch from where to where. */
function thickest(is: 'round' | 'tenon' | 'parted down' | 'stub' | 'nib', over: 'whole' | 'stretch') {
  return (told: Told): OperationFigure | undefined => {
    const cut = cutSaid(told);
    return cut ? { is, mm: cut.largest, ...(over === 'whole' ? {} : { at: cut.at }) } : undefined;
  };
}

/** What is thinner at its end runs out to a point: no calliper is set to that. mm */
const POINT = 0.1;

/** Sizes nearer than this are one, mm. */
const HAIR = 1e-6;

/**
 * What the calliper is set to: the crown where there is one, the bottom where there is one, else the thinner end, with what is
 * left for sanding; and where that is.
 */
function shaped(told: Told): OperationFigure | undefined {
  const cut = cutSaid(told);
  if (!cut) return undefined;
  const { largest, smallest, ends, at } = cut;
  if (largest > Math.max(...ends) + HAIR) return { is: 'crown', mm: largest, at };
  if (smallest < Math.min(...ends) - HAIR) return { is: 'bottom', mm: smallest, at };
  if (smallest - 2 * cut.leave < POINT) return { is: 'point', mm: largest, at };
  return { is: largest === smallest ? 'straight' : 'thinner end', mm: smallest, at };
}

/** Diameters as the tool leaves them, with what goes in sanding, and from where to where. mm */
function cutSaid(told: Told) {
  const profile = profileSaid(told.said);
  const segments = profile ? segmentsOf(profile) : [];
  const [first, last] = [segments[0], segments.at(-1)];
  if (!profile || !first || !last) return null;
  const leave = saidAs(told, 'left for sanding, on the radius')?.mm ?? 0;
  const { largest, smallest } = extremes({ segments }, first.x0, last.x1);
  const fat = (diameter: number) => diameter + 2 * leave;
  const at: Along = { from: fromOf(profile.from), mm: profile.x, to: last.x1 };
  return {
    leave,
    largest: fat(largest.diameter),
    smallest: fat(smallest.diameter),
    ends: [2 * first.r0, 2 * last.r1].map(fat),
    at,
  };
}
