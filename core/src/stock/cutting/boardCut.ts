import { columnOf, endOfRun, type Column, type Strip } from './column.js';
import { usable } from './sheet.js';
import type { CutDemand, CutInput, CutStock, SawOrder } from './cutInput.js';
import { stockVolume } from './cutInput.js';

/** A blank on its board: x along it from its left end, y across it from its lower edge, mm. */
export interface PlacedBlank {
  demandId: string;
  x: number;
  y: number;
  length: number;
  width: number;
  /** blanks that come out here, one above the other in the thickness */
  layers: number;
}

/** What is left over and kept, where it lies on the board. mm. */
export interface Offcut {
  x: number;
  y: number;
  length: number;
  width: number;
  thickness: number;
  pieces: number;
  round: boolean;
}

/** A strip along the board (rip first) or a panel of it (crosscut first), mm. */
interface PlacedStrip {
  x: number;
  y: number;
  length: number;
  width: number;
  /** sticks sawn one above the other out of its thickness */
  layers: number;
  /** used as thick and as wide as it is */
  asIs: boolean;
}

/** How one stock piece is cut up. */
export interface BoardCut {
  stockId: string;
  order: SawOrder;
  strips: PlacedStrip[];
  blanks: PlacedBlank[];
  offcuts: Offcut[];
  /** mm³ */
  stockVolume: number;
  blankVolume: number;
  offcutVolume: number;
}

const box = (a: { length: number; width: number; thickness: number; pieces: number; round: boolean }) =>
  (a.round ? Math.PI / 4 : 1) * a.length * a.width * a.thickness * a.pieces;

/** Lays a column out on its board, with what is worth keeping of the rest. */
export function boardCutOf(column: Column, input: CutInput, order: SawOrder): BoardCut {
  const stock = input.stock[column.sheet.stock] as CutStock;
  const blanks = blanksOf(column, stock, input, order);
  const offcuts = [...stickEnds(column, stock, input, order), ...remainder(column, stock, input, order)];
  const sizeOf = new Map(input.demand.map((d) => [d.id, d]));
  return {
    stockId: stock.id,
    order,
    strips: stripsOf(column, stock, input, order),
    blanks,
    offcuts,
    stockVolume: stockVolume(stock),
    blankVolume: blanks.reduce((sum, b) => {
      const d = sizeOf.get(b.demandId) as CutDemand;
      return sum + b.layers * d.section ** 2 * d.length;
    }, 0),
    offcutVolume: offcuts.reduce((sum, o) => sum + box(o), 0),
  };
}

/** A rectangle in the saw's measures becomes one on the board. */
function onBoard(
  stock: CutStock,
  { sawing }: CutInput,
  order: SawOrder,
  primary: [number, number],
  secondary: [number, number],
) {
  const { edge, end } = usable(stock, sawing);
  const [along, across] = order === 'rip-first' ? [secondary, primary] : [primary, secondary];
  return {
    x: end + along[0] / 10,
    y: edge + across[0] / 10,
    length: (along[1] - along[0]) / 10,
    width: (across[1] - across[0]) / 10,
  };
}

function stripsOf(column: Column, stock: CutStock, input: CutInput, order: SawOrder): PlacedStrip[] {
  const { width, thickness } = usable(stock, input.sawing);
  const { leaveOversize } = input.sawing;
  return column.strips.map(({ at, strip, runs }) => {
    const place = onBoard(stock, input, order, [at, at + strip.size], [0, column.sheet.secondary]);
    const layers = Math.max(1, ...runs.flatMap((r) => r.entries.map((e) => e.layers)));
    const stick = strip.size / 10;
    const near = (size: number) => size - stick <= leaveOversize;
    const asIs =
      column.sheet.oneStrip ||
      (order === 'rip-first' && column.strips.length === 1 && near(width) && near(thickness));
    return { ...place, layers, asIs };
  });
}

function blanksOf(column: Column, stock: CutStock, input: CutInput, order: SawOrder): PlacedBlank[] {
  const { kerfSecondary } = column.sheet;
  return column.strips.flatMap(({ at, strip, runs }) =>
    runs.flatMap((run) => {
      let from = run.from;
      return run.entries.map((entry) => {
        const place = onBoard(stock, input, order, [at, at + strip.size], [from, from + entry.size]);
        from += entry.size + kerfSecondary;
        return { demandId: (input.demand[entry.demand] as CutDemand).id, ...place, layers: entry.layers };
      });
    }),
  );
}

/** What stands over at the end of each strip. */
function stickEnds(column: Column, stock: CutStock, input: CutInput, order: SawOrder): Offcut[] {
  const { sheet } = column;
  return column.strips.flatMap(({ at, strip, runs }) => {
    const last = runs[runs.length - 1];
    if (!last) return [];
    const from = endOfRun(last, sheet.kerfSecondary) + sheet.kerfSecondary;
    const blocked = sheet.blocks
      .filter((b) => b.primary.from < at + strip.size && b.primary.to > at && b.secondary.to > from)
      .map((b) => b.secondary.from);
    const to = Math.min(sheet.secondary, ...blocked);
    const place = onBoard(stock, input, order, [at, at + strip.size], [from, Math.max(from, to)]);
    // only a strip is sawn through its thickness; what is left of a panel is not
    const layers = order === 'rip-first' ? Math.max(1, ...last.entries.map((e) => e.layers)) : 1;
    return keep(place, stock, input, layers, strip.size / 10);
  });
}

/** What is left beside the last strip: the stretches of it that are free of unusable wood. */
function remainder(column: Column, stock: CutStock, input: CutInput, order: SawOrder): Offcut[] {
  const { sheet, strips } = column;
  const last = strips[strips.length - 1];
  if (!last || sheet.oneStrip) return [];
  const from = last.at + last.strip.size + sheet.kerfPrimary;
  if (from >= sheet.primary) return [];
  const blocks = sheet.blocks
    .filter((b) => b.primary.to > from && b.primary.from < sheet.primary)
    .map((b) => b.secondary)
    .sort((a, b) => a.from - b.from);
  const free: [number, number][] = [];
  let at = 0;
  for (const block of blocks) {
    if (block.from > at) free.push([at, Math.min(block.from, sheet.secondary)]);
    at = Math.max(at, block.to);
  }
  if (at < sheet.secondary) free.push([at, sheet.secondary]);
  return free.flatMap((stretch) =>
    keep(onBoard(stock, input, order, [from, sheet.primary], stretch), stock, input, 1, 0),
  );
}

/** An offcut when it is long and wide enough to be kept here. */
function keep(
  place: { x: number; y: number; length: number; width: number },
  stock: CutStock,
  { sawing }: CutInput,
  layers: number,
  resawn: number,
): Offcut[] {
  // what is left of a tip is its thin end: too little to be a rod, and booked as nothing
  if (stock.form === 'tip') return [];
  const round = stock.form === 'rod';
  const width = round ? stock.width : place.width;
  const thickness = round ? stock.width : layers > 1 ? resawn : usable(stock, sawing).thickness;
  const large =
    place.length >= sawing.leastOffcutLength && Math.min(width, thickness) >= sawing.leastOffcutWidth;
  return large ? [{ ...place, width, thickness, pieces: layers, round }] : [];
}

/**
 * What a way of cutting keeps, mm³; one large piece is worth a little more than several small ones.
 */
export function keptWorth(cut: BoardCut): number {
  const largest = Math.max(0, ...cut.offcuts.map((o) => box({ ...o, pieces: 1 })));
  return cut.offcutVolume + 0.01 * largest;
}

/**
 * Leaves out blanks nobody wants. `wanted` is counted down. Strips move together where nothing
 * unusable keeps them apart.
 */
export function withoutSurplus(column: Column, wanted: number[]): Column | null {
  const { sheet } = column;
  let at = 0;
  const strips: Strip[] = [];
  for (const strip of column.strips) {
    const runs = strip.runs
      .map((run) => ({
        ...run,
        entries: run.entries.flatMap((entry) => {
          const layers = Math.min(entry.layers, wanted[entry.demand] ?? 0);
          wanted[entry.demand] = (wanted[entry.demand] ?? 0) - layers;
          return layers > 0 ? [{ ...entry, layers }] : [];
        }),
      }))
      .filter((run) => run.entries.length > 0);
    if (runs.length === 0) continue;
    const moved = sheet.blocks.length > 0 ? strip.at : at;
    strips.push({ ...strip, at: moved, runs });
    at = moved + strip.strip.size + sheet.kerfPrimary;
  }
  if (strips.length === 0) return null;
  return columnOf(sheet, strips, column.counts.length);
}
