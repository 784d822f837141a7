import { dim, len } from '../../measure/index.js';
import { arcFrom, type Segment } from '../arc.js';
import type { ElementOf } from '../element.js';
import { cannot, line, SLACK, type Shape } from '../shape.js';
import { ellipse } from './ellipse.js';
import type { KindRow } from './kindRow.js';
import { endsSwapped } from './straight.js';

/** A ball is rounded from its middle towards both sides, and sized where it is thickest. */
const rounded = {
  sized: ['crest'],
  tools: ['spindle gouge', 'skew', 'scraper'],
  cut: (_: unknown, name: string) => `Round the ${name} from its middle towards both necks.`,
} satisfies Partial<KindRow>;

export const sphere: KindRow<'sphere'> = {
  ...rounded,
  words: 'ball',
  fields: {
    diameter: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    blend: { is: 'dimension', usual: 3 },
  },
  fresh: (id, d) => ({ kind: 'sphere', id, diameter: dim(d * 1.5), endDiameter: dim(0) }),
  shape: sphereShape,
  mirrored: endsSwapped,
};

export const balloon: KindRow<'balloon'> = {
  ...rounded,
  words: 'ball into a cone',
  fields: {
    length: { is: 'dimension' },
    diameter: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    ball: { is: 'choice', label: 'order', words: { first: 'ball first', last: 'cone first' } },
  },
  fresh: (id, d) => ({
    kind: 'balloon',
    id,
    length: dim(d * 3),
    diameter: dim(d * 1.5),
    endDiameter: dim(d * 0.4),
    ball: 'first',
  }),
  shape: balloonShape,
  mirrored: (element, standing) => ({
    ...endsSwapped(element, standing),
    ball: element.ball === 'first' ? 'last' : 'first',
  }),
};

export const oval: KindRow<'oval'> = {
  ...rounded,
  words: 'oval',
  fields: {
    longAxis: { is: 'dimension' },
    diameter: { is: 'dimension', words: 'thickest diameter' },
    endDiameter: { is: 'dimension' },
  },
  fresh: (id, d) => ({ kind: 'oval', id, longAxis: dim(d * 2), diameter: dim(d * 1.3), endDiameter: dim(0) }),
  shape: ovalShape,
  mirrored: endsSwapped,
};

/**
 * Ball between two necks: each neck meets the ball √(R² − neck²) from its centre (Pythagoras). With a
 * blend of radius f the hollow's centre lies f above the neck and R + f from the ball's centre.
 */
function sphereShape(element: ElementOf<'sphere'>, x: number, r: number): Shape {
  const radius = element.diameter.mm / 2;
  const r1 = element.endDiameter.mm / 2;
  if (radius < Math.max(r, r1) - SLACK)
    return cannot(
      line(element, x, r, 0, r1),
      `A ball of ${len(2 * radius)} is thinner than its neck of ${len(2 * Math.max(r, r1))}.`,
    );
  const before = neckOf(radius, r, element.blend?.mm ?? 0);
  const after = neckOf(radius, r1, element.blend?.mm ?? 0);
  const centre = x + before.reach;
  const ball = ballArc(element.id, centre, radius, before.meets, after.meets);
  const segments = [ball];
  if (before.blend > SLACK) segments.unshift(hollow(element.id, x, r, ball.x0, ball.r0, before.blend));
  if (after.blend > SLACK)
    segments.push(hollow(element.id, ball.x1, ball.r1, centre + after.reach, r1, after.blend));
  return { segments };
}

/** How a neck meets the ball: from how far, at what angle above the axis, by which hollow. */
interface Neck {
  reach: number;
  meets: number;
  blend: number;
}

function neckOf(radius: number, neck: number, blend: number): Neck {
  // a neck of no thickness is a pole: there is nothing to ease
  const ease = neck < SLACK ? 0 : blend;
  const far = radius + ease;
  const reach = Math.sqrt(Math.max(0, far * far - (neck + ease) ** 2));
  return { reach, meets: Math.atan2(neck + ease, reach), blend: ease };
}

/** Upper arc of a ball between the angles that its two necks meet it at, measured from the axis. */
function ballArc(elementId: string, centre: number, radius: number, first: number, last: number): Segment {
  return {
    elementId,
    x0: centre - radius * Math.cos(first),
    r0: radius * Math.sin(first),
    x1: centre + radius * Math.cos(last),
    r1: radius * Math.sin(last),
    bulge: Math.tan((Math.PI - first - last) / 4),
  };
}

const hollow = (elementId: string, x0: number, r0: number, x1: number, r1: number, radius: number) =>
  arcFrom(elementId, x0, r0, x1, r1, radius, 'in');

/**
 * Ball that runs into a cone: the cone's side is the tangent from its thin end to the ball, which
 * touches where the radius is square to it.
 */
function balloonShape(element: ElementOf<'balloon'>, x: number, r: number): Shape {
  const radius = element.diameter.mm / 2;
  const length = element.length.mm;
  const r1 = element.endDiameter.mm / 2;
  const ballFirst = element.ball === 'first';
  const [neck, tip] = ballFirst ? [r, r1] : [r1, r];
  const drawn = line(element, x, r, length, r1);
  if (radius < Math.max(neck, tip) - SLACK)
    return cannot(
      drawn,
      `A ball of ${len(2 * radius)} is thinner than the ${len(2 * Math.max(neck, tip))} it runs into.`,
    );
  const centre = Math.sqrt(Math.max(0, radius * radius - neck * neck));
  const away = length - centre;
  const distance = Math.hypot(away, tip);
  if (distance <= radius + SLACK || away <= 0)
    return cannot(
      drawn,
      `The ball alone is ${len(centre + radius)} long and leaves no cone in ${len(length)}. Make it longer or the ball smaller.`,
    );
  // angle at the centre between the line to the tip and the radius to where the cone touches
  const touch = Math.acos(radius / distance) + Math.atan2(tip, away);
  const ball = ballArc(element.id, centre, radius, Math.atan2(neck, centre), touch);
  const cone: Segment = { elementId: element.id, x0: ball.x1, r0: ball.r1, x1: length, r1: tip, bulge: 0 };
  const placed = ballFirst ? [ball, cone] : [cone, ball].map((s) => turned(s, length));
  return { segments: placed.map((s) => ({ ...s, x0: s.x0 + x, x1: s.x1 + x })) };
}

/** A segment turned end for end within a length. */
const turned = (s: Segment, length: number): Segment => ({
  ...s,
  x0: length - s.x1,
  r0: s.r1,
  x1: length - s.x0,
  r1: s.r0,
});

/** Egg on its necks: each cuts the ellipse a·√(1 − (neck/b)²) from its middle. */
function ovalShape(element: ElementOf<'oval'>, x: number, r: number): Shape {
  const along = element.longAxis.mm / 2;
  const across = element.diameter.mm / 2;
  const r1 = element.endDiameter.mm / 2;
  if (across < SLACK || along < SLACK)
    return cannot(line(element, x, r, 0, r1), 'An oval has a length and a diameter. Give it both.');
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
