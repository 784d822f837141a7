import { len, type Finding } from '../../measure/index.js';
import type { Sawing } from '../../workshop/index.js';
import type { BoardCut, PlacedBlank } from './boardCut.js';
import { isRound, reachOf, type CutDemand, type CutInput, type CutStock } from './cutInput.js';
import { layersOf, usable } from './sheet.js';

/** What makes a cutting plan impossible or doubtful before it is made. */
export function cutFindings(input: CutInput): Finding[] {
  return [...kerfFindings(input), ...input.demand.flatMap((d) => demandFindings(d, input))];
}

function kerfFindings({ demand, sawing }: CutInput): Finding[] {
  const thinnest = Math.min(...demand.map((d) => Math.min(d.section, d.length)));
  return (['ripKerf', 'crossKerf'] as const)
    .filter((kerf) => sawing[kerf] >= thinnest)
    .map((kerf) => ({
      id: `stock.kerf.${kerf}`,
      severity: 'stop',
      stage: 'stock',
      what: `The kerf of the ${kerf === 'ripKerf' ? 'rip' : 'crosscut'} saw is ${len(sawing[kerf])}, the smallest piece is ${len(thinnest)}.`,
      why: 'The cut would take more than the piece.',
      remedy: 'Give the kerf as the width of the cut: 1 to 4 mm is usual.',
    }));
}

function demandFindings(demand: CutDemand, { stock, sawing }: CutInput): Finding[] {
  const ofMaterial = stock.filter((s) => s.materialId === demand.materialId);
  const find = (what: string, why: string, remedy: string): Finding[] => [
    { id: `stock.fits.${demand.id}`, severity: 'stop', stage: 'stock', what, why, remedy },
  ];
  const size = `${len(demand.section)} square, ${len(demand.length)} long`;
  if (ofMaterial.length === 0)
    return find(
      `${demand.label}: none of the chosen stock is of its material.`,
      `${demand.count} blanks ${size} are wanted.`,
      'Take stock of that material in, or choose another material for the batch.',
    );
  const thick = ofMaterial.filter((s) => layersOf(s, demand.section, sawing) > 0);
  const thickest = nearest(ofMaterial, (s) => usable(s, sawing).thickness);
  if (thick.length === 0)
    return find(
      `${demand.label}: the blank needs ${len(demand.section)}; the thickest stock, ${thickest.label}, is ${len(usable(thickest, sawing).thickness)} once its faces are planed.`,
      'A board thinner than the blank leaves flats on the piece.',
      'Choose thicker stock, glue up, or make the piece more slender.',
    );
  const wide = thick.filter((s) => usable(s, sawing).width >= demand.section || isRound(s));
  const long = wide.filter((s) => usable(s, sawing).length >= demand.length);
  if (long.length > 0) return [];
  const longest = nearest(thick, (s) => usable(s, sawing).length);
  return find(
    `${demand.label}: the blank is ${len(demand.length)} long; the longest stock that is thick enough, ${longest.label}, gives ${len(usable(longest, sawing).length)} between its trimmed ends.`,
    'Grain runs along the piece: it cannot lie across the board.',
    'Choose longer stock, or fewer pieces in a blank.',
  );
}

const nearest = (stock: readonly CutStock[], size: (s: CutStock) => number): CutStock =>
  stock.reduce((a, b) => (size(b) > size(a) ? b : a));

/** So many faults of a layout are said: whoever sees them draws it anew. */
const MOST_SAID = 8;

/** What is wrong with a layout that is to be recorded: outside, overlapping, in unusable wood, too thick. */
export function layoutProblems(
  cut: BoardCut,
  stock: CutStock,
  demand: readonly CutDemand[],
  sawing: Sawing,
): string[] {
  const wanted = new Map(demand.map((d) => [d.id, d]));
  return [
    ...cut.blanks.flatMap((b) => blankProblems(b, stock, wanted.get(b.demandId), sawing)),
    ...overlapsOf(cut.blanks).map(
      ([a, b]) => `Two blanks of ${stock.label} overlap at ${len(Math.max(a.x, b.x))} along it.`,
    ),
    ...offcutProblems(cut, stock),
  ].slice(0, MOST_SAID);
}

/** Pairs of blanks that lie on one another, no more of them than are said: in their order along the board. */
function overlapsOf(blanks: readonly PlacedBlank[]): [PlacedBlank, PlacedBlank][] {
  const along = [...blanks].sort((a, b) => a.x - b.x);
  const found: [PlacedBlank, PlacedBlank][] = [];
  for (const [i, a] of along.entries())
    for (let j = i + 1; j < along.length && found.length < MOST_SAID; j++) {
      const b = along[j];
      // none that begins later reaches back to it
      if (!b || b.x >= a.x + a.length - SLACK) break;
      if (overlap(a, b)) found.push([a, b]);
    }
  return found;
}

function offcutProblems(cut: BoardCut, stock: CutStock): string[] {
  const inside = cut.offcuts.every(
    (o) =>
      o.x >= -SLACK &&
      o.y >= -SLACK &&
      o.x + o.length <= stock.length + SLACK &&
      o.y + Math.min(o.width, stock.width) <= stock.width + SLACK,
  );
  const kept = cut.offcuts.reduce((sum, o) => sum + o.length * o.width * o.thickness * o.pieces, 0);
  const free = cut.offcuts.every((o) => cut.blanks.every((b) => !overlap({ ...b, ...o }, b)));
  return inside && free && kept <= stock.thickness * stock.width * stock.length + SLACK
    ? []
    : [`An offcut of ${stock.label} lies outside it or over a blank.`];
}

/** Lengths are laid out in whole tenths. */
const TENTH = 0.1;
/** Sums of tenths in floating point. */
const SLACK = 1e-6;

const overlap = (a: PlacedBlank, b: PlacedBlank): boolean =>
  a.x < b.x + b.length - SLACK &&
  b.x < a.x + a.length - SLACK &&
  a.y < b.y + b.width - SLACK &&
  b.y < a.y + a.width - SLACK;

function blankProblems(
  b: PlacedBlank,
  stock: CutStock,
  demand: CutDemand | undefined,
  sawing: Sawing,
): string[] {
  if (!demand) return [`A blank of ${stock.label} belongs to nothing that was wanted.`];
  const problems: string[] = [];
  const { width, length, edge, end } = usable(stock, sawing);
  const inside =
    b.x >= end - SLACK &&
    b.x + b.length <= end + length + SLACK &&
    b.y >= edge - SLACK &&
    b.y + b.width <= edge + width + SLACK;
  if (!inside) problems.push(`A blank lies outside ${stock.label} at ${len(b.x)} along it.`);
  const rod = isRound(stock);
  if (b.length + SLACK < demand.length || (!rod && b.width + SLACK < demand.section))
    problems.push(`A blank of ${stock.label} is smaller than ${demand.label} needs.`);
  if (b.layers > layersOf(stock, demand.section, sawing))
    problems.push(`${stock.label} is not thick enough for ${b.layers} blanks above one another.`);
  if (stock.thinEnd !== undefined && b.x + b.length > reachOf(stock, demand.section) + TENTH)
    problems.push(
      `${stock.label} is thinner than ${len(demand.section)} before the blank at ${len(b.x)} ends.`,
    );
  for (const z of stock.zones)
    if (
      b.x < z.to - SLACK &&
      b.x + b.length > z.from + SLACK &&
      b.y < z.high - SLACK &&
      b.y + b.width > z.low + SLACK
    )
      problems.push(`A blank of ${stock.label} lies in unusable wood at ${len(z.from)} (${z.why}).`);
  return problems;
}
