import { figure, radiusOf, stretchesOf, type Figure } from './figures.js';
import { about, inGlued, lumpHas, ownHas, PITCH, TURNS, type Axis, type Lump, type Place } from './lump.js';

const { hypot, round, max, min, abs, sin, cos, sqrt } = Math;

/** What a person reads of an operation, and what the pieces of wood are called afterwards. */
export interface Told {
  id: string;
  /** what it does, in one word */
  does: string;
  on: readonly string[];
  said: readonly Figure[];
  names: readonly (string | null)[];
}

const STRAIGHT: Axis = { at: [0, 0, 0], along: [1, 0, 0] };
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const away = (degrees: number): Place => [0, sin(rad(degrees)), cos(rad(degrees))];

/**
 * A second, small lathe that imports nothing of the room: it holds a lump as a radius over x and angle, with what
 * is taken out across its axis as places, and does what the figures of the operations say, from the ends that
 * stand now. Its piece is compared with the drawing.
 */
export class TestLathe {
  readonly lumps = new Map<string, Lump>();
  private axis: Axis = STRAIGHT;

  /** Does all that is told, in order. */
  make(all: readonly Told[]): this {
    all.forEach((one) => this.obey(one));
    return this;
  }

  /** Whether there is wood at a place of a lump's frame. */
  has(name: string, p: Place): boolean {
    const lump = this.lumps.get(name);
    return lump !== undefined && lumpHas(lump, p);
  }

  /** The lump that a joined one was made of, cut by what was done to them together. */
  partHas(name: string, index: number, p: Place): boolean {
    const lump = this.lumps.get(name);
    const part = lump?.glued[index];
    return (
      lump !== undefined && part !== undefined && ownHas(lump, p) && lumpHas(part.lump, inGlued(p, part))
    );
  }

  private obey(told: Told): void {
    switch (told.does) {
      case 'saw':
        return this.saw(told);
      case 'hold':
        return this.hold(told);
      case 'rough':
      case 'tenon':
      case 'size':
      case 'shape':
      case 'hollow':
      case 'stub':
      case 'nib':
      case 'face':
        return this.cut(told);
      case 'bore':
        return this.bore(told);
      case 'part':
        return this.part(told);
      case 'join':
        return this.join(told);
      case 'sanded':
        return this.sand(told);
      default:
    }
  }

  private lump(told: Told, i = 0): Lump {
    const lump = this.lumps.get(told.on[i] ?? '');
    if (!lump) throw new Error(`${told.id}: there is no ${told.on[i]}.`);
    return lump;
  }

  private saw(told: Told): void {
    const { said, names } = told;
    const below = said.find((s) => s.name === 'off below each corner');
    if (below) return this.clip(this.lump(told), below.mm);
    const across = figure(said, 'across');
    const length = figure(said, 'length');
    const cells = round(length / PITCH) + 1;
    this.lumps.set(names[0] ?? '', {
      low: 0,
      high: length,
      half: across / 2,
      radius: Array.from({ length: cells }, () => new Float64Array(TURNS).fill(Infinity)),
      bore: new Float64Array(cells),
      taken: [],
      flats: new Map(),
      glued: [],
    });
  }

  /** A corner is gone down to a flat so far below it. */
  private clip(lump: Lump, below: number): void {
    const left = 2 * lump.half - below * Math.SQRT2;
    lump.taken.push(([, y, z]) => abs(y) + abs(z) > left);
  }

  private hold(told: Told): void {
    if (told.said.length === 0) {
      if (!told.id.includes('tail away')) this.axis = STRAIGHT;
      return;
    }
    const at = told.said.find((s) => s.name === 'axis at');
    const x = at ? this.place(told, at) : 0;
    const direction = away(figure(told.said, 'axis towards, degrees', 0));
    const off = figure(told.said, 'axis off by', 0);
    const lean = rad(figure(told.said, 'axis leans, degrees', 0));
    this.axis = {
      at: [x, direction[1] * off, direction[2] * off],
      along: [cos(lean), direction[1] * sin(lean), direction[2] * sin(lean)],
    };
  }

  /** x of the frame of what a figure says, from the end that stands now. */
  private place(told: Told, { mm, from }: Figure): number {
    const lump = this.lump(told);
    return from?.side === 'high' ? lump.high - mm : lump.low + mm;
  }

  private cut(told: Told): void {
    const { said } = told;
    const lump = this.lump(told);
    const face = said.find((s) => s.name === 'face to');
    if (face) return this.face(lump, face);
    const flat = said.find((s) => s.name === 'flat above the axis');
    if (flat) return this.flatten(lump, told.id, flat.mm);
    const begins = said[0];
    if (begins?.from?.kind === 'flat') return this.hollow(lump, told);
    const stretches = stretchesOf(said);
    const sign = begins?.from?.side === 'high' ? -1 : 1;
    const origin = sign === 1 ? lump.low : lump.high;
    const inside = told.id.startsWith('hollow');
    for (let i = 0; i < lump.radius.length; i++) {
      const wanted = radiusOf(stretches, sign * (i * PITCH - origin));
      if (wanted === null) continue;
      if (inside) lump.bore[i] = max(lump.bore[i] ?? 0, wanted);
      else this.reduce(lump, i, wanted + figure(said, 'left for sanding, on the radius', 0));
    }
  }

  /** Nothing of a slice is left farther than so much from the axis the work turns about. */
  private reduce(lump: Lump, slice: number, wanted: number): void {
    const { at, along } = this.axis;
    if (abs(along[0]) < 0.99) throw new Error('This lathe turns outsides about axes along the wood only.');
    const x = slice * PITCH - at[0];
    const centre = [at[1] + (along[1] / along[0]) * x, at[2] + (along[2] / along[0]) * x] as const;
    const row = lump.radius[slice];
    if (!row) return;
    for (let i = 0; i < TURNS; i++) {
      const [, y, z] = away((360 / TURNS) * i);
      // the ray from the middle leaves the circle round the axis here
      const b = y * centre[0] + z * centre[1];
      const inside = wanted ** 2 - centre[0] ** 2 - centre[1] ** 2 + b * b;
      const leaves = inside < 0 ? 0 : b + sqrt(inside);
      row[i] = min(row[i] ?? 0, max(0, leaves));
    }
  }

  private face(lump: Lump, { mm, from }: Figure): void {
    if (from?.side === 'high') lump.high -= mm;
    else lump.low += mm;
  }

  private flatten(lump: Lump, id: string, above: number): void {
    const { axis } = this;
    lump.flats.set(id, { axis, above });
    lump.taken.push((p) => about(p, axis).x > above);
  }

  private hollow(lump: Lump, { id, said }: Told): void {
    const flat = lump.flats.get(said[0]?.from?.id ?? '');
    if (!flat) throw new Error(`${id}: the flat is not there.`);
    const stretches = stretchesOf(said);
    lump.taken.push((p) => {
      const { x, r } = about(p, flat.axis);
      const wanted = radiusOf(stretches, flat.above - x);
      return wanted !== null && r < wanted;
    });
  }

  private bore(told: Told): void {
    const { said } = told;
    const lump = this.lump(told);
    const across = said.find((s) => s.name === 'across at');
    if (across) return this.boreAcross(told, lump, this.place(told, across));
    const bits = said.filter((s) => s.name === 'bit').map((s) => s.mm);
    const deep = said.filter((s) => s.name === 'deep');
    const angle = figure(said, 'point, degrees', 180);
    let from = 0;
    deep.forEach((depth, i) => {
      const r = (bits[i] ?? 0) / 2;
      const cone = i === deep.length - 1 && angle < 180 ? r / Math.tan(rad(angle / 2)) : 0;
      for (let d = from; d <= depth.mm + cone; d += PITCH / 2) {
        const x = depth.from?.side === 'high' ? lump.high - d : lump.low + d;
        const slice = round(x / PITCH);
        const wide = d <= depth.mm ? r : r * (1 - (d - depth.mm) / cone);
        lump.bore[slice] = max(lump.bore[slice] ?? 0, wide);
      }
      from = depth.mm;
    });
  }

  private boreAcross({ said }: Told, lump: Lump, x: number): void {
    const angle = figure(said, 'round, degrees');
    const r = figure(said, 'bit') / 2;
    const to = away(angle);
    const row = lump.radius[round(x / PITCH)];
    const turned = row?.[round((((angle % 360) + 360) % 360) / (360 / TURNS)) % TURNS] ?? 0;
    const mouth = min(turned, lump.half / max(abs(to[1]), abs(to[2])));
    const deep = said.find((s) => s.name === 'deep from the surface')?.mm ?? Infinity;
    lump.taken.push((p) => {
      const height = p[1] * to[1] + p[2] * to[2];
      const aside = hypot(p[1] - height * to[1], p[2] - height * to[2]);
      return hypot(p[0] - x, aside) < r && height > mouth - deep;
    });
  }

  private part(told: Told): void {
    const whole = this.lump(told);
    const inside = told.said.find((s) => s.name === 'ring inside ⌀');
    if (inside) return this.free(told, whole, inside.mm / 2);
    const at = told.said[0];
    if (!at) return;
    const x = this.place(told, at);
    this.lumps.delete(told.on[0] ?? '');
    told.names.forEach((name, i) => {
      if (name === null) return;
      this.lumps.set(name, { ...whole, ...(i === 0 ? { high: x } : { low: x }) });
    });
  }

  /** The ring is a lump of its own from then on, as hollow as it is told; the other is as thick below it. */
  private free(told: Told, whole: Lump, r: number): void {
    const [from, to] = ['ring from', 'ring to'].map((name) => {
      const said = told.said.find((s) => s.name === name);
      return said ? this.place(told, said) : 0;
    }) as [number, number];
    this.lumps.set(told.names[0] ?? '', {
      ...whole,
      low: min(from, to),
      high: max(from, to),
      radius: whole.radius.map((row) => row.slice()),
      bore: whole.bore.map((wide) => max(wide, r)),
    });
    whole.radius.forEach((row, i) => {
      const x = i * PITCH;
      if (x >= min(from, to) && x <= max(from, to)) row.forEach((was, j) => (row[j] = min(was, r)));
    });
  }

  /** The second goes into the first, so deep; both are one from then on. */
  private join(told: Told): void {
    const deep = told.said.find((s) => s.name === 'goes in');
    if (!deep) return;
    const [outer, inner] = [this.lump(told, 0), this.lump(told, 1)];
    const enters = told.said.find((s) => s.name === 'by its end')?.from;
    const bottom = this.place(told, deep);
    const mouthRuns = deep.from?.side === 'high' ? -1 : 1;
    const tip = enters?.side === 'high' ? inner.high : inner.low;
    const tipRuns = enters?.side === 'high' ? -1 : 1;
    const runs = mouthRuns * tipRuns === 1 ? -1 : 1;
    const at = bottom - runs * tip;
    const ends = [outer.low, outer.high, at + runs * inner.low, at + runs * inner.high];
    const [low, high] = [min(...ends), max(...ends)];
    if (low < 0) throw new Error('This lathe lays the wood that is entered first.');
    const cells = round(high / PITCH) + 1;
    told.on.forEach((name) => this.lumps.delete(name));
    this.lumps.set(told.names[0] ?? '', {
      low,
      high,
      half: Infinity,
      radius: Array.from({ length: cells }, () => new Float64Array(TURNS).fill(Infinity)),
      bore: new Float64Array(cells),
      taken: [],
      flats: new Map(),
      glued: [
        { lump: outer, at: 0, runs: 1 },
        { lump: inner, at, runs },
      ],
    });
  }

  private sand(told: Told): void {
    const takes = told.said.find((s) => s.name === 'takes off the radius');
    if (!takes) return;
    const lump = this.lump(told);
    const places = told.said.filter((s) => s.name === 'from' || s.name === 'to');
    for (let i = 0; i + 1 < places.length; i += 2) {
      const [from, to] = places.slice(i, i + 2);
      if (from && to) this.rub(lump, this.place(told, from), this.place(told, to), takes.mm);
    }
  }

  private rub(lump: Lump, from: number, to: number, mm: number): void {
    for (let i = 0; i < lump.radius.length; i++) {
      const x = i * PITCH;
      if (x < min(from, to) || x > max(from, to)) continue;
      const row = lump.radius[i];
      row?.forEach((r, j) => (row[j] = max(0, r - mm)));
    }
  }
}
