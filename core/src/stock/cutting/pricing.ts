import { columnOf, room, type Column, type Run, type Strip } from './column.js';
import { freeOf, type Sheet, type StripClass, type StripEntry } from './sheet.js';

/** The best filling of a length with pieces that have a value each: the unbounded knapsack. */
interface Filling {
  value: number;
  entries: StripEntry[];
}

/**
 * Fills lengths by the unbounded knapsack's dynamic programme over the lengths that sums of pieces can
 * reach (Gilmore and Gomory, 1961); what was worked out for one length serves all shorter ones.
 */
class Filler {
  private readonly known = new Map<number, { value: number; entry: StripEntry | null }>();

  constructor(
    private readonly entries: readonly StripEntry[],
    private readonly values: readonly number[],
    private readonly kerf: number,
  ) {}

  fill(length: number): Filling {
    let left = length + this.kerf;
    const { value } = this.best(left);
    const entries: StripEntry[] = [];
    for (let entry = this.best(left).entry; entry; entry = this.best(left).entry) {
      entries.push(entry);
      left -= entry.size + this.kerf;
    }
    return { value, entries: entries.sort((a, b) => b.size - a.size) };
  }

  private best(left: number): { value: number; entry: StripEntry | null } {
    const known = this.known.get(left);
    if (known) return known;
    let found: { value: number; entry: StripEntry | null } = { value: 0, entry: null };
    this.entries.forEach((entry, i) => {
      const gain = this.values[i] ?? 0;
      const step = entry.size + this.kerf;
      if (gain <= 1e-9 || step > left) return;
      const value = gain + this.best(left - step).value;
      if (value > found.value + 1e-9) found = { value, entry };
    });
    this.known.set(left, found);
    return found;
  }
}

/**
 * The most valuable way to cut up one stock piece in two stages, with a value for each blank: strips
 * are filled by the knapsack, then strips themselves are placed by dynamic programming over the places
 * where one can begin (Gilmore and Gomory, 1965).
 * @param values worth of one blank of each demand
 */
export function bestColumn(sheet: Sheet, values: readonly number[]): { column: Column; value: number } {
  const steps = new Steps(sheet, values);
  const strips: Strip[] = [];
  for (let i = 0; i < sheet.places.length; i = steps.next(i)) {
    const strip = steps.strip(i);
    if (strip) strips.push(strip);
  }
  return { column: columnOf(sheet, strips, values.length), value: steps.value };
}

/**
 * A valuable way to cut up one stock piece that gives no more of a blank than is wanted: strip by
 * strip the best, its surplus filled with what is still wanted, and valued anew when a demand is met.
 */
export function boundedColumn(sheet: Sheet, values: readonly number[], wanted: readonly number[]): Column {
  const left = [...wanted];
  let steps = new Steps(sheet, valuesLeft(values, left));
  const strips: Strip[] = [];
  for (let i = 0; i < sheet.places.length;) {
    const strip = steps.strip(i);
    const next = steps.next(i);
    if (strip) {
      const met = left.map((n) => n <= 0);
      const runs = boundedRuns(sheet, strip, values, left);
      if (runs.length > 0) strips.push({ ...strip, runs });
      if (left.some((n, d) => n <= 0 && !met[d])) steps = new Steps(sheet, valuesLeft(values, left));
    }
    i = next;
  }
  return columnOf(sheet, strips, values.length);
}

const valuesLeft = (values: readonly number[], left: readonly number[]): number[] =>
  values.map((v, d) => ((left[d] ?? 0) > 0 ? v : 0));

/** Fills the stretches of a strip with no more than is left, and counts it down. */
function boundedRuns(sheet: Sheet, { at, strip }: Strip, values: readonly number[], left: number[]): Run[] {
  const runs: Run[] = [];
  for (const stretch of freeOf(sheet, at, strip.size)) {
    const run: Run = { from: stretch.from, entries: [] };
    let length = room(stretch);
    for (;;) {
      const allowed = strip.entries.filter((e) => (left[e.demand] ?? 0) > 0);
      const worth = allowed.map((e) => e.layers * (values[e.demand] ?? 0));
      const { entries } = new Filler(allowed, worth, sheet.kerfSecondary).fill(length);
      const over = allowed.find(
        (e) => entries.filter((x) => x === e).length * e.layers > (left[e.demand] ?? 0),
      );
      const taken = over
        ? new Array<StripEntry>(Math.ceil((left[over.demand] ?? 0) / over.layers)).fill(over)
        : entries;
      for (const e of taken) {
        left[e.demand] = (left[e.demand] ?? 0) - e.layers;
        length -= e.size + sheet.kerfSecondary;
        run.entries.push(e);
      }
      if (!over) break;
    }
    if (run.entries.length > 0) runs.push(run);
  }
  return runs;
}

/** From each place on, the most that can be had, and the class of strip to begin with. */
class Steps {
  private readonly values: Float64Array;
  private readonly choice: Int16Array;
  private readonly stripAt: (at: number, strip: StripClass, c: number) => StripWorth;

  constructor(
    private readonly sheet: Sheet,
    values: readonly number[],
  ) {
    const { places, classes, after, primary } = sheet;
    this.stripAt = stripFinder(sheet, values);
    this.values = new Float64Array(places.length + 1);
    this.choice = new Int16Array(places.length).fill(-1);
    for (let i = places.length - 1; i >= 0; i--) {
      const at = places[i] as number;
      let most = this.values[i + 1] as number;
      for (let c = 0; c < classes.length; c++) {
        const strip = classes[c] as StripClass;
        if (at + strip.size > primary) continue;
        const { value } = this.stripAt(at, strip, c);
        const total = value + (this.values[after[c]?.[i] ?? places.length] as number);
        if (value <= 0 || total <= most + 1e-9) continue;
        most = total;
        this.choice[i] = c;
      }
      this.values[i] = most;
    }
  }

  get value(): number {
    return this.values[0] ?? 0;
  }

  strip(i: number): Strip | null {
    const c = this.choice[i] ?? -1;
    const strip = this.sheet.classes[c];
    const at = this.sheet.places[i];
    return strip && at !== undefined ? { at, strip, runs: this.stripAt(at, strip, c).runs } : null;
  }

  next(i: number): number {
    const c = this.choice[i] ?? -1;
    return c < 0 ? i + 1 : (this.sheet.after[c]?.[i] ?? this.sheet.places.length);
  }
}

interface StripWorth {
  value: number;
  runs: Run[];
}

/** Values strips; without unusable zones a strip is worth the same everywhere. */
function stripFinder(sheet: Sheet, values: readonly number[]) {
  const fillers = sheet.classes.map(
    ({ entries }) =>
      new Filler(
        entries,
        entries.map((e) => e.layers * (values[e.demand] ?? 0)),
        sheet.kerfSecondary,
      ),
  );
  const known = new Map<string, StripWorth>();
  const plain = sheet.blocks.length === 0 ? fillers.map(() => undefined as StripWorth | undefined) : null;
  return (at: number, strip: StripClass, c: number): StripWorth => {
    const same = plain?.[c];
    if (same) return same;
    const free = freeOf(sheet, at, strip.size);
    const key = `${c}:${free.map((f) => `${f.from}-${f.to}`).join()}`;
    const before = known.get(key);
    if (before) return before;
    let value = 0;
    const runs: Run[] = [];
    for (const stretch of free) {
      const filling = fillers[c]?.fill(room(stretch));
      if (!filling || filling.entries.length === 0) continue;
      value += filling.value;
      runs.push({ from: stretch.from, entries: filling.entries });
    }
    known.set(key, { value, runs });
    if (plain) plain[c] = { value, runs };
    return { value, runs };
  };
}
