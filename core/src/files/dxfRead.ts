import parserModule from 'dxf-parser';
import type {
  IArcEntity,
  ICircleEntity,
  IEllipseEntity,
  IEntity,
  ILineEntity,
  ILwpolylineEntity,
  IPolylineEntity,
  ISplineEntity,
} from 'dxf-parser';
import { arcsAlong } from '../pattern/index.js';
import type { Drawing, DrawnLine, Stroke } from './drawnLine.js';
import { FileProblem, limitPieces, reading } from './fileProblem.js';
import { nurbsAt, type Nurbs } from './nurbs.js';

// the package's types speak of a namespace, what arrives is the class itself
const DxfParser = parserModule as unknown as typeof import('dxf-parser').DxfParser;

/** Millimetres of the units a DXF can be in ($INSUNITS); without any we take mm. */
const MM: Record<number, number> = { 0: 1, 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** Writing, marks and measures: they are no line of the profile and may be left aside. */
const NOT_LINES = new Set(['TEXT', 'MTEXT', 'DIMENSION', 'POINT', 'LEADER', 'HATCH', 'VIEWPORT', 'ATTDEF']);

/** Reads the lines of a DXF drawing, in mm. Throws a FileProblem that names the entity. */
export const readDxf = (text: string): Drawing => reading(text, () => drawingIn(text.trimStart()));

function drawingIn(text: string): Drawing {
  const parsed = parse(text);
  const units = Number(parsed.header['$INSUNITS'] ?? 0);
  const scale = MM[units];
  if (scale === undefined)
    throw new FileProblem(
      `The drawing is in units number ${units}, which are not read. Save it in mm or inches.`,
    );
  const drawing: Drawing = { lines: [], leftAside: [] };
  parsed.entities.forEach((entity, i) => {
    if (NOT_LINES.has(entity.type)) {
      drawing.leftAside.push(`entity ${i + 1}, a ${entity.type}`);
      return;
    }
    const line = lineOf(entity, i);
    drawing.lines.push({
      ...line,
      strokes: line.strokes.map((s) => ({
        ...s,
        x0: s.x0 * scale,
        y0: s.y0 * scale,
        x1: s.x1 * scale,
        y1: s.y1 * scale,
      })),
      ...(/axis/i.test(entity.layer) ? { axis: true } : {}),
    });
  });
  limitPieces(drawing.lines.reduce((sum, line) => sum + line.strokes.length, 0));
  return drawing;
}

function parse(text: string): { header: Record<string, unknown>; entities: IEntity[] } {
  const lines = text.split(/\r?\n/);
  if (!beginsWithSection(lines))
    throw new FileProblem(
      'A DXF begins with a section. Save it as text (ASCII) DXF, not as binary.',
      'Line 1',
    );
  refuseEndless(lines);
  try {
    const parsed = new DxfParser().parseSync(text);
    if (parsed) return { header: parsed.header ?? {}, entities: parsed.entities ?? [] };
  } catch (error) {
    throw new FileProblem(
      `This is not a DXF that can be read: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
  throw new FileProblem('There is nothing in this DXF.');
}

/** Comments (code 999) may stand before it. */
function beginsWithSection(lines: readonly string[]): boolean {
  let at = lines.findIndex((line) => line.trim() !== '');
  while (lines[at]?.trim() === '999') at += 2;
  return lines[at]?.trim() === '0' && lines[at + 1]?.trim() === 'SECTION';
}

/** Old polylines run on to their end mark; the package looks for one that is not there without end. */
function refuseEndless(lines: readonly string[]): void {
  const isMark = (i: number, ...marks: string[]) =>
    lines[i - 1]?.trim() === '0' && marks.includes(lines[i]?.trim() ?? '');
  for (let i = 1; i < lines.length; i++) {
    if (!isMark(i, 'POLYLINE')) continue;
    const begun = i;
    do i += 1;
    while (i < lines.length && !isMark(i, 'SEQEND', 'POLYLINE', 'ENDSEC', 'EOF'));
    if (!isMark(i, 'SEQEND'))
      throw new FileProblem('This polyline has no end (SEQEND). Save the drawing anew.', `Line ${begun + 1}`);
  }
}

const open = (strokes: Stroke[]): DrawnLine => ({ strokes, closed: false });

function lineOf(entity: IEntity, i: number): DrawnLine {
  const where = `Entity ${i + 1}, a ${entity.type}`;
  switch (entity.type) {
    case 'LINE': {
      const [a, b] = (entity as ILineEntity).vertices;
      if (!a || !b) throw new FileProblem('It has only one end.', where);
      return open([{ x0: a.x, y0: a.y, x1: b.x, y1: b.y, bulge: 0 }]);
    }
    case 'ARC':
      return open([arcOf(entity as IArcEntity)]);
    case 'CIRCLE':
      return circleOf(entity as ICircleEntity);
    case 'LWPOLYLINE':
      return polyline((entity as ILwpolylineEntity).vertices, (entity as ILwpolylineEntity).shape);
    case 'POLYLINE':
      return polyline((entity as IPolylineEntity).vertices, (entity as IPolylineEntity).shape);
    case 'SPLINE':
      return splineOf(entity as ISplineEntity, where);
    case 'ELLIPSE':
      return ellipseOf(entity as IEllipseEntity);
    default:
      throw new FileProblem(
        'Only lines, arcs, circles, ellipses, polylines and splines are read. Explode it into those, or take it out.',
        where,
      );
  }
}

/** Runs counter-clockwise, and so lies to the right of its chord. */
function arcOf({ center, radius, startAngle, endAngle }: IArcEntity): Stroke {
  const turn = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
  const at = (angle: number) => [center.x + radius * Math.cos(angle), center.y + radius * Math.sin(angle)];
  const [x0 = 0, y0 = 0] = at(startAngle);
  const [x1 = 0, y1 = 0] = at(endAngle);
  return { x0, y0, x1, y1, bulge: -Math.tan(turn / 4) };
}

function circleOf({ center: { x, y }, radius }: ICircleEntity): DrawnLine {
  return {
    strokes: [
      { x0: x - radius, y0: y, x1: x + radius, y1: y, bulge: 1 },
      { x0: x + radius, y0: y, x1: x - radius, y1: y, bulge: 1 },
    ],
    closed: true,
  };
}

interface Vertex {
  x: number;
  y: number;
  bulge?: number;
}

/** A DXF bulge above 0 lies to the right of the chord: ours is its opposite. */
function polyline(vertices: readonly Vertex[], closed: boolean): DrawnLine {
  const strokes = vertices.flatMap((a, i): Stroke[] => {
    const b = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    return b ? [{ x0: a.x, y0: a.y, x1: b.x, y1: b.y, bulge: a.bulge ? -a.bulge : 0 }] : [];
  });
  return { strokes, closed };
}

function splineOf(entity: ISplineEntity, where: string): DrawnLine {
  const { controlPoints, knotValues, degreeOfSplineCurve: degree } = entity;
  if (!controlPoints || controlPoints.length <= degree)
    throw new FileProblem(
      'It is given by points to go through, without control points. Save it with those.',
      where,
    );
  if (knotValues.length !== controlPoints.length + degree + 1)
    throw new FileProblem(
      `It has ${knotValues.length} knots for ${controlPoints.length} control points of degree ${degree}; there must be ${controlPoints.length + degree + 1}.`,
      where,
    );
  const curve: Nurbs = { degree, knots: knotValues, points: controlPoints.map(({ x, y }) => [x, y]) };
  const spans = [...new Set(knotValues.slice(degree, -degree))];
  const strokes = spans.slice(1).flatMap((to, i) => {
    const from = spans[i] ?? to;
    return arcsAlong('', (t) => nurbsAt(curve, from + t * (to - from), t < 0.5));
  });
  return open(strokes.map((s) => ({ x0: s.x0, y0: s.r0, x1: s.x1, y1: s.r1, bulge: s.bulge })));
}

function ellipseOf({
  center,
  majorAxisEndPoint: major,
  axisRatio,
  startAngle,
  endAngle,
}: IEllipseEntity): DrawnLine {
  const long = Math.hypot(major.x, major.y);
  const lean = Math.atan2(major.y, major.x);
  const turn = endAngle - startAngle || 2 * Math.PI;
  const [c, s] = [Math.cos(lean), Math.sin(lean)];
  const quarters = [0, 1, 2, 3].flatMap((q) =>
    arcsAlong('', (t) => {
      const angle = startAngle + (turn * (q + t)) / 4;
      const [u, v] = [long * Math.cos(angle), long * axisRatio * Math.sin(angle)];
      const [du, dv] = [-long * Math.sin(angle), long * axisRatio * Math.cos(angle)];
      const norm = Math.hypot(du, dv);
      return {
        x: center.x + u * c - v * s,
        r: center.y + u * s + v * c,
        tx: (du * c - dv * s) / norm,
        tr: (du * s + dv * c) / norm,
      };
    }),
  );
  const strokes = quarters.map((a) => ({ x0: a.x0, y0: a.r0, x1: a.x1, y1: a.r1, bulge: a.bulge }));
  return { strokes, closed: Math.abs(turn - 2 * Math.PI) < 1e-9 };
}
