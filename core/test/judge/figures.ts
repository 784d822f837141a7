/** A figure as a person reads it: its name, its size, and the end it is measured from. */
export interface Figure {
  name: string;
  mm: number;
  from: { kind: string; side?: 'low' | 'high'; id?: string } | null;
}

/** The figure of a name. */
export function figure(said: readonly Figure[], name: string, otherwise?: number): number {
  const found = said.find((s) => s.name === name)?.mm ?? otherwise;
  if (found === undefined) throw new Error(`Nobody says “${name}”.`);
  return found;
}

/** From one place to another, how thick at both, and how far off the straight between them. mm */
interface Stretch {
  x0: number;
  r0: number;
  x1: number;
  r1: number;
  off: number;
}

/** Stretches as they are read: from, ⌀, then each to, ⌀, and how far it stands off the straight. */
export function stretchesOf(said: readonly Figure[]): Stretch[] {
  const stretches: Stretch[] = [];
  let [x, r] = [figure(said, 'from'), figure(said, '⌀') / 2];
  said.forEach((one, i) => {
    if (one.name !== 'to') return;
    const next = said[i + 1]?.mm ?? 0;
    const curve = said[i + 2];
    const off = curve?.name === 'round by' ? curve.mm : curve?.name === 'hollow by' ? -curve.mm : 0;
    stretches.push({ x0: x, r0: r, x1: one.mm, r1: next / 2, off });
    [x, r] = [one.mm, next / 2];
  });
  return stretches;
}

/** Radius at x; of two that meet in a step the larger. Null beyond what is said. */
export function radiusOf(stretches: readonly Stretch[], x: number): number | null {
  const there = stretches.filter((s) => x >= s.x0 - 1e-9 && x <= s.x1 + 1e-9 && s.x1 > s.x0);
  return there.length === 0 ? null : Math.max(...there.map((s) => radiusIn(s, x)));
}

/** On a circle through both ends that stands so far off their chord: R = (c²/4 + s²) / 2s. */
function radiusIn({ x0, r0, x1, r1, off }: Stretch, x: number): number {
  const share = (x - x0) / (x1 - x0);
  if (off === 0) return r0 + share * (r1 - r0);
  const chord = Math.hypot(x1 - x0, r1 - r0);
  const s = Math.abs(off);
  const big = (chord * chord) / 4 + s * s;
  const radius = big / (2 * s);
  const [nx, nr] = [-(r1 - r0) / chord, (x1 - x0) / chord];
  const side = Math.sign(off);
  const back = radius - s;
  const cx = (x0 + x1) / 2 - side * nx * back;
  const cr = (r0 + r1) / 2 - side * nr * back;
  return Math.max(0, cr + side * Math.sqrt(Math.max(0, radius * radius - (x - cx) ** 2)));
}
