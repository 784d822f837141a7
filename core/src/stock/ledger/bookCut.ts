import { dim } from '../../measure/index.js';
import type { BoardCut, Offcut } from '../cutting/boardCut.js';
import { costWeights } from '../cutting/blankCosts.js';
import type { CutDemand } from '../cutting/cutInput.js';
import type { NewStockItem, WoodStock } from '../stockItem.js';
import { shareCost } from './ledger.js';

/** What comes onto the shelf: so many of an item, and what they are worth. */
export interface Received {
  item: NewStockItem;
  amount: number;
  cost: number;
}

/**
 * What a cut brings: labelled blanks for each demand and the offcuts that are kept. The cost of the
 * piece that was cut goes over to them wholly, by volume: kerf and waste are paid by the blanks.
 * Offcuts carry a share only when the workshop says that they are worth something.
 */
export function bookCut(
  cut: BoardCut,
  parent: WoodStock,
  cost: number,
  demand: readonly CutDemand[],
  offcutsCarryCost: boolean,
): Received[] {
  const weights = costWeights(cut, demand, offcutsCarryCost);
  const blanks = weights.blanks.map(({ demand: d, count, weight }) => ({
    item: blankOf(d, parent),
    amount: count,
    weight,
  }));
  const offcuts = cut.offcuts.map((o, i) => ({
    item: offcutOf(o, parent),
    amount: o.pieces,
    weight: weights.offcuts[i] ?? 0,
  }));
  const all = [...blanks, ...offcuts];
  const shares = shareCost(
    cost,
    all.map((a) => a.weight),
  );
  return all.map(({ item, amount }, i) => ({ item, amount, cost: shares[i] ?? 0 }));
}

const inherited = ({ materialId, moisture, origin, place }: WoodStock) => ({
  materialId,
  moisture,
  origin,
  place,
  price: null,
  reorderAt: null,
});

const blankOf = (d: CutDemand, parent: WoodStock): NewStockItem => ({
  ...inherited(parent),
  kind: 'blank',
  // what is cut off a rod or a tip stays round
  form: parent.kind === 'rod' || parent.kind === 'tip' ? 'round' : d.octagon ? 'octagon' : 'square',
  label: `${d.label}, from ${parent.label}`,
  size: dim(d.section),
  length: dim(d.length),
  offcut: false,
  batchId: d.batchId ?? null,
});

/** Offcuts are called after what they are left of, however often it was cut. */
function offcutOf(o: Offcut, parent: WoodStock): NewStockItem {
  const base = { ...inherited(parent), offcut: true, length: dim(round(o.length)) };
  const label = `${parent.label.replace(/, offcut.*$/, '')}, offcut ${Math.floor(o.length)}`;
  if (o.round) return { ...base, kind: 'rod', label, diameter: dim(o.width) };
  if (Math.abs(o.width - o.thickness) < 0.5)
    return { ...base, kind: 'square', label, side: dim(round(Math.min(o.width, o.thickness))) };
  const board = {
    kind: 'board' as const,
    thickness: dim(round(o.thickness)),
    width: dim(round(o.width)),
    zones: [],
  };
  return { ...base, ...board, label };
}

/** Sizes of offcuts are told to the tenth, never more than is there. */
const round = (mm: number): number => Math.floor(mm * 10 + 1e-6) / 10;
