import { len } from '../measure/index.js';
import { bulgeOfSagitta, type Segment } from './arc.js';
import { arcsAlong } from './biarc.js';
import type { ElementOf } from './element.js';
import { cannot, line, SLACK, straight, type Shape } from './shape.js';

/** Bead: flats of the fillets on both sides, between them an arc or half an ellipse. */
export function bead(element: ElementOf<'bead'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const flat = element.fillet?.mm ?? 0;
  const wide = length - 2 * flat;
  const rise = element.crown.mm / 2 - r;
  const drawn = line(element, x, r, length, r);
  if (wide < SLACK && length > 0)
    return cannot(
      drawn,
      `Two fillets of ${len(flat)} leave nothing of a bead ${len(length)} long. Make them narrower.`,
    );
  if (rise < -SLACK)
    return cannot(drawn, `The crown of a bead lies above the diameter where it begins, ${len(2 * r)}.`);
  const round = element.form !== 'ellipse';
  if (round && rise > wide / 2 + SLACK)
    return cannot(
      drawn,
      `A round bead ${len(wide)} long can be at most ${len(wide / 2)} high; this one has ${len(rise)}. Make it longer, make it elliptical, or set the crown to ${len(2 * r + wide)}.`,
    );
  const hump = round
    ? [arcOver(element.id, x + flat, r, wide, rise)]
    : ellipse(element.id, { x: x + length / 2, r, along: wide / 2, across: rise }, 0, 0);
  return { segments: between(element, x, r, flat, hump) };
}

function between(element: ElementOf<'bead'>, x: number, r: number, flat: number, hump: Segment[]): Segment[] {
  if (flat < SLACK) return hump;
  const end = x + element.length.mm;
  return [straight(element, x, r, flat, r), ...hump, straight(element, end - flat, r, flat, r)];
}

export function cove(element: ElementOf<'cove'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const depth = r - element.bottom.mm / 2;
  const drawn = line(element, x, r, length, r);
  if (depth < -SLACK)
    return cannot(drawn, `The bottom of a cove lies below the diameter where it begins, ${len(2 * r)}.`);
  if (depth > length / 2 + SLACK)
    return cannot(
      drawn,
      `A cove ${len(length)} long can be at most ${len(length / 2)} deep; this one has ${len(depth)}. Make it longer or set the bottom to ${len(Math.max(0, 2 * r - length))}.`,
    );
  if (element.bottom.mm < -SLACK) return cannot(drawn, 'The bottom of the cove lies beyond the axis.');
  return { segments: [arcOver(element.id, x, r, length, -depth)] };
}

function arcOver(elementId: string, x: number, r: number, length: number, rise: number): Segment {
  const bulge = length === 0 ? 0 : bulgeOfSagitta(length, rise);
  return { elementId, x0: x, r0: r, x1: x + length, r1: r, bulge };
}

/** An ellipse about (x, r) with its half axes, mm. */
interface Ellipse {
  x: number;
  r: number;
  along: number;
  across: number;
}

/**
 * Upper half of an ellipse as tangent arcs, from the angle `first` above its left end to the angle
 * `last` above its right end (eccentric angles, radians).
 */
function ellipse(
  elementId: string,
  { x, r, along, across }: Ellipse,
  first: number,
  last: number,
): Segment[] {
  const from = Math.PI - first;
  return arcsAlong(elementId, (t) => {
    const angle = from + t * (last - from);
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    // x rises while the angle falls, so the tangent is minus the derivative by the angle
    const [dx, dr] = [along * s, -across * c];
    const norm = Math.hypot(dx, dr);
    return { x: x + along * c, r: r + across * s, tx: dx / norm, tr: dr / norm };
  });
}

export function vGroove(element: ElementOf<'v-groove'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const bottom = r - element.depth.mm;
  if (bottom < 0)
    return cannot(
      line(element, x, r, length, r),
      `The groove is ${len(element.depth.mm)} deep but there is only ${len(r)} to the axis.`,
    );
  return {
    segments: [
      straight(element, x, r, length / 2, bottom),
      straight(element, x + length / 2, bottom, length / 2, r),
    ],
  };
}

/** Egg on its necks: each cuts the ellipse a·√(1 − (neck/b)²) from its middle. */
export function oval(element: ElementOf<'oval'>, x: number, r: number): Shape {
  const along = element.longAxis.mm / 2;
  const across = element.diameter.mm / 2;
  const r1 = element.endDiameter.mm / 2;
  if (across < Math.max(r, r1) - SLACK)
    return cannot(
      line(element, x, r, 0, r1),
      `An oval of ${len(2 * across)} across is thinner than its neck of ${len(2 * Math.max(r, r1))}.`,
    );
  const [first, last] = [r, r1].map((neck) => Math.asin(Math.min(1, neck / across)));
  const middle = x + along * Math.cos(first ?? 0);
  const segments = ellipse(element.id, { x: middle, r: 0, along, across }, first ?? 0, last ?? 0);
  return { segments };
}
