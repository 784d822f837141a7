import type { SolveLinear } from '../linear.js';
import type { Column } from './column.js';
import { relax, type Need, type Relaxed } from './master.js';
import { boundedColumn } from './pricing.js';

/** Rounds of new columns between two steps; prices need not be exact to be a guide. */
const ROUNDS = 4;

/** Stock that the relaxation takes this wholly is taken. */
const NEAR = 0.95;

/**
 * A plan in whole pieces by diving: the stock that the relaxation takes wholly (or else the most of) is
 * opened and cut by the best way for what is still wanted, at the prices of the moment; then the
 * relaxation of the rest is solved anew.
 */
export function dive(need: Need, start: readonly Column[], solve: SolveLinear): Column[] {
  const wanted = [...need.wanted];
  const there = [...need.there];
  const taken: Column[] = [];
  let columns = [...start];
  while (wanted.some((w) => w > 0)) {
    const open: Need = { ...need, wanted, there };
    const last = lastPiece(open);
    const relaxed = last ? null : relax(open, columns, solve, ROUNDS);
    if (relaxed) columns = relaxed.columns;
    const column = last ?? (relaxed && nextColumn(open, relaxed));
    if (!column) return taken;
    const s = column.sheet.stock;
    there[s] = (there[s] ?? 0) - 1;
    taken.push(column);
    column.counts.forEach((n, d) => (wanted[d] = Math.max(0, (wanted[d] ?? 0) - n)));
  }
  return taken;
}

/** The cheapest stock piece that gives all that is still wanted, when one does. */
function lastPiece(need: Need): Column | null {
  const order = need.sheets
    .map((sheet, s) => ({ sheet, cost: need.costs[s] ?? 0, there: need.there[s] ?? 0 }))
    .filter((o) => o.there > 0)
    .sort((a, b) => a.cost - b.cost);
  for (const { sheet } of order) {
    if (!couldHold(need, sheet)) continue;
    const values = valuesByWood(need);
    const column = boundedColumn(sheet, values, need.wanted);
    if (need.wanted.every((w, d) => (column.counts[d] ?? 0) >= w)) return column;
  }
  return null;
}

/** Blanks valued by the wood in them, each class of strips by its size. */
export function valuesByWood(need: Need): number[] {
  const values = need.wanted.map(() => 0);
  for (const sheet of need.sheets)
    for (const c of sheet.classes) for (const e of c.entries) values[e.demand] = c.size * e.size;
  return values;
}

/** Whether the wanted blanks' areas fit on a sheet at all; saves the work of trying. */
function couldHold(need: Need, sheet: Need['sheets'][number]): boolean {
  let area = 0;
  const seen = need.wanted.map(() => false);
  for (const c of sheet.classes)
    for (const e of c.entries) {
      seen[e.demand] = true;
      area += (c.size * e.size * (need.wanted[e.demand] ?? 0)) / e.layers;
    }
  return area <= sheet.primary * sheet.secondary && need.wanted.every((w, d) => w === 0 || seen[d]);
}

function nextColumn(need: Need, { columns, answer }: Relaxed): Column | null {
  const share = need.sheets.map(() => 0);
  columns.forEach((c, i) => {
    const s = c.sheet.stock;
    share[s] = (share[s] ?? 0) + (answer.values[i] ?? 0);
  });
  let best = -1;
  share.forEach((x, s) => {
    if ((need.there[s] ?? 0) <= 0 || x <= 1e-6) return;
    if (best < 0 || Math.min(x, NEAR) > Math.min(share[best] ?? 0, NEAR)) best = s;
  });
  const sheet = need.sheets[best];
  if (!sheet) return null;
  const values = answer.duals.slice(0, need.wanted.length).map((v) => Math.max(0, v));
  const worth = (c: Column) =>
    c.counts.reduce((sum, n, d) => sum + Math.min(n, need.wanted[d] ?? 0) * (values[d] ?? 0), 0);
  const known = columns.filter((c, i) => c.sheet === sheet && (answer.values[i] ?? 0) > 1e-6);
  return [...known, boundedColumn(sheet, values, need.wanted)].reduce((a, b) =>
    worth(b) > worth(a) ? b : a,
  );
}
