import { dim, len } from '../../measure/index.js';
import type { Element, ElementBase, ElementOf } from '../element.js';
import { line } from '../shape.js';
import type { KindRow, Standing } from './kindRow.js';

/** Mirror of a kind that only has to end where it began. */
export const endsSwapped = <E extends Element & { endDiameter: { mm: number } }>(
  element: E,
  { startDiameter }: Standing,
): E => ({ ...element, endDiameter: dim(startDiameter) });

/** What is thinner than this is a point, mm. */
const POINT = 0.05;

/** From a crown down both sides, from both rims into a valley, from the thicker end to the thinner, or along. */
export function downhill(name: string, { startDiameter, endDiameter, crown, valley }: Standing): string {
  const [from, to] = [Math.max(startDiameter, endDiameter), Math.min(startDiameter, endDiameter)];
  const told = (diameter: number) => (diameter < POINT ? 'a point' : len(diameter));
  const ends = from === to ? len(from) : `${told(startDiameter)} and ${told(endDiameter)}`;
  if (crown !== undefined)
    return `Cut the ${name} from its crown of ${len(crown)} downhill to both ends, ${ends}.`;
  if (valley !== undefined) return `Hollow the ${name} from both ends, ${ends}, down to ${len(valley)}.`;
  return from === to
    ? `Plane the ${name} to ${len(endDiameter)}.`
    : `Cut the ${name} downhill, from ${len(from)} to ${told(to)}.`;
}

const isStraight = (element: Element): boolean => element.kind === 'cylinder' || element.kind === 'taper';

/** Two straights made one keep only what belongs to either: a cylinder when level, else a taper. */
function oneStraight({ id, name, tolerance }: ElementBase, standing: Standing): Element {
  const base = { id, name, tolerance, length: dim(standing.length) };
  return Math.abs(standing.startDiameter - standing.endDiameter) < 1e-6
    ? { ...base, kind: 'cylinder' }
    : { ...base, kind: 'taper', endDiameter: dim(standing.endDiameter) };
}

const straightJoins = {
  joins: (_: ElementOf<'cylinder' | 'taper'>, next: Element) => isStraight(next),
  joined: oneStraight,
};

const STRAIGHT_TOOLS = ['skew', 'spindle gouge', 'roughing gouge', 'scraper'] as const;

export const cylinder: KindRow<'cylinder'> = {
  words: 'cylinder',
  fields: { length: { is: 'dimension' } },
  fresh: (id) => ({ kind: 'cylinder', id, length: dim(10) }),
  shape: (element, x, r) => line(element, x, r, element.length.mm, r),
  mirrored: (element) => element,
  sized: [],
  piece: (element, { length }) => ({ ...element, length: dim(length) }),
  ...straightJoins,
  tools: STRAIGHT_TOOLS,
  cut: (_, name, standing) => downhill(name, standing),
};

export const taper: KindRow<'taper'> = {
  words: 'taper',
  fields: { length: { is: 'dimension' }, endDiameter: { is: 'dimension' } },
  fresh: (id, d) => ({ kind: 'taper', id, length: dim(20), endDiameter: dim(d * 0.8) }),
  shape: (element, x, r) => line(element, x, r, element.length.mm, element.endDiameter.mm / 2),
  mirrored: endsSwapped,
  sized: [],
  piece: (element, { length, endDiameter }) => ({
    ...element,
    length: dim(length),
    endDiameter: dim(endDiameter),
  }),
  ...straightJoins,
  tools: STRAIGHT_TOOLS,
  cut: (_, name, standing) => downhill(name, standing),
};

export const shoulder: KindRow<'shoulder'> = {
  words: 'shoulder',
  fields: { endDiameter: { is: 'dimension' } },
  fresh: (id, d) => ({ kind: 'shoulder', id, endDiameter: dim(d * 0.8) }),
  shape: (element, x, r) => line(element, x, r, 0, element.endDiameter.mm / 2),
  mirrored: endsSwapped,
  sized: [],
  breaks: true,
  tools: ['parting tool', 'skew'],
  cut: (_, name, { startDiameter, endDiameter }) =>
    `Square the ${name} with a peeling cut, down to ${len(Math.min(startDiameter, endDiameter))}.`,
};
