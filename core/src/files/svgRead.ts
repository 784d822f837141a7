import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { arcsAlong, type CurvePoint } from '../pattern/index.js';
import { type Drawing, type DrawnLine, type Stroke } from './drawnLine.js';
import { FileProblem, limitPieces, reading } from './fileProblem.js';

/** Millimetres of the units a drawing can be sized in; a px is 1/96 inch (CSS Values 3, 6.2). */
const MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  '': 25.4 / 96,
};

type Attributes = Record<string, string>;
type Node = Record<string, Node[]> & { ':@'?: Attributes };

const parser = new XMLParser({ preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '' });

/** Reads the lines of an SVG drawing, in mm, y upwards. Throws a FileProblem with the line of the file. */
export const readSvg = (text: string): Drawing => reading(text, () => drawingIn(text));

function drawingIn(text: string): Drawing {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    throw new FileProblem(`This is not well-formed SVG. ${valid.err.msg}`, `Line ${valid.err.line}`);
  const root = (parser.parse(text) as Node[]).find((node) => 'svg' in node);
  if (!root) throw new FileProblem('There is no <svg> in the file.');
  const drawing: Drawing = { lines: [], leftAside: [] };
  walk(root['svg'] ?? [], unitsOf(root[':@'] ?? {}), false, drawing);
  limitPieces(drawing.lines.reduce((sum, line) => sum + line.strokes.length, 0));
  return drawing;
}

/** The transform from user units to mm with y upwards. */
function unitsOf({ width, height, viewBox }: Attributes): string {
  const box = viewBox
    ?.trim()
    .split(/[\s,]+/)
    .map(Number);
  const sized = sizeIn(width) ?? sizeIn(height);
  const across = sizeIn(width) !== null ? box?.[2] : box?.[3];
  const scale = sized !== null && across ? sized / across : (MM[''] ?? 1);
  if (!Number.isFinite(scale) || scale <= 0)
    throw new FileProblem(
      `The drawing says it is ${width ?? height} wide for ${String(across)} units. Give it a size in mm.`,
    );
  return `scale(${scale} ${-scale})`;
}

function sizeIn(size: string | undefined): number | null {
  const match = /^\s*([\d.]+)\s*([a-z]*)\s*$/.exec(size ?? '');
  const unit = match && MM[match[2] ?? ''];
  return match && unit ? Number(match[1]) * unit : null;
}

const SHAPES: Record<string, (a: Attributes) => string> = {
  path: (a) => a['d'] ?? '',
  line: (a) => `M${num(a, 'x1')} ${num(a, 'y1')}L${num(a, 'x2')} ${num(a, 'y2')}`,
  polyline: (a) => `M${a['points'] ?? ''}`,
  polygon: (a) => `M${a['points'] ?? ''}Z`,
  rect: (a) => `M${num(a, 'x')} ${num(a, 'y')}h${num(a, 'width')}v${num(a, 'height')}h-${num(a, 'width')}Z`,
  circle: (a) => ellipse(num(a, 'cx'), num(a, 'cy'), num(a, 'r'), num(a, 'r')),
  ellipse: (a) => ellipse(num(a, 'cx'), num(a, 'cy'), num(a, 'rx'), num(a, 'ry')),
};

const num = (a: Attributes, key: string): number => Number(a[key] ?? 0);
const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`;

/** What is neither drawn nor lost. */
const SILENT = new Set([
  'title',
  'desc',
  'metadata',
  'defs',
  'style',
  '#text',
  ':@',
  'namedview',
  'clipPath',
  'mask',
  'marker',
  'pattern',
  'linearGradient',
  'radialGradient',
  'symbol',
]);

function walk(nodes: readonly Node[], transform: string, inAxis: boolean, drawing: Drawing): void {
  for (const node of nodes) {
    const attributes = node[':@'] ?? {};
    const own = attributes['transform'] ? `${transform} ${attributes['transform']}` : transform;
    const axis = inAxis || /(^|\s)axis($|\s)/i.test(`${attributes['id'] ?? ''} ${attributes['class'] ?? ''}`);
    for (const tag of Object.keys(node)) {
      const shape = SHAPES[tag];
      if (tag === 'g' || tag === 'svg' || tag === 'a') walk(node[tag] ?? [], own, axis, drawing);
      else if (shape) drawing.lines.push(...linesOf(shape(attributes), own, axis, attributes['id'] ?? tag));
      else if (!SILENT.has(tag.replace(/^.*:/, ''))) drawing.leftAside.push(`a <${tag}>`);
    }
  }
}

function linesOf(d: string, transform: string, axis: boolean, name: string): DrawnLine[] {
  const path = svgpath(d);
  const { err } = path as unknown as { err: string };
  if (err) throw new FileProblem(`Its path cannot be read: ${err}.`, `Element ${name}`);
  path.abs().unshort().transform(transform);
  const lines: DrawnLine[] = [];
  let start: [number, number] = [0, 0];
  let line: DrawnLine | null = null;
  path.iterate((segment, _, x, y) => {
    const [command, ...values] = segment as [string, ...number[]];
    if (command === 'M') {
      start = [values[0] ?? 0, values[1] ?? 0];
      line = { strokes: [], closed: false, ...(axis ? { axis } : {}) };
      lines.push(line);
      return;
    }
    if (command === 'Z') {
      if (line && Math.hypot(start[0] - x, start[1] - y) > 1e-9)
        line.strokes.push({ x0: x, y0: y, x1: start[0], y1: start[1], bulge: 0 });
      if (line) line.closed = true;
      return;
    }
    line?.strokes.push(...strokesOf(command, values, x, y));
  });
  return lines.filter((l) => l.strokes.length > 0);
}

function strokesOf(command: string, v: number[], x: number, y: number): Stroke[] {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0] = v;
  switch (command) {
    case 'L':
      return [{ x0: x, y0: y, x1: a, y1: b, bulge: 0 }];
    case 'H':
      return [{ x0: x, y0: y, x1: a, y1: y, bulge: 0 }];
    case 'V':
      return [{ x0: x, y0: y, x1: x, y1: a, bulge: 0 }];
    case 'C':
      return bezier([x, y], [a, b], [c, d], [e, f]);
    case 'Q':
      return bezier(
        [x, y],
        [x + (2 / 3) * (a - x), y + (2 / 3) * (b - y)],
        [c + (2 / 3) * (a - c), d + (2 / 3) * (b - d)],
        [c, d],
      );
    case 'A':
      return Math.abs(a - b) < 1e-6 * Math.max(a, b)
        ? [circular(x, y, Math.max(a, b), Number(d) === 1, Number(e) === 1, f, g)]
        : elliptical(x, y, v);
    default:
      throw new FileProblem(`The path command ${command} is not known.`);
  }
}

/** A circular arc; its radius grows to half the chord when it is given too small (SVG 2, 9.5.1). */
function circular(
  x0: number,
  y0: number,
  r: number,
  large: boolean,
  sweep: boolean,
  x1: number,
  y1: number,
): Stroke {
  const half = Math.hypot(x1 - x0, y1 - y0) / 2;
  const small = 2 * Math.asin(Math.min(1, half / Math.max(r, half)));
  const angle = large ? 2 * Math.PI - small : small;
  // a sweep runs counter-clockwise once y points up, and so lies to the right of its chord
  return { x0, y0, x1, y1, bulge: Math.tan(angle / 4) * (sweep ? -1 : 1) };
}

function elliptical(x: number, y: number, v: number[]): Stroke[] {
  const strokes: Stroke[] = [];
  svgpath(`M${x} ${y}A${v.join(' ')}`)
    .unarc()
    .iterate((segment, _, px, py) => {
      const [command, ...values] = segment as [string, ...number[]];
      if (command !== 'M') strokes.push(...strokesOf(command, values, px, py));
    });
  return strokes;
}

type Point = [number, number];

/** A cubic as tangent arcs within 0.001 mm; one whose handles lie on its chord is a line. */
function bezier(p0: Point, p1: Point, p2: Point, p3: Point): Stroke[] {
  const chord = Math.hypot(p3[0] - p0[0], p3[1] - p0[1]);
  const off = (p: Point) =>
    Math.abs((p[0] - p0[0]) * (p3[1] - p0[1]) - (p[1] - p0[1]) * (p3[0] - p0[0])) / Math.max(chord, 1e-12);
  if (chord < 1e-9) return [];
  if (off(p1) < 1e-6 && off(p2) < 1e-6) return [{ x0: p0[0], y0: p0[1], x1: p3[0], y1: p3[1], bulge: 0 }];
  return arcsAlong('', (t) => cubicAt(p0, p1, p2, p3, t)).map(asStroke);
}

function cubicAt(p0: Point, p1: Point, p2: Point, p3: Point, t: number): CurvePoint {
  const s = 1 - t;
  const at = (i: 0 | 1) => s ** 3 * p0[i] + 3 * s * s * t * p1[i] + 3 * s * t * t * p2[i] + t ** 3 * p3[i];
  const slope = (i: 0 | 1) => s * s * (p1[i] - p0[i]) + 2 * s * t * (p2[i] - p1[i]) + t * t * (p3[i] - p2[i]);
  let [dx, dy] = [slope(0), slope(1)];
  // a handle of no length: the curve leaves towards the next one
  if (Math.hypot(dx, dy) < 1e-12)
    [dx, dy] = t < 0.5 ? [p2[0] - p0[0], p2[1] - p0[1]] : [p3[0] - p1[0], p3[1] - p1[1]];
  const norm = Math.hypot(dx, dy) || 1;
  return { x: at(0), r: at(1), tx: dx / norm, tr: dy / norm };
}

const asStroke = (s: { x0: number; r0: number; x1: number; r1: number; bulge: number }): Stroke => ({
  x0: s.x0,
  y0: s.r0,
  x1: s.x1,
  y1: s.r1,
  bulge: s.bulge,
});
