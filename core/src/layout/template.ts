import { len, type Finding } from '../measure/index.js';
import { widestOf, type Outline } from '../pattern/index.js';
import type { Copying } from '../workshop/index.js';
import {
  edgeOf,
  endOf,
  flipped,
  heightAt,
  heightOf,
  slopeOf,
  startOf,
  type Edge,
  type Piece,
} from './edge.js';
import { offsetAbove } from './offset.js';

/** A stretch of the profile that the copying attachment does not cut as drawn. mm */
export interface Missed {
  x0: number;
  x1: number;
  /** where it is worst, and by how much on the radius */
  x: number;
  by: number;
}

/** A corner of the template's edge. */
export interface Corner {
  x: number;
  /** degrees that the edge turns by; 90 where it stands up */
  turn: number;
}

/** A template for the copying attachment, its edge lying above the axis as the profile does. mm */
export interface Template {
  edge: Edge;
  /** what comes out on the work */
  reached: Edge;
  /** wood left standing where the cutter does not get in */
  left: Missed[];
  /** wood cut away that should stand */
  gouged: Missed[];
  corners: Corner[];
  /** the template is split here, so that both halves are cut from thick to thin */
  splitAt: number;
  /** flat run before and after the profile */
  lead: number;
}

/** Flat run at both ends, so that the stylus comes in and goes out level. mm */
const LEAD = 15;
/** A template is checked this often. mm */
const STEP = 0.5;
/** Differences below this are not worth a word. mm on the radius */
const WORTH_SAYING = 0.02;
/** The edge of a template that turns by more than this stops a stylus. degrees */
const CORNER = 12;

/**
 * Template that makes a cutter of nose radius c draw a profile P when a stylus of radius s follows it: the
 * middle of both runs along P ⊕ D(c), and the edge lies s below it: T = (P ⊕ D(c)) ⊖ D(s), with ⊕ and ⊖
 * Minkowski sum and difference with a disc (mathematical morphology; rolling ball). What comes out on the
 * work is ((T ⊕ D(s)) ⊖ D(c)): hollows tighter than c stay full, and where s > c corners are cut off.
 */
export function templateOf(
  outline: Outline,
  { stylus, cutter }: Pick<Copying, 'stylus' | 'cutter'>,
): Template {
  const reach = LEAD + 2 * (stylus + cutter);
  const wished = withLeads(outline, reach, cutter);
  const path = offsetAbove(wished, cutter);
  const edge = below(path, stylus);
  // a stylus no larger than the cutter follows the whole path: (C ⊖ D(s)) ⊕ D(s) = C for C = P ⊕ D(c), s ≤ c
  const reached = below(stylus <= cutter ? path : offsetAbove(edge, stylus), cutter);
  const { left, gouged } = missedOf(edgeOf(outline.segments), reached);
  const shown = clipped(edge, -LEAD, outline.length + LEAD);
  return {
    edge: shown,
    reached: clipped(reached, 0, outline.length),
    left,
    gouged,
    corners: cornersOf(shown),
    splitAt: widestOf(outline).x,
    lead: LEAD,
  };
}

const below = (edge: Edge, distance: number): Edge => flipped(offsetAbove(flipped(edge), distance));

/**
 * Flat runs before and after. Where the profile falls steeply to its end they lie as much lower as the nose
 * reaches below that end, r(1 − cos slope): a level run there would hold the cutter off.
 */
function withLeads(outline: Outline, reach: number, cutter: number): Edge {
  const edge = edgeOf(outline.segments);
  const [first, last] = [edge[0], edge.at(-1)];
  if (!first || !last) return [];
  const below = (fall: number) => (fall > 0 ? cutter * (1 - Math.cos(Math.atan(fall))) : 0);
  const start = Math.max(0, startOf(first) - below(slopeOf(first, first.x0 + 1e-6)));
  const end = Math.max(0, endOf(last) - below(-slopeOf(last, last.x1 - 1e-6)));
  const flat = (x0: number, x1: number, y: number): Piece => ({ kind: 'line', x0, x1, y0: y, y1: y });
  return [flat(first.x0 - reach, first.x0, start), ...edge, flat(last.x1, last.x1 + reach, end)];
}

function clipped(edge: Edge, from: number, to: number): Edge {
  return edge.flatMap((piece): Piece[] => {
    const x0 = Math.max(piece.x0, from);
    const x1 = Math.min(piece.x1, to);
    if (x1 - x0 <= 1e-9) return [];
    return piece.kind === 'line'
      ? [{ kind: 'line', x0, x1, y0: heightOf(piece, x0), y1: heightOf(piece, x1) }]
      : [{ ...piece, x0, x1 }];
  });
}

/** Walks both edges together and gathers the stretches where they differ. */
function missedOf(wished: Edge, reached: Edge): { left: Missed[]; gouged: Missed[] } {
  const [from, to] = [wished[0]?.x0 ?? 0, wished.at(-1)?.x1 ?? 0];
  const places = placesAlong(wished, from, to);
  const left: Missed[] = [];
  const gouged: Missed[] = [];
  const walk = { wished: walker(wished), reached: walker(reached) };
  for (const x of places) {
    const want = walk.wished(x);
    const got = walk.reached(x);
    if (want === null || got === null) continue;
    gather(left, x, got - want);
    gather(gouged, x, want - got);
  }
  for (const [missed, sign] of [
    [left, 1],
    [gouged, -1],
  ] as const)
    for (const m of missed) {
      const [want, got] = [around(wished, m.x), around(reached, m.x)];
      atWorst(m, (x) => sign * ((heightAt(got, x) ?? 0) - (heightAt(want, x) ?? 0)));
    }
  return { left, gouged };
}

/** The few pieces near a place. */
const around = (edge: Edge, x: number): Edge =>
  edge.filter((p) => p.x1 > x - 2 * STEP && p.x0 < x + 2 * STEP);

/** Goes to the worst place itself, which lies between two that were looked at (halving by thirds). */
function atWorst(m: Missed, by: (x: number) => number): void {
  let [a, b] = [Math.max(m.x0, m.x - STEP), Math.min(m.x1, m.x + STEP)];
  for (let i = 0; i < 24; i++) {
    const third = (b - a) / 3;
    if (by(a + third) < by(b - third)) a += third;
    else b -= third;
  }
  const found = by((a + b) / 2);
  if (found > m.by) [m.x, m.by] = [(a + b) / 2, found];
}

/** Places every STEP, and just inside both ends of every piece. */
function placesAlong(edge: Edge, from: number, to: number): Float64Array {
  const even = Math.ceil((to - from) / STEP) + 1;
  const places = new Float64Array(even + 2 * edge.length);
  for (let i = 0; i < even; i++) places[i] = Math.min(to, from + i * STEP);
  edge.forEach((p, i) => {
    places[even + 2 * i] = p.x0 + 1e-6;
    places[even + 2 * i + 1] = p.x1 - 1e-6;
  });
  return places.sort();
}

/** Reads an edge at places that only go on: no search from the beginning each time. */
function walker(edge: Edge): (x: number) => number | null {
  let i = 0;
  return (x) => {
    while (i + 1 < edge.length && (edge[i]?.x1 ?? 0) < x) i++;
    const piece = edge[i];
    return piece && x >= piece.x0 - 1e-6 ? heightOf(piece, x) : null;
  };
}

/** Two stretches this near are one. mm */
const NEAR = 2.5 * STEP;

function gather(missed: Missed[], x: number, by: number): void {
  if (by < WORTH_SAYING) return;
  const last = missed.at(-1);
  if (!last || x - last.x1 > NEAR) {
    missed.push({ x0: x, x1: x, x, by });
    return;
  }
  last.x1 = x;
  if (by > last.by) [last.x, last.by] = [x, by];
}

function cornersOf(edge: Edge): Corner[] {
  return edge.slice(1).flatMap((piece, i): Corner[] => {
    const before = edge[i];
    if (!before) return [];
    if (Math.abs(endOf(before) - startOf(piece)) > 1e-6) return [{ x: piece.x0, turn: 90 }];
    const angle = (p: Piece, x: number) => (Math.atan(slopeOf(p, x)) * 180) / Math.PI;
    const inside = Math.min(1e-6, (piece.x1 - piece.x0) / 2, (before.x1 - before.x0) / 2);
    const turn = Math.abs(angle(piece, piece.x0 + inside) - angle(before, before.x1 - inside));
    return turn > CORNER ? [{ x: piece.x0, turn }] : [];
  });
}

/** What the copying attachment cannot do with this profile, and what would. */
export function templateFindings(partId: string, template: Template, copying: Copying): Finding[] {
  const say = (
    id: string,
    severity: Finding['severity'],
    m: Missed,
    what: string,
    why: string,
    remedy: string,
  ) => ({
    id: `mark.template.${id}.${partId}`,
    severity,
    stage: 'mark' as const,
    partId,
    x: m.x,
    what,
    why,
    remedy,
  });
  const worst = (missed: readonly Missed[]) => missed.reduce((a, b) => (b.by > a.by ? b : a));
  const found: Finding[] = [];
  if (template.left.length > 0) {
    const m = worst(template.left);
    found.push(
      say(
        'left',
        'note',
        m,
        `The copying cutter leaves wood in ${template.left.length === 1 ? 'one place' : `${template.left.length} places`}, at most ${len(2 * m.by)} on the diameter, at ${len(m.x)}.`,
        `Its nose of ${len(copying.cutter)} radius does not go into a tighter hollow.`,
        'Finish those by hand, or grind a narrower nose.',
      ),
    );
  }
  if (template.gouged.length > 0) {
    const m = worst(template.gouged);
    found.push(
      say(
        'gouged',
        copying.stylus > copying.cutter ? 'warn' : 'note',
        m,
        `Following the template would cut ${len(2 * m.by)} too deep at ${len(m.x)}.`,
        `A stylus of ${len(copying.stylus)} radius is larger than the cutter's ${len(copying.cutter)}: it rides off corners before the cutter is past them.`,
        `Take a stylus of ${len(copying.cutter)} radius or less.`,
      ),
    );
  }
  return found;
}
