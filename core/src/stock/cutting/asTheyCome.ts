import { columnOf, room, type Column, type Run, type Strip } from './column.js';
import type { Need } from './master.js';
import { freeOf, type Sheet, type StripEntry } from './sheet.js';

/**
 * What a saw without a plan does: the stock as it lies, the orders as they come, each strip filled
 * with the first pieces that still fit. It is what a plan is compared with.
 */
export function asTheyCome(need: Need): Column[] {
  const wanted = [...need.wanted];
  const taken: Column[] = [];
  need.sheets.forEach((sheet, s) => {
    for (let n = 0; n < (need.there[s] ?? 0); n++) {
      const strips = fillSheet(sheet, wanted);
      if (strips.length > 0) taken.push(columnOf(sheet, strips, wanted.length));
    }
  });
  return taken;
}

function fillSheet(sheet: Sheet, wanted: number[]): Strip[] {
  const strips: Strip[] = [];
  let free = 0;
  for (const at of sheet.places) {
    if (at < free) continue;
    const order = sheet.classes
      .filter((c) => at + c.size <= sheet.primary && c.entries.some((e) => (wanted[e.demand] ?? 0) > 0))
      .sort((a, b) => firstWanted(a.entries, wanted) - firstWanted(b.entries, wanted));
    for (const strip of order) {
      const runs = freeOf(sheet, at, strip.size)
        .map((stretch): Run => ({
          from: stretch.from,
          entries: fill(strip.entries, room(stretch), sheet.kerfSecondary, wanted),
        }))
        .filter((run) => run.entries.length > 0);
      if (runs.length === 0) continue;
      strips.push({ at, strip, runs });
      free = at + strip.size + sheet.kerfPrimary;
      break;
    }
  }
  return strips;
}

const firstWanted = (entries: readonly StripEntry[], wanted: readonly number[]): number =>
  Math.min(...entries.filter((e) => (wanted[e.demand] ?? 0) > 0).map((e) => e.demand));

function fill(entries: readonly StripEntry[], length: number, kerf: number, wanted: number[]): StripEntry[] {
  const taken: StripEntry[] = [];
  let left = length + kerf;
  for (const entry of [...entries].sort((a, b) => a.demand - b.demand))
    while ((wanted[entry.demand] ?? 0) > 0 && entry.size + kerf <= left) {
      const layers = Math.min(entry.layers, wanted[entry.demand] ?? 0);
      wanted[entry.demand] = (wanted[entry.demand] ?? 0) - layers;
      taken.push({ ...entry, layers });
      left -= entry.size + kerf;
    }
  return taken;
}
