import type { LinearAnswer, LinearModel, SolveLinear } from '../linear.js';
import type { Column } from './column.js';
import { bestColumn } from './pricing.js';
import type { Sheet } from './sheet.js';

/** What is still wanted and what is still there, and what each stock piece counts; sheets as in the input. */
export interface Need {
  sheets: Sheet[];
  /** of each sheet, how many are there and what one counts */
  there: number[];
  costs: number[];
  wanted: number[];
}

/** A blank that cannot be cut counts more than any stock piece, so that none is left out needlessly. */
const missingCost = (need: Need): number => 2 * Math.max(1, ...need.costs);

/**
 * The covering model: columns are taken so that every demand is met, no more stock than is there.
 * Its last variables are blanks that stay missing.
 */
export function coveringModel(need: Need, columns: readonly Column[], whole: boolean): LinearModel {
  const sheetOf = columns.map((c) => c.sheet.stock);
  const missing = missingCost(need);
  return {
    costs: [...sheetOf.map((s) => need.costs[s] ?? 0), ...need.wanted.map(() => missing)],
    rows: [
      ...need.wanted.map((least, d) => ({
        terms: [
          ...columns.flatMap((c, i): [number, number][] => {
            const count = c.counts[d] ?? 0;
            return count > 0 ? [[i, count]] : [];
          }),
          [columns.length + d, 1] as [number, number],
        ],
        least,
      })),
      ...need.there.flatMap((most, s) => {
        const terms = sheetOf.flatMap((of, i): [number, number][] => (of === s ? [[i, 1]] : []));
        return terms.length > 0 ? [{ terms, most }] : [];
      }),
    ],
    whole,
  };
}

export interface Relaxed {
  columns: Column[];
  answer: LinearAnswer;
  /** no plan of whole pieces can count less than this */
  bound: number;
}

/** Rounds of new columns before the bound of the moment is taken as it is. */
const MOST_ROUNDS = 120;

/**
 * The linear relaxation by column generation (Gilmore and Gomory, 1961 and 1965): prices of the rows
 * value the blanks, every sheet offers its best column at those prices, until none is worth taking.
 * When it is stopped before, Lagrange's bound (Farley, 1990) still holds.
 */
export function relax(
  need: Need,
  start: readonly Column[],
  solve: SolveLinear,
  rounds = MOST_ROUNDS,
): Relaxed {
  const columns = [...start];
  let bound = 0;
  let answer: LinearAnswer = { status: 'impossible', cost: Infinity, values: [], duals: [] };
  for (let round = 0; round < rounds; round++) {
    answer = solve(coveringModel(need, columns, false));
    if (answer.status === 'impossible') return { columns, answer, bound };
    const { fresh, reduced } = offers(need, columns, answer);
    bound = Math.max(bound, answer.cost + reduced);
    if (fresh.length === 0) return { columns, answer, bound: Math.max(bound, answer.cost) };
    columns.push(...fresh);
  }
  return { columns, answer, bound };
}

/** Columns worth taking at the prices of the moment, and by how much they could lower the cost at most. */
function offers(need: Need, columns: readonly Column[], { duals }: LinearAnswer) {
  const values = duals.slice(0, need.wanted.length).map((v) => Math.max(0, v));
  const used = need.sheets.map(() => false);
  for (const c of columns) used[c.sheet.stock] = true;
  let row = need.wanted.length;
  let reduced = 0;
  const fresh: Column[] = [];
  need.sheets.forEach((sheet, s) => {
    const scarcity = used[s] ? (duals[row++] ?? 0) : 0;
    if ((need.there[s] ?? 0) === 0) return;
    const { column, value } = bestColumn(sheet, values);
    const gain = (need.costs[s] ?? 0) - scarcity - value;
    if (gain >= -1e-7 || column.strips.length === 0) return;
    reduced += (need.there[s] ?? 0) * gain;
    fresh.push(column);
  });
  return { fresh, reduced };
}

/** Columns as often as an answer takes them. */
export const taken = (columns: readonly Column[], values: readonly number[]): Column[] =>
  columns.flatMap((column, i) => new Array<Column>(Math.max(0, Math.round(values[i] ?? 0))).fill(column));
