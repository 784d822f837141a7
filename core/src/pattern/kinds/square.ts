import { dim, len } from '../../measure/index.js';
import { arcFrom, pointAt, type Segment } from '../arc.js';
import type { ElementOf } from '../element.js';
import { cannot, line, SLACK, step, straight, type Shape } from '../shape.js';
import type { KindRow } from './kindRow.js';
import { endsSwapped } from './straight.js';

export const square: KindRow<'square'> = {
  words: 'square left',
  fields: {
    length: { is: 'dimension' },
    across: { is: 'dimension' },
    endDiameter: { is: 'dimension' },
    roll: { is: 'dimension', usual: 12 },
    shoulder: {
      is: 'choice',
      label: 'shoulders',
      words: { square: 'square shoulders', rolled: 'rolled shoulders' },
    },
    faces: {
      is: 'choice',
      label: 'faces',
      words: { planed: 'left from the plane', sawn: 'left from the saw' },
      usual: 'planed',
    },
  },
  fresh: (id, d) => ({
    kind: 'square',
    id,
    length: dim(60),
    across: dim(d * 1.2),
    endDiameter: dim(d),
    shoulder: 'square',
  }),
  shape: squareShape,
  mirrored: endsSwapped,
  sized: ['crest'],
  tools: ['skew', 'parting tool'],
  cut: ({ shoulder }, name) =>
    shoulder === 'rolled'
      ? `Leave the ${name} square; nick its ends with the long point and roll its shoulders.`
      : `Leave the ${name} square; nick its ends with the long point and cut in square beside it.`,
};

/**
 * Square left in the blank. Seen from the side it is as high as half its side; its corners reach half
 * the diagonal and are what a rolled shoulder rounds: a quarter arc from the round beside it up to
 * the corners, which the flats cut off half-way.
 */
function squareShape(element: ElementOf<'square'>, x: number, r: number): Shape {
  const length = element.length.mm;
  const half = element.across.mm / 2;
  const corner = half * Math.SQRT2;
  const r1 = element.endDiameter.mm / 2;
  const drawn = line(element, x, r, length, r1);
  if (half <= 0) return cannot(drawn, 'A square section needs a width across its flats.');
  const rolls = element.shoulder === 'rolled';
  const before = rolls && r < half - SLACK ? rollOf(element, r, corner) : 0;
  const after = rolls && r1 < half - SLACK ? rollOf(element, r1, corner) : 0;
  const least = Math.max(before && corner - r, after && corner - r1);
  if (before + after > length + SLACK || (rolls && Math.max(before, after) < least - SLACK))
    return cannot(
      drawn,
      `Rolled shoulders take ${len(Math.max(least, before + after))} of a square ${len(length)} long. Make it longer or its shoulders square.`,
    );
  const end = x + length;
  const rise = before > 0 ? roll(element.id, x, r, x + before, corner, half) : null;
  const fall = after > 0 ? roll(element.id, end, r1, end - after, corner, half) : null;
  const from = rise?.foot.x1 ?? x;
  const to = fall?.foot.x0 ?? end;
  return {
    segments: [
      ...(rise ? [rise.foot] : step(element, x, r, half)),
      straight(element, from, half, to - from, half),
      ...(fall ? [fall.foot] : step(element, end, half, r1)),
    ],
    square: {
      elementId: element.id,
      x0: x,
      x1: end,
      side: 2 * half,
      corners: [
        ...(rise ? [rise.top] : []),
        straight(element, x + before, corner, length - before - after, corner),
        ...(fall ? [fall.top] : []),
      ],
    },
  };
}

/** How far a roll runs: as given, else as far as it is high. */
const rollOf = (element: ElementOf<'square'>, r: number, corner: number): number =>
  element.roll?.mm ?? corner - r;

/**
 * The arc of a roll from its foot (xf, rf) to the corner (xt, rt), where it ends along the axis, cut in
 * two where it leaves the flats at `half`. Both pieces run from left to right.
 */
function roll(id: string, xf: number, rf: number, xt: number, rt: number, half: number) {
  const run = Math.abs(xt - xf);
  const high = rt - rf;
  const radius = (run * run + high * high) / (2 * high);
  const rising = xt > xf;
  const whole = rising
    ? arcFrom(id, xf, rf, xt, rt, radius, 'out')
    : arcFrom(id, xt, rt, xf, rf, radius, 'out');
  // height below the top h = ρ(1 − cos φ) with φ the angle from the top
  const angleAt = (h: number) => Math.acos(Math.max(-1, 1 - h / radius));
  const share = angleAt(rt - half) / angleAt(high);
  const cut = rising ? 1 - share : share;
  const [first, second] = cutArc(whole, cut);
  return rising ? { foot: first, top: second } : { foot: second, top: first };
}

function cutArc(arc: Segment, t: number): [Segment, Segment] {
  const { x, r } = pointAt(arc, t);
  const angle = Math.atan(arc.bulge);
  return [
    { ...arc, x1: x, r1: r, bulge: Math.tan(t * angle) },
    { ...arc, x0: x, r0: r, bulge: Math.tan((1 - t) * angle) },
  ];
}
