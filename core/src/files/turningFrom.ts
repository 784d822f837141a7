import { dim } from '../measure/index.js';
import { circleOf, type Element, type Segment, type Turning } from '../pattern/index.js';
import { limitProfile } from './fileProblem.js';

/** Sizes are kept to this when a drawing becomes elements, mm: what adds up along a profile stays unseen. */
const FINEST = 1e-6;
const round = (mm: number): number => Math.round(mm / FINEST) * FINEST;

/** Segments as elements, or a FileProblem where no lathe takes them: lines become cylinders, tapers and shoulders, arcs beads, coves and curves. */
export function turningFrom(segments: readonly Segment[], startDiameter: number): Turning {
  limitProfile(segments.at(-1)?.x1 ?? 0, 2 * Math.max(0, ...segments.map((s) => Math.max(s.r0, s.r1))));
  const elements = segments
    .filter((s) => Math.hypot(s.x1 - s.x0, s.r1 - s.r0) > 1e-6)
    .map((segment, i) => elementFrom(segment, `e${i + 1}`));
  return { id: 'turning1', startDiameter: dim(round(startDiameter)), elements };
}

function elementFrom(s: Segment, id: string): Element {
  const length = dim(round(s.x1 - s.x0));
  const endDiameter = dim(round(2 * s.r1));
  if (s.bulge === 0) {
    if (length.mm === 0) return { kind: 'shoulder', id, endDiameter };
    return Math.abs(s.r1 - s.r0) < 1e-6
      ? { kind: 'cylinder', id, length }
      : { kind: 'taper', id, length, endDiameter };
  }
  const level = Math.abs(s.r1 - s.r0) < 1e-6;
  const rise = (s.bulge * length.mm) / 2;
  if (level && s.bulge > 0) return { kind: 'bead', id, length, crown: dim(round(2 * (s.r0 + rise))) };
  if (level) return { kind: 'cove', id, length, bottom: dim(round(2 * (s.r0 + rise))) };
  const radius = dim(circleOf(s).radius);
  return { kind: 'arc', id, length, endDiameter, radius, side: s.bulge > 0 ? 'out' : 'in' };
}
