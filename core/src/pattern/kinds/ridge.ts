import { dim, len } from '../../measure/index.js';
import { bulgeOfSagitta, type Segment } from '../arc.js';
import type { ElementOf } from '../element.js';
import { cannot, line, SLACK, straight, type Shape } from '../shape.js';
import { ellipse } from './ellipse.js';
import type { KindRow } from './kindRow.js';

export const bead: KindRow<'bead'> = {
  words: 'bead',
  fields: {
    length: { is: 'dimension' },
    crown: { is: 'dimension' },
    fillet: { is: 'dimension', usual: 1 },
    form: {
      is: 'choice',
      label: 'form',
      words: { round: 'round', ellipse: 'elliptical' },
      usual: 'round',
    },
  },
  fresh: (id, d) => ({ kind: 'bead', id, length: dim(6), crown: dim(d + 5) }),
  shape: beadShape,
  mirrored: (element) => element,
  sized: ['crest'],
  tools: ['skew', 'spindle gouge', 'scraper'],
  cut: (_, name) => `Roll the ${name} from its crown down both sides.`,
};

export const cove: KindRow<'cove'> = {
  words: 'cove',
  fields: { length: { is: 'dimension' }, bottom: { is: 'dimension' } },
  fresh: (id, d) => ({ kind: 'cove', id, length: dim(8), bottom: dim(Math.max(d - 6, d / 2)) }),
  shape: coveShape,
  mirrored: (element) => element,
  sized: ['bottom'],
  tools: ['spindle gouge', 'scraper'],
  cut: ({ bottom }, name, { valley = bottom.mm }) =>
    `Scoop the ${name} from both rims down to ${len(valley)}.`,
};

/** Bead: flats of the fillets on both sides, between them an arc or half an ellipse. */
function beadShape(element: ElementOf<'bead'>, x: number, r: number): Shape {
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
  // a crown where it begins is a plain stretch
  if (rise < SLACK)
    return { segments: between(element, x, r, flat, [flatOver(element.id, x + flat, r, wide)]) };
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

function coveShape(element: ElementOf<'cove'>, x: number, r: number): Shape {
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

const flatOver = (elementId: string, x: number, r: number, length: number): Segment => ({
  elementId,
  x0: x,
  r0: r,
  x1: x + length,
  r1: r,
  bulge: 0,
});

function arcOver(elementId: string, x: number, r: number, length: number, rise: number): Segment {
  const bulge = length === 0 ? 0 : bulgeOfSagitta(length, rise);
  return { elementId, x0: x, r0: r, x1: x + length, r1: r, bulge };
}
