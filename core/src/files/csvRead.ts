import Papa from 'papaparse';
import { MOST_SAMPLE_POINTS, type SamplePoint } from '../pattern/index.js';
import { FileProblem, limitProfile, reading } from './fileProblem.js';

/** Measured places of a CSV in the file's own order, mm: the radius on two sides of the axis. */
export interface CsvProfile {
  points: SamplePoint[];
  /** how the columns were read, in words */
  readAs: string;
}

interface Columns {
  x: number;
  values: number[];
  /** what the value is multiplied by to be a radius in mm, and x to be in mm */
  radius: number;
  along: number;
  readAs: string;
}

/**
 * Reads places and diameters (or radii): the first column is the place, the second the diameter, a
 * third the radius on the other side, unless a heading says otherwise (x, diameter, radius, up, down, mm or inch).
 * Decimal commas are taken when columns are parted by semicolons or tabs. Bad rows are named, none is
 * taken in.
 */
export const readCsv = (text: string): CsvProfile => reading(text, () => profileIn(text));

function profileIn(text: string): CsvProfile {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [heading] = data;
  if (!heading || data.length < 2) throw new FileProblem('There are no rows of places and diameters in it.');
  const headed = heading.some((cell) => /[a-z]/i.test(cell));
  const columns = headed ? columnsOf(heading) : plainColumns(heading);
  const rows = headed ? data.slice(1) : data;
  if (rows.length > MOST_SAMPLE_POINTS)
    throw new FileProblem(
      `It has ${rows.length} rows; up to ${MOST_SAMPLE_POINTS} are read. Take every second one.`,
    );
  const first = headed ? 2 : 1;
  const points = rows.map((row, i) => pointOf(row, columns, i + first));
  const places = points.map((p) => p.x);
  limitProfile(
    Math.max(...places) - Math.min(...places),
    Math.max(...points.map((p) => 2 * Math.max(p.up, p.down))),
  );
  return { points, readAs: columns.readAs };
}

function pointOf(row: readonly string[], columns: Columns, number: number): SamplePoint {
  const where = `Row ${number}`;
  const value = (index: number): number => {
    const cell = (row[index] ?? '').trim();
    const parsed = Number(cell.replace(/^(-?\d+),(\d+)$/, '$1.$2'));
    if (cell === '' || !Number.isFinite(parsed))
      throw new FileProblem(
        `“${cell.slice(0, 40)}” in column ${index + 1} is not a number. Nothing was taken in.`,
        where,
      );
    return parsed;
  };
  const x = value(columns.x) * columns.along;
  const [up = 0, down = up] = columns.values.map((i) => value(i) * columns.radius);
  if (up < 0 || down < 0) throw new FileProblem('A diameter below zero. Nothing was taken in.', where);
  return { x, up, down };
}

function plainColumns(first: readonly string[]): Columns {
  if (first.length < 2)
    throw new FileProblem('It has one column. Give places and diameters in two.', 'Row 1');
  return { x: 0, values: [1], radius: 0.5, along: 1, readAs: 'places and diameters in mm' };
}

function columnsOf(heading: readonly string[]): Columns {
  const find = (pattern: RegExp) => heading.findIndex((cell) => pattern.test(cell.trim()));
  const x = find(/^(x|place|station|position|length|from)/i);
  const diameter = find(/^(d\b|dia|diameter|ø)/i);
  const radius = find(/^(r\b|rad|radius|up)/i);
  const down = find(/^(down|other)/i);
  if (x < 0 || (diameter < 0 && radius < 0))
    throw new FileProblem(
      `The headings are ${heading.join(', ').slice(0, 200)}. Name one column x and one diameter or radius.`,
      'Row 1',
    );
  const unit = /inch|\bin\b|"/i.test(heading.join(' ')) ? 25.4 : 1;
  const isRadius = diameter < 0;
  return {
    x,
    values: isRadius ? [radius, ...(down >= 0 ? [down] : [])] : [diameter],
    radius: (isRadius ? 1 : 0.5) * unit,
    along: unit,
    readAs: `${isRadius ? 'radii' : 'diameters'} at places, in ${unit === 1 ? 'mm' : 'inches'}`,
  };
}
