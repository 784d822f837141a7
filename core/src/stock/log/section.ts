/** A point of a cross-section, mm from the middle of the log. */
export interface Point {
  x: number;
  y: number;
}

/** The cross-section that billets are laid out in: a round with its pith. mm. */
export interface CrossSection {
  /** usable radius: inside the bark, and inside the sapwood when that is left off */
  radius: number;
  pith: Point;
  /** nothing nearer to the pith than this */
  clearance: number;
}

/** A sector between two splits that begin at the pith. Angles in degrees, counted left round. */
export interface Sector {
  from: number;
  to: number;
  /** how far each split stands off its line into the sector, mm: a split that drifted */
  fromOffset: number;
  toOffset: number;
}

interface Line {
  /** points with n·p ≥ d lie inside */
  n: Point;
  d: number;
}

interface Ring {
  centre: Point;
  radius: number;
}

const SLACK = 1e-7;

/**
 * Lays as many round billets of a radius as it can into a sector. Two kinds of layout are tried: the fullest
 * plain lattices along the splits and between them, and none at all to begin with; each is filled up by taking, again and again, the place that touches two of the limits (splits, bark,
 * clearance round the pith, other billets) and comes first by a rule. The fullest is kept: not proven
 * to be the most, but never overlapping.
 */
export function packSector(section: CrossSection, sector: Sector, radius: number): Point[] {
  if (section.radius < radius) return [];
  const field = fieldOf(section, sector, radius);
  const away = (p: Point) => distance(p, section.pith);
  const starts = [[], ...fullestLattices(field, sector, section)];
  const rules = [
    away,
    (p: Point) => -away(p),
    (p: Point) => -Math.min(...field.lines.map((l) => beyond(l, p))),
  ];
  let best: Point[] = [];
  for (const start of starts)
    for (const rule of start.length > 0 ? [away] : rules) {
      const packed = fillUp(field, start, rule);
      if (packed.length > best.length) best = packed;
    }
  return best;
}

/** Where the middle of a billet may lie. */
interface Field {
  radius: number;
  lines: Line[];
  outer: Ring;
  inner: Ring;
}

function fieldOf(section: CrossSection, sector: Sector, radius: number): Field {
  return {
    radius,
    lines: splitLines(section, sector, radius),
    outer: { centre: { x: 0, y: 0 }, radius: section.radius - radius },
    inner: { centre: section.pith, radius: section.clearance + radius },
  };
}

/** How far a point lies inside a limit. */
const beyond = ({ n, d }: Line, p: Point): number => n.x * p.x + n.y * p.y - d;

const inField = ({ lines, outer, inner }: Field, p: Point): boolean =>
  lines.every((l) => beyond(l, p) >= -SLACK) &&
  distance(p, outer.centre) <= outer.radius + SLACK &&
  distance(p, inner.centre) >= inner.radius - SLACK;

/** Shifts of a lattice along its rows, in parts of a billet. */
const SHIFTS = 6;
/** Lattices that are filled up: the fullest as they are. */
const FILLED = 2;

/**
 * The fullest plain lattices: rows along either split and along the middle between them, packed closely or
 * square, at several shifts. Counting is cheap; only what holds most is filled up.
 */
function fullestLattices(field: Field, sector: Sector, section: CrossSection): Point[][] {
  const middle = (sector.from + sector.to) / 2;
  const found = [sector.from, sector.to, middle].flatMap((angle, side) =>
    [true, false].flatMap((close) =>
      Array.from({ length: SHIFTS }, (_, shift) =>
        lattice(field, section, { angle, line: field.lines[side], close, shift: shift / SHIFTS }),
      ),
    ),
  );
  return found.sort((a, b) => b.length - a.length).slice(0, FILLED);
}

interface LatticeWish {
  angle: number;
  /** the split that its first row touches; without one its middle row runs through the pith */
  line: Line | undefined;
  /** every second row stands in the gaps of the one before */
  close: boolean;
  /** along the rows, in parts of a billet */
  shift: number;
}

function lattice(field: Field, section: CrossSection, { angle, line, close, shift }: LatticeWish): Point[] {
  const { radius } = field;
  const across = 2 * section.radius;
  const a = (angle * Math.PI) / 180;
  const u = { x: Math.cos(a), y: Math.sin(a) };
  const n = line?.n ?? { x: -u.y, y: u.x };
  const { pith } = section;
  // rows are counted from the pith: the first place of the first row stands over it
  const over = line ? line.d - n.x * pith.x - n.y * pith.y : 0;
  const foot = { x: pith.x + n.x * over, y: pith.y + n.y * over };
  const before = Math.ceil(across / (2 * radius)) * 2 * radius;
  const rise = radius * (close ? Math.sqrt(3) : 2);
  const points: Point[] = [];
  for (let row = line ? 0 : -Math.ceil(across / rise); row * rise < across; row++) {
    const offset = 2 * radius * shift + (close ? Math.abs(row % 2) * radius : 0);
    for (let t = offset - before; t <= across; t += 2 * radius) {
      const p = { x: foot.x + u.x * t + n.x * row * rise, y: foot.y + u.y * t + n.y * row * rise };
      if (inField(field, p)) points.push(p);
    }
  }
  return points;
}

/** Adds billets to those that are placed, each where it touches two limits, the first by the rule. */
function fillUp(field: Field, start: readonly Point[], rule: (p: Point) => number): Point[] {
  const { radius, lines } = field;
  const placed = [...start];
  const ringOf = (centre: Point): Ring => ({ centre, radius: 2 * radius });
  const rings = [field.outer, field.inner, ...start.map(ringOf)];
  const free = (p: Point) => inField(field, p) && placed.every((q) => distance(p, q) >= 2 * radius - SLACK);
  let places = [...touchingLines(lines, rings), ...touchingRings(rings)].filter(free);
  for (;;) {
    const best = foremost(places, rule);
    if (best === null) return placed;
    const ring = ringOf(best);
    placed.push(best);
    places = [
      ...places.filter((p) => distance(p, best) >= ring.radius - SLACK),
      ...[
        ...lines.flatMap((l) => lineWithRing(l, ring)),
        ...rings.flatMap((r) => ringWithRing(r, ring)),
      ].filter(free),
    ];
    rings.push(ring);
  }
}

/** The first of the places by a rule; of those that are equal, the one that was found first. */
function foremost(places: readonly Point[], rule: (p: Point) => number): Point | null {
  let best: Point | null = null;
  let most = -Infinity;
  for (const place of places) {
    const by = rule(place);
    if (best !== null && by <= most + SLACK) continue;
    best = place;
    most = by;
  }
  return best;
}

const touchingRings = (rings: readonly Ring[]): Point[] =>
  rings.flatMap((ring, i) => rings.slice(i + 1).flatMap((other) => ringWithRing(ring, other)));

/** The splits as limits for the middle of a billet. */
function splitLines({ pith }: CrossSection, sector: Sector, radius: number): Line[] {
  const line = (angle: number, side: 1 | -1, offset: number): Line => {
    const a = (angle * Math.PI) / 180;
    const n = { x: -Math.sin(a) * side, y: Math.cos(a) * side };
    return { n, d: n.x * pith.x + n.y * pith.y + radius + offset };
  };
  return [line(sector.from, 1, sector.fromOffset), line(sector.to, -1, sector.toOffset)];
}

/** Points that lie on two of the limits, one of them a split. */
function touchingLines(lines: readonly Line[], rings: readonly Ring[]): Point[] {
  const [a, b] = lines;
  return [
    ...(a && b ? lineWithLine(a, b) : []),
    ...lines.flatMap((line) => rings.flatMap((ring) => lineWithRing(line, ring))),
  ];
}

function lineWithLine(a: Line, b: Line): Point[] {
  const det = a.n.x * b.n.y - a.n.y * b.n.x;
  if (Math.abs(det) < 1e-9) return [];
  return [{ x: (a.d * b.n.y - b.d * a.n.y) / det, y: (a.n.x * b.d - b.n.x * a.d) / det }];
}

function lineWithRing({ n, d }: Line, { centre, radius }: Ring): Point[] {
  const off = d - (n.x * centre.x + n.y * centre.y);
  const square = radius * radius - off * off;
  if (square < 0) return [];
  const along = Math.sqrt(square);
  const foot = { x: centre.x + n.x * off, y: centre.y + n.y * off };
  return [
    { x: foot.x - n.y * along, y: foot.y + n.x * along },
    { x: foot.x + n.y * along, y: foot.y - n.x * along },
  ];
}

function ringWithRing(a: Ring, b: Ring): Point[] {
  const d = distance(a.centre, b.centre);
  if (d < 1e-9 || d > a.radius + b.radius || d < Math.abs(a.radius - b.radius)) return [];
  const along = (d * d + a.radius ** 2 - b.radius ** 2) / (2 * d);
  const across = Math.sqrt(Math.max(0, a.radius ** 2 - along ** 2));
  const ux = (b.centre.x - a.centre.x) / d;
  const uy = (b.centre.y - a.centre.y) / d;
  const foot = { x: a.centre.x + ux * along, y: a.centre.y + uy * along };
  return [
    { x: foot.x - uy * across, y: foot.y + ux * across },
    { x: foot.x + uy * across, y: foot.y - ux * across },
  ];
}

const distance = (a: Point, b: Point): number => Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);
