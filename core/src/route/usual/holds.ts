import { len } from '../../measure/index.js';
import type { PartEnd, TurningAxis } from '../../pattern/index.js';
import type { AxisSaid } from '../say/place.js';
import type { Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { each, MINUTES } from './minutes.js';

/** What is always done before it is switched on. */
const BY_HAND = 'Turn it by hand once, rest locked.';

/** A centre in an end: in its hole where it is drilled, else in the face. */
export function centre(bench: Bench, end: PartEnd, by: Grip['by'], words: string): Grip {
  const x = bench.standsAt(end);
  const hole = bench.now.body.drilled.find(
    (d) => Math.abs(d.at.at[0] - x) < 1e-6 && Math.abs(d.at.along[0]) > 0.99 && d.at.at[1] === 0,
  );
  return hole
    ? { by, words, on: { of: 'hole', id: hole.id, x0: x, x1: x } }
    : { by, words, on: { of: 'stock', id: 'stock', x0: x, x1: x } };
}

interface Taking {
  by: string;
  title: string;
  words?: string[];
  /** what drives, asked for anew each time: ends and holes change */
  drive: () => Grip;
  tail: () => Grip | null;
  alone: boolean;
  /** whether what was turned before runs true in it; what is put back into it does */
  keepsTrue?: boolean;
}

/** Takes hold of the piece so, and goes on from there until something else takes it. */
export function holdIt(
  bench: Bench,
  { by, title, words = [], drive, tail, alone, keepsTrue = true }: Taking,
) {
  const take = (pass?: string, again = `${title}, as before`) => {
    const atEnd = bench.tailGone ? null : tail();
    bench.writer.hold({
      wood: bench.wood,
      by,
      ...(pass === undefined ? {} : { pass }),
      place: 'lathe',
      drive: drive(),
      tail: atEnd,
      keepsTrue: pass !== undefined || keepsTrue,
      title: pass === undefined ? title : again,
      words: pass === undefined ? [...words, ...atTail(atEnd), BY_HAND] : [],
      minutes: each(MINUTES.mount),
    });
  };
  take();
  bench.hold = { take, alone };
}

export const fixtures = ({ work: { mount } }: Bench): string[] =>
  (mount.fixtures ?? []).map((f) => `${f.charAt(0).toUpperCase()}${f.slice(1)}.`);

const atTail = (tail: Grip | null): string[] => (tail ? [`${tail.words} at the tail.`] : []);

/** The live centre in the tail end, or nothing where nothing supports it. */
export const liveCentre = (bench: Bench): Grip | null =>
  bench.work.mount.tailstock === null
    ? null
    : centre(bench, bench.lie.tail, 'live centre', bench.work.mount.tailstock);

/** What is at the drive and at the tail of what turns between centres. */
export interface Between {
  drive?: string;
  live?: string;
}

export function betweenCentres(bench: Bench, { drive, live }: Between = {}): void {
  const { lie, work } = bench;
  const headstock = drive ?? work.mount.headstock;
  holdIt(bench, {
    by: 'centres',
    drive: () => centre(bench, lie.drive, 'spur centre', headstock),
    // between centres there always is one; a workshop without is told that it lacks it
    tail: () => centre(bench, lie.tail, 'live centre', live ?? work.mount.tailstock ?? work.centres.live),
    alone: false,
    title: `Between centres, the ${lie.drive} end at the headstock`,
    words: drive === undefined ? fixtures(bench) : [],
  });
}

/** Where the second marks lie on both end faces: alike for an axis beside the first, each its own for one that leans. */
export function secondMarks(bench: Bench, axis: TurningAxis | undefined): string[] {
  if (!axis) return [];
  const { lie, work } = bench;
  const x = {
    reference: -bench.waste('reference'),
    far: work.outline.length + bench.waste('far'),
  };
  const lean = Math.tan((axis.tilt * Math.PI) / 180);
  const said = (end: PartEnd) => {
    const off = axis.shift.mm + (x[end] - (axis.along?.mm ?? 0)) * lean;
    if (Math.abs(off) < AT_MARK) return 'stays on the first';
    return `${len(Math.abs(off))} off the first${off < 0 ? ', on the other side of it' : ''}`;
  };
  return [
    `Second marks on one line across the ends, towards ${axis.direction}°: at the drive ${said(lie.drive)}, at the tail ${said(lie.tail)}.`,
  ];
}

/** Nearer than so a mark is the first one, mm. */
const AT_MARK = 0.05;

/** A further axis as it is told: where it passes the first one, from the end that stands now, how far off and leaning how. */
export const furtherAxis = (bench: Bench, axis: TurningAxis | undefined): AxisSaid => ({
  at: { mm: bench.from(axis?.along?.mm ?? 0), from: bench.datum('reference') },
  shift: axis?.shift.mm ?? 0,
  direction: axis?.direction ?? 0,
  lean: axis?.tilt ?? 0,
});
