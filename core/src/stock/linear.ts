/** One row of a linear model: Σ coefficient × variable, held between two limits. */
export interface LinearRow {
  terms: [variable: number, coefficient: number][];
  least?: number;
  most?: number;
}

/** Minimise Σ cost × variable under rows; variables are ≥ 0 unless free. */
export interface LinearModel {
  costs: number[];
  rows: LinearRow[];
  /** upper limit of a variable; infinite when absent */
  most?: (number | undefined)[];
  whole?: boolean;
  free?: boolean;
}

export interface LinearAnswer {
  status: 'optimal' | 'stopped' | 'impossible';
  cost: number;
  values: number[];
  /** price of each row; empty for whole variables */
  duals: number[];
}

/** Bounds of the search among whole numbers. */
interface SearchLimits {
  nodes: number;
  /** how far the answer may be from the best, as a fraction */
  gap: number;
}

export type SolveLinear = (model: LinearModel, limits?: SearchLimits) => LinearAnswer;

/** What we need of the solver package, given in by the application. */
export interface SolverPackage {
  solve(text: string, options: Record<string, string | number | boolean>): SolverResult;
}

interface SolverResult {
  Status: string;
  ObjectiveValue: number;
  Columns: Record<string, { Index: number; Primal?: number }>;
  Rows: { Index: number; Dual?: number }[];
}

/** A solver for our models from a package that reads the LP text format. */
export const solverOf =
  (solver: SolverPackage): SolveLinear =>
  (model, limits) => {
    const result = solver.solve(lpText(model), {
      output_flag: false,
      mip_abs_gap: 1e-6,
      mip_rel_gap: limits?.gap ?? 0,
      ...(limits ? { mip_max_nodes: limits.nodes } : {}),
    });
    const values = model.costs.map((_, i) => result.Columns[`x${i}`]?.Primal ?? Number.NaN);
    if (result.Status === 'Infeasible' || values.some((v) => !Number.isFinite(v)))
      return { status: 'impossible', cost: Infinity, values: [], duals: [] };
    return {
      status: result.Status === 'Optimal' ? 'optimal' : 'stopped',
      cost: result.ObjectiveValue,
      values,
      duals: model.whole ? [] : dualsOf(model, result),
    };
  };

/** Rows that have two limits stand twice in the text; their prices add up. */
function dualsOf(model: LinearModel, result: SolverResult): number[] {
  let at = 0;
  return model.rows.map((row) => {
    let price = 0;
    for (const limit of [row.least, row.most]) if (limit !== undefined) price += result.Rows[at++]?.Dual ?? 0;
    return price;
  });
}

/** The model in the LP text format. */
function lpText(model: LinearModel): string {
  const rows: string[] = [];
  for (const row of model.rows) {
    if (row.least !== undefined) rows.push(`r${rows.length}: ${sum(row.terms)} >= ${row.least}`);
    if (row.most !== undefined) rows.push(`r${rows.length}: ${sum(row.terms)} <= ${row.most}`);
  }
  const bounds = model.costs.flatMap((_, i) => {
    const most = model.most?.[i];
    if (model.free) return [`x${i} free`];
    return most === undefined ? [] : [`0 <= x${i} <= ${most}`];
  });
  const names = model.costs.map((_, i) => `x${i}`);
  return [
    'Minimize',
    `cost: ${sum(model.costs.map((c, i) => [i, c]))}`,
    'Subject To',
    ...rows,
    ...(bounds.length > 0 ? ['Bounds', ...bounds] : []),
    ...(model.whole ? ['General', lines(names)] : []),
    'End',
  ].join('\n');
}

const sum = (terms: readonly [number, number][]): string =>
  lines(terms.map(([i, c]) => `${c < 0 ? '-' : '+'} ${Math.abs(c)} x${i}`));

/** Broken into lines: readers of the format limit their length. */
function lines(words: readonly string[]): string {
  const found: string[] = [];
  for (let i = 0; i < words.length; i += 20) found.push(words.slice(i, i + 20).join(' '));
  return found.join('\n ');
}
