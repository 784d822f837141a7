import type { Units } from '@compas/core';
import { HALF, L, mmOf, type Printed } from './printed.js';
import { rule, type Cut, type Moment } from './moment.js';

/** A place of what is turned: along the wood, and from the axis. mm */
export interface Place {
  x: number;
  r: number;
}

/** So many places of each stretch are looked at. */
const PLACES = 12;

/** An arc through both ends that stands off its chord by so much, place by place. */
function arc(a: Place, b: Place, off: number): Place[] {
  const chord = Math.hypot(b.x - a.x, b.r - a.r);
  const at = (share: number): Place => ({ x: a.x + share * (b.x - a.x), r: a.r + share * (b.r - a.r) });
  if (Math.abs(off) < 1e-6 || chord < 1e-6)
    return Array.from({ length: PLACES + 1 }, (_, i) => at(i / PLACES));
  // about the middle of the circle: R = (c²/4 + s²) / 2s
  const s = Math.abs(off);
  const big = (chord * chord) / 4 / (2 * s) + s / 2;
  const half = Math.asin(Math.min(1, chord / 2 / big));
  const wide = s > chord / 2 ? Math.PI - half : half;
  const [ux, ur] = [(b.x - a.x) / chord, (b.r - a.r) / chord];
  return Array.from({ length: PLACES + 1 }, (_, i) => {
    const angle = -wide + (2 * wide * i) / PLACES;
    const along = chord / 2 + big * Math.sin(angle);
    const above = Math.sign(off) * (big * Math.cos(angle) - big * Math.cos(wide));
    // outwards is away from the axis: to the left of the way along the wood
    const side = Math.sign(b.x - a.x) || 1;
    return { x: a.x + along * ux - side * above * ur, r: a.r + along * ur + side * above * ux };
  });
}

/** What a cut leaves, place by place in the wood's frame; along its own axis where that is another. */
export function played({ skin }: Cut, own: boolean): Place[] {
  const fat = (x: number) => skin.fat.find((f) => x > f.x0 - 1e-6 && x < f.x1 + 1e-6)?.mm ?? 0;
  const along = (x: number) => (own ? x : skin.axis.at[0] + skin.axis.along[0] * x);
  return skin.profile.flatMap(({ x0, r0, x1, r1, bulge }) => {
    const off = (bulge * Math.hypot(x1 - x0, r1 - r0)) / 2;
    const left = fat((x0 + x1) / 2);
    return arc({ x: x0, r: r0 }, { x: x1, r: r1 }, off).map(({ x, r }) => ({ x: along(x), r: r + left }));
  });
}

const apart = (a: Place, b: Place): number => Math.hypot(a.x - b.x, a.r - b.r);
/** How far a place lies from the nearest of a line through others, mm. */
function fromLine(place: Place, line: readonly Place[]): number {
  let nearest = Infinity;
  line.forEach((b, i) => {
    const a = line[i - 1] ?? b;
    const long = apart(a, b);
    const share =
      long < 1e-9 ? 0 : ((place.x - a.x) * (b.x - a.x) + (place.r - a.r) * (b.r - a.r)) / (long * long);
    const on = Math.min(1, Math.max(0, share));
    nearest = Math.min(nearest, apart(place, { x: a.x + on * (b.x - a.x), r: a.r + on * (b.r - a.r) }));
  });
  return nearest;
}

/** Where two readings differ, in words; nothing where they are one. */
export type Misread = string[];
export const differs = (what: string, read: number | undefined, is: number, by: number): Misread =>
  read !== undefined && Math.abs(read - is) <= by
    ? []
    : [`${what}: ${read ?? 'nothing'} is read, ${is} is done`];

const STOP = new RegExp(
  String.raw`(at it|${L}) (in the middle|from a point|to a point|⌀ ${L})(?: \((round|hollow) by (${L})\))?`,
  'g',
);

/** The profile as the words tell it, laid off from the end that they name. */
function toldProfile(words: string, runs: (mm: number) => number): Place[] | null {
  const groups = [...words.matchAll(/(?:From [^:]*|On from there): ([^:]*→[^:]*?)\.(?= |$)/g)].map(
    (m) => m[1] ?? '',
  );
  if (groups.length === 0) return null;
  const places: Place[] = [];
  for (const group of groups) {
    [...group.matchAll(STOP)].forEach(([, x = '', across = '', way, off], i) => {
      const at = {
        x: runs(x === 'at it' ? 0 : mmOf(x)),
        r: across.startsWith('⌀') ? mmOf(across.slice(2)) / 2 : 0,
      };
      const last = places.at(-1);
      if (i === 0 && last) return;
      if (last) places.push(...arc(last, at, way ? (way === 'round' ? 1 : -1) * mmOf(off ?? '') : 0));
      else places.push(at);
    });
  }
  return places;
}

/** A profile that is told and one that is cut lie on each other; of a flowing curve up to a tenth aside. */
export function profileRead(moment: Moment, shown: Printed, cut: Cut, units: Units): Misread {
  const named = /From ([^:]*):/.exec(shown.words)?.[1] ?? '';
  const inside = named.includes('rim');
  const runs = inside ? (mm: number) => mm : rule(moment, named);
  const told = runs && toldProfile(shown.words, runs);
  const { profile } = cut.skin;
  if (!told || told.length === 0) return [`no profile is told in “${shown.words}”`];
  const done = played(cut, inside);
  // what is printed is rounded at each end, and how far it stands off with it
  const by = 0.12 + 3 * HALF[units] + (profile.length > 4 ? 0.1 : 0);
  const far = [...done.map((p) => fromLine(p, told)), ...told.map((p) => fromLine(p, done))];
  const worst = Math.max(...far);
  return worst > by ? [`the profile is ${worst.toFixed(2)} aside`] : [];
}
