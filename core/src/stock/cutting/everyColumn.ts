import { columnOf, room, type Column, type Run, type Strip } from './column.js';
import { freeOf, type Sheet, type StripClass, type StripEntry } from './sheet.js';

/** Blanks taken so far; of ways to take the same, the one whose strips end first leaves most room. */
interface State {
  strips: Strip[];
  counts: number[];
  /** where the next strip can begin, tenths */
  next: number;
}

/** Steps of the search before it is given up as too large to be complete. */
const MOST_STEPS = 300_000;
/** Different numbers of blanks that are still looked at one by one. */
const MOST_MIXES = 2_500;

/**
 * Every number of blanks that one stock piece can give, none more than wanted, each by the way that
 * ends first. Blanks taken the same number of times with less room used can do all that the others
 * can, so one way for each is enough.
 * @returns null when there are too many to look at
 */
export function everyColumn(sheet: Sheet, wanted: readonly number[]): Column[] | null {
  if (wanted.reduce((mixes, w) => mixes * (w + 1), 1) > MOST_MIXES) return null;
  const budget = { left: MOST_STEPS };
  const known = new Map<string, State>();
  const byTotal: State[][] = [[{ strips: [], counts: wanted.map(() => 0), next: 0 }]];
  for (const states of byTotal)
    for (const state of states) {
      const key = state.counts.join();
      if (state.strips.length > 0 && known.get(key) !== state) continue;
      for (const grown of oneMore(sheet, state, wanted, budget)) {
        const reached = grown.counts.join();
        const before = known.get(reached);
        if (before && before.next <= grown.next) continue;
        known.set(reached, grown);
        const total = grown.counts.reduce((a, b) => a + b, 0);
        for (let t = byTotal.length; t <= total; t++) byTotal.push([]);
        byTotal[total]?.push(grown);
      }
      if (budget.left < 0) return null;
    }
  return [...known.values()].map((s) => columnOf(sheet, s.strips, wanted.length));
}

/** A state with one more strip, of every class, wherever it can begin, filled in every way. */
function oneMore(sheet: Sheet, state: State, wanted: readonly number[], budget: { left: number }): State[] {
  if (sheet.oneStrip && state.strips.length > 0) return [];
  const starts = [state.next, ...sheet.blocks.map((b) => b.primary.to).filter((p) => p > state.next)];
  return sheet.classes.flatMap((strip) =>
    starts
      .filter((at) => at + strip.size <= sheet.primary)
      .flatMap((at) => withStrip(sheet, at, strip, state, wanted, budget)),
  );
}

function withStrip(
  sheet: Sheet,
  at: number,
  strip: StripClass,
  state: State,
  wanted: readonly number[],
  budget: { left: number },
): State[] {
  let found: { runs: Run[]; counts: number[] }[] = [{ runs: [], counts: state.counts }];
  for (const stretch of freeOf(sheet, at, strip.size)) {
    const length = room(stretch) + sheet.kerfSecondary;
    found = found.flatMap(({ runs, counts }) =>
      fillings(strip.entries, length, sheet.kerfSecondary, counts, wanted).map((f) => ({
        runs: f.entries.length > 0 ? [...runs, { from: stretch.from, entries: f.entries }] : runs,
        counts: f.counts,
      })),
    );
    budget.left -= found.length;
    if (budget.left < 0) return [];
  }
  const next = at + strip.size + sheet.kerfPrimary;
  return found
    .filter((f) => f.runs.length > 0)
    .map(({ runs, counts }) => ({ strips: [...state.strips, { at, strip, runs }], counts, next }));
}

/** Every way to fill a length, the longest pieces first, none more than wanted. */
function fillings(
  entries: readonly StripEntry[],
  left: number,
  kerf: number,
  counts: number[],
  wanted: readonly number[],
): { entries: StripEntry[]; counts: number[] }[] {
  const [entry, ...rest] = entries;
  if (!entry) return [{ entries: [], counts }];
  const all: { entries: StripEntry[]; counts: number[] }[] = [];
  const taken: StripEntry[] = [];
  let now = counts;
  for (let n = 0; ; n++) {
    for (const f of fillings(rest, left - n * (entry.size + kerf), kerf, now, wanted))
      all.push({ entries: [...taken, ...f.entries], counts: f.counts });
    const missing = (wanted[entry.demand] ?? 0) - (now[entry.demand] ?? 0);
    if ((n + 1) * (entry.size + kerf) > left || missing <= 0) return all;
    now = [...now];
    // of several layers the last may be surplus
    now[entry.demand] = (now[entry.demand] ?? 0) + Math.min(entry.layers, missing);
    taken.push({ ...entry, layers: Math.min(entry.layers, missing) });
  }
}
