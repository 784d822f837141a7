import type { SolveLinear } from '../linear.js';
import { asTheyCome } from './asTheyCome.js';
import { boardCutOf, keptWorth, withoutSurplus, type BoardCut } from './boardCut.js';
import type { Column } from './column.js';
import { stockVolume, type CutInput, type CutStock, type SawOrder } from './cutInput.js';
import { dive, valuesByWood } from './dive.js';
import { everyColumn } from './everyColumn.js';
import { covers, improve } from './improve.js';
import { coveringModel, relax, taken, type Need, type Relaxed } from './master.js';
import { boundedColumn } from './pricing.js';
import { sheetOf } from './sheet.js';
import { stockCosts } from './stockCosts.js';

/** A way of cutting all that is wanted, in figures. */
interface CutFigures {
  cuts: BoardCut[];
  /** minor units, or cm³ where no price is known */
  cost: number;
  /** mm³ that become neither blanks nor kept offcuts */
  waste: number;
  opened: number;
  /** blanks that the stock does not give */
  missing: { demandId: string; count: number }[];
}

/** The plan of a study: how to cut, how far it is at most from the best, and what it is compared with. */
export interface CutPlan extends CutFigures {
  order: SawOrder;
  /** no way of cutting (in this order) costs less; null when blanks are missing */
  bound: number | null;
  /** the plan is known to be the cheapest in this order */
  proven: boolean;
  compared: CutFigures;
  byVolume: boolean;
  estimated: string[];
}

/** Where a study has come to. */
export interface StudyProgress {
  order: SawOrder;
  doing: string;
  /** models solved so far in this doing */
  round: number;
}

export type OnProgress = (progress: StudyProgress) => void;

/** Volume decides between plans of equal cost; all together it counts less than one minor unit. */
const TIE = 0.4;
/** The search that proves a small plan. */
const PROOF = { nodes: 4_000, gap: 0 };

/**
 * Studies how to cut: in both orders of sawing, each with its bound. The cheapest plan comes first;
 * of equally cheap ones that with less waste. Bounded by nodes, never by the clock.
 */
export function studyCutting(
  input: CutInput,
  solve: SolveLinear,
  onProgress: OnProgress = () => undefined,
): CutPlan[] {
  const orders: SawOrder[] = ['rip-first', 'crosscut-first'];
  const plans = orders.map((order) => {
    const { costs, byVolume, estimated } = stockCosts(input.stock);
    const parts = byMaterial(input, costs).map((part) => studyPart(part, order, solve, onProgress));
    return { ...together(parts), order, byVolume, estimated };
  });
  return plans.sort((a, b) => missingIn(a) - missingIn(b) || a.cost - b.cost || a.waste - b.waste);
}

const missingIn = (plan: CutFigures): number => plan.missing.reduce((sum, m) => sum + m.count, 0);

/** One material's share of the input: no board is cut for two materials, so each is studied alone. */
interface MaterialInput {
  input: CutInput;
  costs: number[];
}

function byMaterial(input: CutInput, costs: readonly number[]): MaterialInput[] {
  const materials = [...new Set(input.demand.map((d) => d.materialId))];
  return materials.map((materialId) => {
    const own = input.stock.flatMap((s, i) =>
      s.materialId === materialId ? [{ stock: s, cost: costs[i] ?? 0 }] : [],
    );
    return {
      input: {
        ...input,
        demand: input.demand.filter((d) => d.materialId === materialId),
        stock: own.map((o) => o.stock),
      },
      costs: own.map((o) => o.cost),
    };
  });
}

type MaterialPlan = Omit<CutPlan, 'order' | 'byVolume' | 'estimated'>;

/** Costs, bounds and boards of the materials add up; the whole is proven when every part is. */
function together(parts: readonly MaterialPlan[]): MaterialPlan {
  const add = (figures: readonly CutFigures[]): CutFigures => ({
    cuts: figures.flatMap((f) => f.cuts),
    cost: sumOf(figures.map((f) => f.cost)),
    waste: sumOf(figures.map((f) => f.waste)),
    opened: sumOf(figures.map((f) => f.opened)),
    missing: figures.flatMap((f) => f.missing),
  });
  const short = parts.some((p) => p.bound === null);
  return {
    ...add(parts),
    bound: short ? null : sumOf(parts.map((p) => p.bound ?? 0)),
    proven: parts.every((p) => p.proven),
    compared: add(parts.map((p) => p.compared)),
  };
}

function studyPart(
  { input, costs }: MaterialInput,
  order: SawOrder,
  solve: SolveLinear,
  onProgress: OnProgress,
): MaterialPlan {
  const need = needOf(input, order, costs);
  const every = everyColumnOf(need);
  const tell = (doing: string): SolveLinear => {
    let round = 0;
    return (model, limits) => {
      onProgress({ order, doing, round: ++round });
      return solve(model, limits);
    };
  };
  const start = every ?? firstColumns(need);
  const relaxed = relax(need, start, tell('pricing ways of cutting'));
  const solved = every && exact(need, every, input, order, tell('proving the cheapest'));
  const chosen = solved ?? {
    columns: better(need, relaxed, tell('choosing whole pieces')),
    proven: false,
  };
  const compared = figuresOf(asTheyCome(need), need, input, order, costs);
  // what is found without a proof may miss what a saw without a plan does
  const figures = betterOf(figuresOf(chosen.columns, need, input, order, costs), compared);
  const bound = costBound(relaxed.bound, costs);
  const short = figures.missing.length > 0;
  return {
    ...figures,
    bound: short ? null : chosen.proven ? figures.cost : bound,
    proven: !short && (chosen.proven || figures.cost <= bound),
    compared,
  };
}

/** The one of two that lacks less, then the cheaper. */
const betterOf = (a: CutFigures, b: CutFigures): CutFigures =>
  (missingIn(b) - missingIn(a) || b.cost - a.cost) < 0 ? b : a;

/** A bound on the counted cost as one that whole pieces can cost: where all cost the same, so many whole pieces. */
function costBound(bound: number, costs: readonly number[]): number {
  const step = Math.max(1, costs.reduce(commonDivisor, 0));
  return Math.max(0, step * Math.ceil((bound - TIE - 1e-6) / step));
}

/** The largest number that divides both (Euclid); of nothing and a number that number. */
const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));

function needOf(input: CutInput, order: SawOrder, costs: readonly number[]): Need {
  const total = input.stock.reduce((sum, s) => sum + stockVolume(s) * s.pieces, 0);
  const sheets = input.stock.map((s, i) => sheetOf(s, i, input.demand, input.sawing, order));
  return {
    sheets,
    there: input.stock.map((s) => s.pieces),
    costs: input.stock.map((s, i) => (costs[i] ?? 0) + (total > 0 ? (TIE * stockVolume(s)) / total : 0)),
    wanted: input.demand.map((d) => d.count),
  };
}

function everyColumnOf(need: Need): Column[] | null {
  const all: Column[] = [];
  for (const sheet of need.sheets) {
    const columns = everyColumn(sheet, need.wanted);
    if (columns === null || all.length + columns.length > 6_000) return null;
    all.push(...columns);
  }
  return all;
}

/** Ways to begin with: as the stock comes, and each piece filled by the wood in the blanks. */
function firstColumns(need: Need): Column[] {
  const values = valuesByWood(need);
  return [
    ...asTheyCome(need),
    ...need.sheets.map((sheet) => boundedColumn(sheet, values, need.wanted)),
  ].filter((c) => c.strips.length > 0);
}

/** Every way is known: the cheapest by proof, then of these the one that keeps most. */
function exact(need: Need, every: readonly Column[], input: CutInput, order: SawOrder, solve: SolveLinear) {
  const model = coveringModel(need, every, true);
  const first = solve(model, PROOF);
  if (first.status !== 'optimal') return null;
  const cheapest = taken(every, first.values);
  const kept = every.map((c) => keptWorth(boardCutOf(c, input, order)));
  const volumes = every.map((c) => stockVolume(input.stock[c.sheet.stock] as CutStock));
  const limit = { terms: model.costs.map((c, i): [number, number] => [i, c]), most: first.cost + 1e-6 };
  const least = solve(
    {
      ...model,
      costs: [
        ...every.map((_, i) => ((volumes[i] ?? 0) - (kept[i] ?? 0)) / 1e6),
        ...need.wanted.map(() => 0),
      ],
      rows: [...model.rows, limit],
    },
    PROOF,
  );
  return { columns: least.status === 'optimal' ? taken(every, least.values) : cheapest, proven: true };
}

/** A dive from the relaxation, bettered a window at a time. */
function better(need: Need, { columns, bound }: Relaxed, solve: SolveLinear): Column[] {
  const dived = dive(need, columns, solve);
  return covers(need, dived) ? improve(need, dived, columns, bound, solve) : dived;
}

/** Lays chosen columns out without surplus, and counts. Sheets that are not needed stay closed. */
function figuresOf(
  columns: readonly Column[],
  need: Need,
  input: CutInput,
  order: SawOrder,
  costs: readonly number[],
): CutFigures {
  const wanted = [...need.wanted];
  const cuts: BoardCut[] = [];
  let cost = 0;
  // the fullest first, so that what is surplus empties the last one
  const fullest = [...columns].sort((a, b) => sumOf(b.counts) - sumOf(a.counts));
  for (const column of fullest) {
    const trimmed = withoutSurplus(column, wanted);
    if (trimmed === null) continue;
    cuts.push(boardCutOf(trimmed, input, order));
    cost += costs[column.sheet.stock] ?? 0;
  }
  return {
    cuts,
    cost,
    waste: cuts.reduce((sum, c) => sum + c.stockVolume - c.blankVolume - c.offcutVolume, 0),
    opened: cuts.length,
    missing: input.demand.flatMap((d, i) =>
      (wanted[i] ?? 0) > 0 ? [{ demandId: d.id, count: wanted[i] ?? 0 }] : [],
    ),
  };
}

const sumOf = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
