import { dim } from '../../measure/index.js';
import { circleOf, turningPoint } from '../arc.js';
import type { Element } from '../element.js';
import type { Turning } from '../pattern.js';
import type { Point } from './moments.js';
import { segmentOf, type Piece } from './piece.js';
import { lineOf } from './together.js';

/** What differs by less than this is meant alike, mm on the radius. */
const ALIKE = 0.03;
/** What lies within so many standard errors is not known to differ. */
const SURELY = 3.5;

/** Ends of a ridge or a hollow may differ by this share of its height and still be meant alike. */
const HEIGHT_SHARE = 0.5;
/** Steeper than this an end is not known by its place any more. */
const STEEPEST = 4;
/** One that overhangs its ends by no more than this is a half circle measured at its foot. */
const OVERHANG = 1.15;

/**
 * Pieces as what they are meant to be: an arc whose rise the noise can make is straight; a line that rises
 * by no more than the error of a fitted slope over its length, σ√(12/n), is level; a ridge or a hollow that
 * comes back to where it began ends there. The rise of a fitted parabola errs by σ√(180/n)/4, its slope at
 * the ends is four times its rise over its length.
 */
export function meant(pieces: readonly Piece[], measure: Measure): Piece[] {
  const straight = pieces.map((piece): Piece => {
    const many = Math.sqrt(Math.max(1, piece.points));
    const flat = Math.max(ALIKE, (SURELY * measure.noise * Math.sqrt(180)) / 4 / many);
    return piece.kind === 'arc' && Math.abs(piece.sagitta) < flat
      ? { ...piece, kind: 'line', sagitta: 0 }
      : piece;
  });
  return levelsJoined(straight.map((piece) => levelled(piece, alikeFrom(piece, measure))));
}

/** Level lines that follow each other without a step are one. */
function levelsJoined(pieces: readonly Piece[]): Piece[] {
  const joined: Piece[] = [];
  for (const piece of pieces) {
    const before = joined.at(-1);
    const one = before && !piece.step && [before, piece].every((p) => p.kind === 'line' && p.level);
    if (!one) {
      joined.push(piece);
      continue;
    }
    const points = before.points + piece.points;
    const r = (before.r0 * before.points + piece.r0 * piece.points) / points;
    joined[joined.length - 1] = { ...before, x1: piece.x1, r0: r, r1: r, points };
  }
  return joined;
}

/**
 * From which difference on its ends are known to differ. Where it ends is known to half a spacing, so that
 * a steep side may end higher or lower by what it falls in that.
 */
function alikeFrom(piece: Piece, { noise, spacing }: Measure): number {
  const { kind, x0, x1, sagitta, points } = piece;
  const unknown = Math.max(ALIKE, SURELY * noise * Math.sqrt(12 / Math.max(1, points)));
  if (kind === 'line') return unknown;
  const half = (x1 - x0) / 2;
  const rise = Math.abs(sagitta);
  // of an arc that rises by h over half its chord a the sides stand at the slope 2ah/(a² − h²)
  const steep = rise < half ? Math.min(STEEPEST, (2 * half * rise) / (half * half - rise * rise)) : STEEPEST;
  return Math.max(unknown * Math.hypot(1, steep), HEIGHT_SHARE * rise) + (steep * spacing) / 2;
}

/**
 * Pieces laid as they are meant, except ridges and hollows that the points do not let end as they began: if
 * levelling one moves it by more than can be felt, and than the places are known to, it stays as it was found.
 */
export function unlevelled(
  points: readonly Point[],
  found: readonly Piece[],
  drawn: readonly Piece[],
  laid: readonly Piece[],
): Piece[] {
  return drawn.map((piece) => {
    const before = found.find((p) => p.x0 === piece.x0);
    if (piece.kind !== 'arc' || !piece.level || !before) return piece;
    return isMoved(points, piece, found, laid)
      ? { ...piece, level: false, r0: before.r0, r1: before.r1 }
      : piece;
  });
}

const FELT = 0.05;
const HAIR = 0.01;

/** Whether pieces that are laid otherwise leave the points of a stretch by more than can be felt, and than the places are known to. */
export function isMoved(
  points: readonly Point[],
  { x0, x1 }: { x0: number; x1: number },
  found: readonly Piece[],
  laid: readonly Piece[],
): boolean {
  const [own, now] = [lineOf(found), lineOf(laid)];
  const spacing = (points.at(-1)?.x ?? 0) / Math.max(1, points.length - 1);
  const felt = FELT + spacing / 4;
  const over = points.filter(({ x }) => x >= x0 && x <= x1);
  const more = over.reduce((sum, { x, r }) => {
    const slope = (now(x + HAIR) - now(x)) / HAIR;
    return sum + ((r - now(x)) ** 2 - (r - own(x)) ** 2) / (1 + slope * slope);
  }, 0);
  return more > felt * felt * over.length;
}

function levelled(piece: Piece, alike: number): Piece {
  const { x0, x1, r0, r1, sagitta } = piece;
  const level = Math.abs(r1 - r0) < alike && Math.abs(sagitta) <= (OVERHANG * (x1 - x0)) / 2;
  return level ? { ...piece, level, r0: (r0 + r1) / 2, r1: (r0 + r1) / 2 } : { ...piece, level };
}

/** How closely the values of a turning were measured, mm: places along it and the noise of one radius. */
export interface Measure {
  spacing: number;
  noise: number;
}

/** Pieces as elements, their sizes rounded as far as what was measured leaves open. */
export function turningOf(pieces: readonly Piece[], measure: Measure): Turning {
  const elements: Element[] = [];
  const nextId = () => `e${elements.length + 1}`;
  const sized = wellKnown(pieces).map((known) => asBegun(rounded(known, measure)));
  let standing = sized[0]?.r0 ?? 0;
  for (const piece of sized) {
    if (piece.step && piece.r0 !== standing)
      elements.push({ kind: 'shoulder', id: nextId(), endDiameter: dim(twice(piece.r0)) });
    elements.push(elementOf(piece, nextId()));
    standing = piece.level ? piece.r0 : piece.r1;
  }
  return { id: 'turning1', startDiameter: dim(twice(sized[0]?.r0 ?? 0)), elements };
}

/** Ends this near each other are one size to a turner, mm on the radius. */
const ONE_SIZE = 0.1;

/** A ridge or a hollow that came out ending where it began ends there. */
const asBegun = (piece: Piece): Piece =>
  piece.kind === 'arc' && Math.abs(piece.r1 - piece.r0) <= ONE_SIZE
    ? { ...levelled(piece, Infinity), r0: piece.r0 }
    : piece;

/** A piece, and how many points know the radius at its beginning and at its end. */
interface KnownPiece {
  piece: Piece;
  r0: number;
  r1: number;
}

/** A radius that neighbours share, or that a level piece keeps, is known to all of the points of the best of them. */
function wellKnown(pieces: readonly Piece[]): KnownPiece[] {
  const known = pieces.map((piece) => ({ piece, r0: piece.points, r1: piece.points }));
  const pass = (order: readonly KnownPiece[]) => {
    for (const one of order) {
      const before = known[known.indexOf(one) - 1];
      if (before && !one.piece.step) before.r1 = one.r0 = Math.max(before.r1, one.r0);
      if (one.piece.level) one.r0 = one.r1 = Math.max(one.r0, one.r1);
    }
  };
  pass(known);
  pass([...known].reverse());
  return known;
}

function rounded({ piece, r0, r1 }: KnownPiece, { spacing, noise }: Measure): Piece {
  const along = Math.max(0.01, spacing / 4);
  const radius = (r: number, points: number) =>
    plain(2 * r, 2 * Math.max(0.005, noise / Math.sqrt(Math.max(1, points)))) / 2;
  return {
    ...piece,
    x0: plain(piece.x0, along),
    x1: plain(piece.x1, along),
    r0: radius(piece.r0, r0),
    r1: radius(piece.r1, r1),
  };
}

const STEPS = [1, 0.5, 0.1, 0.05, 0.02];

/** The plainest figure within what is not known of a length, mm. */
function plain(mm: number, within: number): number {
  const step = STEPS.find((each) => Math.abs(Math.round(mm / each) * each - mm) <= within) ?? 0.01;
  return hundredths(Math.round(mm / step) * step);
}

const hundredths = (mm: number): number => Math.round(mm * 100) / 100;
const twice = (r: number): number => hundredths(2 * r);

function elementOf(piece: Piece, id: string): Element {
  const { kind, x0, x1, r0, r1, level } = piece;
  const length = dim(hundredths(x1 - x0));
  if (kind === 'line' || (kind === 'arc' && Math.abs(piece.sagitta) < FLAT))
    return level
      ? { kind: 'cylinder', id, length }
      : { kind: 'taper', id, length, endDiameter: dim(twice(r1)) };
  if (kind === 'groove')
    return { kind: 'v-groove', id, length, depth: dim(hundredths(Math.abs(piece.sagitta))) };
  const segment = segmentOf(piece);
  const crest = turningPoint(segment)?.r;
  const ball = ballOf(piece, id);
  if (ball) return ball;
  const half = (x1 - x0) / 2;
  if (level && crest !== undefined)
    return crest > r0
      ? { kind: 'bead', id, length, crown: dim(twice(Math.min(crest, r0 + half))) }
      : { kind: 'cove', id, length, bottom: dim(twice(Math.max(0, crest, r0 - half))) };
  const radius = Math.max(circleOf(segment).radius, leastRadius(x1 - x0, r1 - r0));
  const side = piece.sagitta > 0 ? 'out' : 'in';
  return { kind: 'arc', id, length, endDiameter: dim(twice(r1)), radius: dim(hundredths(radius)), side };
}

/** An arc that stands off its chord by less has no radius that anybody could set, mm. */
const FLAT = 0.002;

/** A centre this near the axis, as a share of the radius, and a length this near the ball's make an arc a ball. */
const CENTRED = 0.02;
const BALL_LENGTH = 0.15;

/** An arc past its crest whose centre is on the axis is a ball on its necks. */
function ballOf(piece: Piece, id: string): Element | null {
  const segment = segmentOf(piece);
  const { cx, cr, radius } = circleOf(segment);
  if (piece.sagitta <= 0 || Math.abs(cr) > CENTRED * radius || cx <= piece.x0 || cx >= piece.x1) return null;
  const reach = (r: number) => Math.sqrt(Math.max(0, radius * radius - r * r));
  // near its pole the place says nothing of the radius: there it ends on the axis
  const end = piece.r1 < BALL_LENGTH * radius ? 0 : piece.r1;
  const stands = Math.abs(reach(piece.r0) + reach(end) - (piece.x1 - piece.x0));
  if (stands > BALL_LENGTH * Math.max(1, radius / 10)) return null;
  return { kind: 'sphere', id, diameter: dim(twice(radius)), endDiameter: dim(twice(end)) };
}

/** Least radius of an arc over l that falls by h without bulging past its lower end, (l² + h²)/2l, and a hair. */
const leastRadius = (l: number, h: number): number => ((l * l + h * h) / (2 * l)) * 1.002;
