import { dim, len } from '../../measure/index.js';
import { arcFrom, circleOf, type Segment } from '../arc.js';
import type { Element, ElementOf } from '../element.js';
import { fairCurve } from '../fairCurve.js';
import { cannot, line, SLACK, type Shape } from '../shape.js';
import type { KindRow } from './kindRow.js';
import { downhill, endsSwapped } from './straight.js';

const sameArc = (first: ElementOf<'arc'>, second: Element): boolean =>
  second.kind === 'arc' && first.side === second.side && Math.abs(first.radius.mm - second.radius.mm) < 0.01;

export const arc: KindRow<'arc'> = {
  words: 'curve by radius',
  fields: {
    length: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    radius: { is: 'dimension' },
    side: { is: 'choice', label: 'side', words: { out: 'bulges out', in: 'is hollow' } },
  },
  fresh: (id, d) => ({
    kind: 'arc',
    id,
    length: dim(20),
    endDiameter: dim(d * 0.6),
    radius: dim(40),
    side: 'out',
  }),
  shape: arcShape,
  mirrored: endsSwapped,
  sized: ['crest', 'bottom'],
  piece: (element, { length, endDiameter }) => ({
    ...element,
    length: dim(length),
    endDiameter: dim(endDiameter),
  }),
  joins: sameArc,
  joined: (element, { length, endDiameter }) => ({
    ...element,
    length: dim(length),
    endDiameter: dim(endDiameter),
  }),
  tools: ['skew', 'spindle gouge', 'scraper'],
  cut: (_, name, standing) => downhill(name, standing),
};

export const ogee: KindRow<'ogee'> = {
  words: 'ogee',
  fields: {
    length: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    turn: { is: 'dimension', usual: 10 },
    side: { is: 'choice', label: 'order', words: { out: 'round first', in: 'hollow first' } },
  },
  fresh: (id, d) => ({ kind: 'ogee', id, length: dim(20), endDiameter: dim(d * 0.6), side: 'out' }),
  shape: ogeeShape,
  mirrored: (element, standing) => ({
    ...endsSwapped(element, standing),
    ...(element.turn ? { turn: dim(element.length.mm - element.turn.mm) } : {}),
    side: element.side === 'out' ? 'in' : 'out',
  }),
  sized: ['crest', 'bottom'],
  tools: ['spindle gouge', 'skew', 'scraper'],
  cut: (_, name, standing) => downhill(name, standing),
};

export const fillet: KindRow<'fillet'> = {
  words: 'easing hollow',
  fields: { length: { is: 'dimension' }, endDiameter: { is: 'dimension' } },
  fresh: (id, d) => ({
    kind: 'fillet',
    id,
    length: dim(Math.max(4, d * 0.2)),
    endDiameter: dim(d * 0.7),
  }),
  shape: filletShape,
  mirrored: endsSwapped,
  sized: [],
  tools: ['spindle gouge', 'scraper'],
  cut: (_, name, standing) => downhill(name, standing),
};

export const fair: KindRow<'fair'> = {
  words: 'fair curve',
  fields: {
    length: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    points: { is: 'points', most: 100 },
  },
  fresh: (id, d) => ({
    kind: 'fair',
    id,
    length: dim(40),
    endDiameter: dim(d * 0.7),
    points: [{ at: dim(16), diameter: dim(d * 1.15) }],
  }),
  shape: fairShape,
  mirrored: (element, standing) => ({
    ...endsSwapped(element, standing),
    points: element.points.map((p) => ({ ...p, at: dim(standing.length - p.at.mm) })).reverse(),
  }),
  sized: ['crest', 'bottom'],
  tools: ['skew', 'spindle gouge', 'scraper'],
  cut: (_, name, standing) => downhill(name, standing),
};

function arcShape(element: ElementOf<'arc'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const drawn = line(element, x, r, length, r1);
  const chord = Math.hypot(length, r1 - r);
  const radius = element.radius.mm;
  if (chord === 0) return drawn;
  if (radius < chord / 2 - SLACK)
    return cannot(
      drawn,
      `A radius of ${len(radius)} cannot span ${len(chord)}; the least is ${len(chord / 2)}.`,
    );
  const segment = arcFrom(element.id, x, r, x + length, r1, radius, element.side);
  if (overhangs(segment))
    return cannot(
      drawn,
      `A radius of ${len(radius)} would bulge past the ends of this element. Give it a larger radius or more length.`,
    );
  return { segments: [segment] };
}

/** An arc may lean back by no more than this, mm: rounded sizes make a quarter circle do so. */
const LEAN = 1e-3;

/** An arc must stay a function of x: both ends on the outer (or both on the inner) half circle. */
function overhangs(segment: Segment): boolean {
  const { cr } = circleOf(segment);
  const low = Math.min(segment.r0, segment.r1);
  const high = Math.max(segment.r0, segment.r1);
  return segment.bulge > 0 ? low < cr - LEAN : high > cr + LEAN;
}

/**
 * Ogee: two arcs tangent to each other on the chord. The arc of a chord that rises at the angle θ and
 * leaves along the axis turns by 2θ, so its bulge is tan(θ/2) (tangent–chord angle); leaving square to
 * the axis it turns by 2(90° − θ) the other way.
 */
function ogeeShape(element: ElementOf<'ogee'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const drawn = line(element, x, r, length, r1);
  const turn = element.turn?.mm ?? length / 2;
  if (Math.abs(r1 - r) < SLACK)
    return cannot(drawn, `An ogee needs two diameters; this one begins and ends at ${len(2 * r)}.`);
  if (turn <= 0 || turn >= length)
    return cannot(
      drawn,
      `The curve would turn at ${len(turn)}, outside its ${len(length)}. Give a place within it.`,
    );
  const rising = Math.atan2(Math.abs(r1 - r), length);
  // along the axis at both ends: hollow first when it grows, round first when it thins
  const flowing = (element.side === 'in') === r1 > r;
  const bend = Math.tan((flowing ? rising : Math.PI / 2 - rising) / 2);
  const bulge = element.side === 'out' ? bend : -bend;
  const middle = { x: x + turn, r: r + ((r1 - r) * turn) / length };
  const id = element.id;
  return {
    segments: [
      { elementId: id, x0: x, r0: r, x1: middle.x, r1: middle.r, bulge },
      { elementId: id, x0: middle.x, r0: middle.r, x1: x + length, r1, bulge: -bulge },
    ],
  };
}

/** Hollow that ends along the axis at its thinner side: radius (l² + h²)/2h. */
function filletShape(element: ElementOf<'fillet'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const drawn = line(element, x, r, length, r1);
  const height = Math.abs(r1 - r);
  if (height < SLACK) return drawn;
  if (height > length + SLACK)
    return cannot(
      drawn,
      `A fillet ${len(length)} long eases a step of at most ${len(length)} on the radius; this one has ${len(height)}. Make it longer.`,
    );
  const radius = (length * length + height * height) / (2 * height);
  return { segments: [arcFrom(element.id, x, r, x + length, r1, radius, 'in')] };
}

function fairShape(element: ElementOf<'fair'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const points = element.points.map((p) => ({ x: x + p.at.mm, r: p.diameter.mm / 2 }));
  const all = [{ x, r }, ...points, { x: x + length, r: r1 }];
  const wrong = all.findIndex((p, i) => i > 0 && p.x <= (all[i - 1]?.x ?? 0) + SLACK);
  if (wrong > 0)
    return cannot(
      line(element, x, r, length, r1),
      `Point ${Math.min(wrong, points.length)} of the curve lies at ${len((points[Math.min(wrong, points.length) - 1]?.x ?? x) - x)}; the points must follow each other within the ${len(length)} of the curve.`,
    );
  return { segments: fairCurve(element.id, all) };
}
