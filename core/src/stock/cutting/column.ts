import type { Sheet, StripClass, StripEntry, Stretch } from './sheet.js';

/** Pieces one after another in a free stretch of a strip. */
export interface Run {
  from: number;
  entries: StripEntry[];
}

export interface Strip {
  at: number;
  strip: StripClass;
  runs: Run[];
}

/** One way of cutting up one stock piece: its strips, and how many blanks of each demand come out. */
export interface Column {
  sheet: Sheet;
  strips: Strip[];
  counts: number[];
}

/** Blanks of each demand that strips give. */
function countsOf(strips: readonly Strip[], demands: number): number[] {
  const counts = new Array<number>(demands).fill(0);
  for (const { runs } of strips)
    for (const { entries } of runs)
      for (const e of entries) counts[e.demand] = (counts[e.demand] ?? 0) + e.layers;
  return counts;
}

export const columnOf = (sheet: Sheet, strips: Strip[], demands: number): Column => ({
  sheet,
  strips,
  counts: countsOf(strips, demands),
});

/** Place after the last piece of a run, tenths. */
export const endOfRun = (run: Run, kerf: number): number =>
  run.from + run.entries.reduce((sum, e) => sum + e.size + kerf, 0) - (run.entries.length > 0 ? kerf : 0);

/** Length of a stretch, tenths. */
export const room = (stretch: Stretch): number => stretch.to - stretch.from;
