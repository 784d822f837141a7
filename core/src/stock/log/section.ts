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
 * Lays as many round billets of a radius as it can into a sector: again and again the place is taken
 * that touches two of the limits (splits, bark, clearance round the pith, other billets) and lies
 * furthest by a rule; of three rules the best is kept. Not proven to be the most, but never overlapping.
 */
export function packSector(section: CrossSection, sector: Sector, radius: number): Point[] {
  if (section.radius < radius) return [];
  const { pith } = section;
  const turn = (p: Point) => Math.atan2(p.y - pith.y, p.x - pith.x);
  const middle = ((sector.from + sector.to) / 2) * (Math.PI / 180);
  const away = (p: Point) => Math.hypot(p.x - pith.x, p.y - pith.y);
  const rules: ((p: Point) => number)[] = [
    away,
    (p) => -away(p),
    (p) => Math.abs(Math.sin((turn(p) - middle) / 2)) * 1000 + away(p) / 1000,
  ];
  return rules
    .map((rule) => packBy(section, sector, radius, rule))
    .reduce((a, b) => (b.length > a.length ? b : a));
}

function packBy(section: CrossSection, sector: Sector, radius: number, rule: (p: Point) => number): Point[] {
  const lines = splitLines(section, sector, radius);
  const outer: Ring = { centre: { x: 0, y: 0 }, radius: section.radius - radius };
  const inner: Ring = { centre: section.pith, radius: section.clearance + radius };
  const rings = [outer, inner];
  const placed: Point[] = [];
  const free = (p: Point) =>
    lines.every((l) => l.n.x * p.x + l.n.y * p.y >= l.d - SLACK) &&
    distance(p, outer.centre) <= outer.radius + SLACK &&
    distance(p, inner.centre) >= inner.radius - SLACK &&
    placed.every((q) => distance(p, q) >= 2 * radius - SLACK);
  let places = [...touchingLines(lines, rings), ...ringWithRing(outer, inner)].filter(free);
  for (;;) {
    const best = places.reduce<Point | null>(
      (a, b) => (a === null || rule(b) > rule(a) + SLACK ? b : a),
      null,
    );
    if (best === null) return placed;
    const ring = { centre: best, radius: 2 * radius };
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

const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
