import Papa from 'papaparse';
import type { Material } from '../material/index.js';
import { isDay, parseLength, type Dimension, type Units } from '../measure/index.js';
import { parsePrice, stockProblems, type NewStockItem } from '../stock/index.js';
import { FileProblem, reading } from './fileProblem.js';

/** A row that became stock, and how many alike. */
interface StockRow {
  row: number;
  item: NewStockItem;
  pieces: number;
}

/** A stock list as it was read. Nothing is taken in until somebody has looked at it. */
export interface StockList {
  rows: StockRow[];
  /** each bad row by its number in the file, with what would do */
  problems: { row: number; why: string }[];
}

export interface StockListContext {
  units: Units;
  currency: string;
  materials: readonly Material[];
}

const MOST_ROWS = 2_000;

/** Columns that a stock list can have; the first four are needed by every row or nearly. */
export const STOCK_COLUMNS = [
  'kind',
  'label',
  'material',
  'length',
  'thickness',
  'width',
  'side',
  'diameter',
  'thin end',
  'pieces',
  'price',
  'moisture',
  'origin',
  'place',
  'felled',
] as const;

type Column = (typeof STOCK_COLUMNS)[number];
type Cell = (column: Column) => string;

/** Reads a stock list with a heading row. Lengths in the reader's units unless they carry their own. */
export const readStockCsv = (text: string, context: StockListContext): StockList =>
  reading(text, () => listIn(text, context));

function listIn(text: string, context: StockListContext): StockList {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [heading, ...rows] = data;
  const columns = (heading ?? []).map((h) => h.trim().toLowerCase());
  if (!columns.includes('kind') || !columns.includes('length'))
    throw new FileProblem(
      `The first row names the columns and needs “kind” and “length”. Columns that are known: ${STOCK_COLUMNS.join(', ')}.`,
    );
  if (rows.length > MOST_ROWS)
    throw new FileProblem(`It has ${rows.length} rows; up to ${MOST_ROWS} are read. Take it in parts.`);
  const list: StockList = { rows: [], problems: [] };
  rows.forEach((cells, i) => {
    const row = i + 2;
    const cell: Cell = (column) => (cells[columns.indexOf(column)] ?? '').trim();
    try {
      list.rows.push({ row, ...rowOf(cell, context) });
    } catch (problem) {
      if (!(problem instanceof FileProblem)) throw problem;
      list.problems.push({ row, why: problem.why });
    }
  });
  return list;
}

function rowOf(cell: Cell, context: StockListContext): { item: NewStockItem; pieces: number } {
  const item = itemOf(cell, context);
  const [problem] = stockProblems(item);
  if (problem) throw new FileProblem(problem.why);
  const pieces = cell('pieces') === '' ? 1 : Number(cell('pieces'));
  if (!Number.isInteger(pieces) || pieces < 1)
    throw new FileProblem(`“${cell('pieces')}” pieces. Give a whole number from 1 on.`);
  return { item, pieces };
}

function itemOf(cell: Cell, context: StockListContext): NewStockItem {
  const length = (column: Column): Dimension => {
    const parsed = parseLength(cell(column), context.units);
    if (!parsed.ok) throw new FileProblem(`${column}: ${parsed.why}`);
    return parsed.dimension;
  };
  const wood = woodOf(cell, context);
  switch (cell('kind').toLowerCase()) {
    case 'board':
      return {
        ...wood,
        kind: 'board',
        thickness: length('thickness'),
        width: length('width'),
        length: length('length'),
        zones: [],
      };
    case 'square':
      return { ...wood, kind: 'square', side: length('side'), length: length('length') };
    case 'rod':
      return { ...wood, kind: 'rod', diameter: length('diameter'), length: length('length') };
    case 'tip':
      return {
        ...wood,
        kind: 'tip',
        thickEnd: length('diameter'),
        thinEnd: length('thin end'),
        length: length('length'),
      };
    case 'blank':
      return {
        ...wood,
        kind: 'blank',
        form: 'square',
        size: length('side'),
        length: length('length'),
        batchId: null,
      };
    case 'log':
      return {
        ...wood,
        kind: 'log',
        buttDiameter: length('diameter'),
        topDiameter: cell('thin end') === '' ? length('diameter') : length('thin end'),
        length: length('length'),
        pith: { x: 0, y: 0 },
        sapwood: { mm: 0 },
        felled: dayOf(cell('felled')),
      };
    default:
      throw new FileProblem(
        `“${cell('kind')}” is no kind of stock. Give board, square, rod, tip, log or blank.`,
      );
  }
}

function woodOf(cell: Cell, { materials, currency }: StockListContext) {
  const named = cell('material').toLowerCase();
  const material = materials.find((m) => m.id === named || m.name.toLowerCase() === named);
  if (!material)
    throw new FileProblem(
      `The material “${cell('material')}” is not in the library. Add it there first, or use its name.`,
    );
  const price = parsePrice(cell('price'), currency);
  if (!price.ok) throw new FileProblem(price.why);
  const moisture =
    cell('moisture') === '' ? null : Number(cell('moisture').replace(/[%\s]/g, '').replace(',', '.'));
  if (moisture !== null && !(moisture >= 0 && moisture <= 200))
    throw new FileProblem(
      `The moisture “${cell('moisture')}” is no percentage. Give 0 to 200, or leave it empty.`,
    );
  return {
    label: cell('label') || `${material.name} ${cell('kind').toLowerCase()}`,
    materialId: material.id,
    price: price.price,
    moisture,
    origin: cell('origin'),
    place: cell('place'),
    offcut: false,
    reorderAt: null,
  };
}

function dayOf(text: string): string | null {
  if (text === '') return null;
  if (!isDay(text)) throw new FileProblem(`“${text}” is not a day. Give it like 2026-02-14.`);
  return text;
}
