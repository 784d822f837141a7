import type { Sawing } from '../../workshop/index.js';
import {
  fitsInto,
  isRound,
  reachOf,
  tenths,
  type CutDemand,
  type CutStock,
  type SawOrder,
} from './cutInput.js';

/** A stretch, in tenths. */
export interface Stretch {
  from: number;
  to: number;
}

/** What can lie beside one another in a strip of a size: pieces of the second measure. */
export interface StripClass {
  /** width of the strip (rip first) or length of the panel (crosscut first), tenths */
  size: number;
  entries: StripEntry[];
}

export interface StripEntry {
  /** place of the demand in the input */
  demand: number;
  /** length along the strip, tenths */
  size: number;
  /** blanks that come out of one cut, one above the other in the thickness */
  layers: number;
}

/**
 * A stock piece as the saw sees it: first parted along `primary`, then each strip along `secondary`.
 * Rip first: primary is the width, secondary the length; crosscut first the other way round.
 */
export interface Sheet {
  /** place of the stock in the input */
  stock: number;
  primary: number;
  secondary: number;
  kerfPrimary: number;
  kerfSecondary: number;
  classes: StripClass[];
  blocks: { primary: Stretch; secondary: Stretch }[];
  /** a rod or a tip: its one strip is itself */
  oneStrip: boolean;
  /** of a tip: where a strip of a size must end at the latest, tenths along its secondary */
  ends?: (size: number) => number;
  /** where a strip can begin, ascending, tenths */
  places: number[];
  /** of each class and place, the index of the first place after a strip of it */
  after: number[][];
}

/** Faces and edges that come off before the saw: what is left to be parted, mm. */
export function usable(stock: CutStock, sawing: Sawing) {
  const off = stock.rough ? sawing.surfacing : 0;
  return {
    thickness: stock.thickness - 2 * off,
    width: stock.width - 2 * off,
    length: stock.length - 2 * stock.endTrim,
    edge: off,
    end: stock.endTrim,
  };
}

/** Blanks above one another in the thickness of a stock piece. */
export const layersOf = (stock: CutStock, section: number, sawing: Sawing): number =>
  isRound(stock)
    ? Number(stock.width >= section)
    : fitsInto(usable(stock, sawing).thickness, section, sawing.ripKerf);

export function sheetOf(
  stock: CutStock,
  index: number,
  demand: readonly CutDemand[],
  sawing: Sawing,
  order: SawOrder,
): Sheet {
  const { width, length, edge, end } = usable(stock, sawing);
  const ripFirst = order === 'rip-first';
  const w = tenths(width);
  const l = tenths(length);
  const blocks = stock.zones.map((z) => {
    const along = { from: tenths(z.from - end), to: tenths(z.to - end) };
    const across = { from: tenths(z.low - edge), to: tenths(z.high - edge) };
    return ripFirst ? { primary: across, secondary: along } : { primary: along, secondary: across };
  });
  const sheet = {
    stock: index,
    primary: ripFirst ? w : l,
    secondary: ripFirst ? l : w,
    kerfPrimary: tenths(ripFirst ? sawing.ripKerf : sawing.crossKerf),
    kerfSecondary: tenths(ripFirst ? sawing.crossKerf : sawing.ripKerf),
    classes: classesOf(stock, demand, sawing, ripFirst),
    blocks,
    oneStrip: isRound(stock),
    ...(stock.thinEnd === undefined ? {} : { ends: endsOf(stock, end, ripFirst) }),
  };
  const places = placesOf(sheet);
  const after = sheet.classes.map((c) =>
    places.map((at) => (sheet.oneStrip ? places.length : firstFrom(places, at + c.size + sheet.kerfPrimary))),
  );
  return { ...sheet, places, after };
}

/** A tip is thick enough for a strip as far as it reaches from its thick end; a panel is one blank of it. */
const endsOf =
  (stock: CutStock, end: number, ripFirst: boolean) =>
  (size: number): number =>
    ripFirst ? tenths(reachOf(stock, size / 10) - end) : Infinity;

/** Index of the first place at or after a position. */
function firstFrom(places: readonly number[], position: number): number {
  let low = 0;
  let high = places.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] as number) < position) low = middle + 1;
    else high = middle;
  }
  return low;
}

function classesOf(
  stock: CutStock,
  demand: readonly CutDemand[],
  sawing: Sawing,
  ripFirst: boolean,
): StripClass[] {
  const { width, length } = usable(stock, sawing);
  const classes = new Map<number, StripClass>();
  demand.forEach((d, i) => {
    const layers = layersOf(stock, d.section, sawing);
    if (d.materialId !== stock.materialId || d.count === 0 || layers === 0) return;
    if (d.section > width || d.length > Math.min(length, reachOf(stock, d.section) - stock.endTrim)) return;
    const size = tenths(ripFirst ? d.section : d.length);
    const strip = classes.get(size) ?? { size, entries: [] };
    strip.entries.push({ demand: i, size: tenths(ripFirst ? d.length : d.section), layers });
    classes.set(size, strip);
  });
  return [...classes.values()].sort((a, b) => b.size - a.size);
}

/** What of a strip at a place is free of unusable wood. */
export function freeOf(sheet: Sheet, at: number, size: number): Stretch[] {
  const reach = sheet.oneStrip ? sheet.primary : size;
  const blocked = sheet.blocks
    .filter((b) => b.primary.from < at + reach && b.primary.to > at)
    .map((b) => b.secondary)
    .sort((a, b) => a.from - b.from);
  const free: Stretch[] = [];
  let from = 0;
  for (const block of blocked) {
    if (block.from > from) free.push({ from, to: Math.min(block.from, sheet.secondary) });
    from = Math.max(from, block.to);
  }
  const to = Math.min(sheet.secondary, sheet.ends?.(size) ?? Infinity);
  if (from < to) free.push({ from, to });
  return free;
}

/**
 * Places where a strip can begin, ascending: against the edge, against another strip, or against the
 * end of an unusable zone. A strip anywhere else can be pushed to one of these without losing anything.
 */
function placesOf(sheet: Omit<Sheet, 'places' | 'after'>): number[] {
  if (sheet.oneStrip) return [0];
  const steps = sheet.classes.map((c) => c.size + sheet.kerfPrimary);
  const least = Math.min(...sheet.classes.map((c) => c.size), Infinity);
  const found = new Set<number>();
  const open = [0, ...sheet.blocks.map((b) => b.primary.to).filter((p) => p > 0)];
  while (open.length > 0) {
    const place = open.pop() as number;
    if (found.has(place) || place + least > sheet.primary) continue;
    found.add(place);
    for (const step of steps) open.push(place + step);
  }
  return [...found].sort((a, b) => a - b);
}
