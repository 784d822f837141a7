import { formatLength, speak, type Units } from '../measure/index.js';
import {
  boreOf,
  axisSection,
  holeBoundary,
  hollowSection,
  nameOf,
  OPENINGS,
  outlineOf,
  pointsAlong,
  ringPart,
  ringPlace,
  wallOf,
  widestOf,
  type Hollow,
  type Outline,
  type Part,
  type PatternBody,
  type Turning,
} from '../pattern/index.js';
import { diameterInk, figure, lengthInk, ROW, type Placing } from './drawingLabels.js';
import { line, MARGIN, PAPERS, text, type Ink, type Page, type Paper } from './page.js';

export interface DrawingWish {
  title: string;
  revision: number;
  body: PatternBody;
  units: Units;
  paper: Paper;
}

/** Scales a workshop draws to, larger first: drawing mm to one mm of the work. */
const SCALES: [number, string][] = [
  [5, '5 : 1'],
  [2, '2 : 1'],
  [1, '1 : 1'],
  [0.5, '1 : 2'],
  [0.2, '1 : 5'],
  [0.1, '1 : 10'],
];

const TOP = 44;
const LABEL_ROWS = 4;
const LIST_TOP = 140;

/**
 * Dimensioned drawing of every part, a sheet each, lying: outside above the axis, section with its
 * holes below it, a chain of lengths from the reference end, the diameters at the transitions, and a list
 * of elements, holes and checks. To the largest of the usual scales that fits.
 */
export function patternDrawing(wish: DrawingWish): Page[] {
  return wish.body.parts.map((part) => partSheet(part, wish));
}

function partSheet(part: Part, wish: DrawingWish): Page {
  const { width: height, height: width } = PAPERS[wish.paper];
  const outline = outlineOf(part.turnings[0]);
  const largest = Math.max(1, widestOf(outline).diameter);
  const room = { along: width - 2 * MARGIN - 20, across: LIST_TOP - TOP - 2 * LABEL_ROWS * ROW - 8 };
  const [scale, scaleName] =
    SCALES.find(([s]) => outline.length * s <= room.along && largest * s <= room.across) ??
    ([Math.min(room.along / outline.length, room.across / largest), 'to fit, not to scale'] as const);
  const axis = TOP + LABEL_ROWS * ROW + (largest * scale) / 2;
  const place: Placing = {
    x: (x) => MARGIN + 10 + x * scale,
    y: (r) => axis - r * scale,
    top: TOP,
    low: axis + (largest * scale) / 2,
  };
  return {
    width,
    height,
    ink: [
      ...heading(part, wish, outline, scaleName),
      ...shapeInk(outline, part, place),
      ...diameterInk(outline, place, wish.units),
      ...lengthInk(outline, place, wish.units),
      ...listInk(part, wish, outline, width),
    ],
  };
}

function heading(
  part: Part,
  { title, revision, units, body }: DrawingWish,
  outline: Outline,
  scale: string,
): Ink[] {
  const many =
    body.parts.length > 1 ? `, ${part.name}${part.perItem > 1 ? ` (${part.perItem} in each)` : ''}` : '';
  return [
    text(MARGIN, MARGIN + 6, 6, `${title}${many}`, { bold: true }),
    text(
      MARGIN,
      MARGIN + 12,
      3.4,
      `Revision ${revision}. Scale ${scale}. Total ${formatLength(outline.length, units)}${units === 'mm' ? ', all in mm' : ''}, from the reference end at the left. Seen diameters ±0.5 mm unless a tolerance stands beside them.`,
    ),
  ];
}

/** How far a drawn chord may stray from its arc, mm of the work. */
const FINEST_CHORD = 0.01;

function shapeInk(outline: Outline, part: Part, place: Placing): Ink[] {
  const points = (side: 1 | -1) =>
    pointsAlong(outline, FINEST_CHORD).map(({ x, r }): [number, number] => [place.x(x), place.y(side * r)]);
  const first = outline.segments[0];
  const last = outline.segments.at(-1);
  const ink: Ink[] = [
    { kind: 'polyline', points: points(1), weight: 0.4 },
    { kind: 'polyline', points: points(-1), weight: 0.4 },
    line(place.x(-6), place.y(0), place.x(outline.length + 6), place.y(0), 0.15, true),
  ];
  if (first) ink.push(line(place.x(0), place.y(first.r0), place.x(0), place.y(-first.r0), 0.4));
  if (last) ink.push(line(place.x(last.x1), place.y(last.r1), place.x(last.x1), place.y(-last.r1), 0.4));
  for (const hole of part.holes)
    for (const s of holeBoundary(hole, outline.length))
      ink.push(line(place.x(s.x0), place.y(-s.r0), place.x(s.x1), place.y(-s.r1), 0.25, true));
  for (const turning of part.turnings.slice(1)) {
    const { upper, lower, axis } = axisSection(turning, FINEST_CHORD);
    for (const [points, weight] of [
      [upper, 0.25],
      [lower, 0.25],
      [axis, 0.1],
    ] as const)
      ink.push({
        kind: 'polyline',
        points: points.map(({ x, y }): [number, number] => [place.x(x), place.y(y)]),
        weight,
      });
  }
  for (const ring of part.rings ?? []) {
    const { x0, inside } = ringPlace(ring, outline);
    const bead = outlineOf(ringPart(ring, outline).turnings[0]);
    for (const side of [1, -1] as const)
      ink.push({
        kind: 'polyline',
        points: [
          ...pointsAlong(bead, FINEST_CHORD).map(({ x, r }): [number, number] => [
            place.x(x0 + x),
            place.y(side * r),
          ]),
          ...[bead.length, 0].map((x): [number, number] => [place.x(x0 + x), place.y((side * inside) / 2)]),
        ],
        weight: 0.25,
      });
  }
  for (const hollow of part.hollows ?? [])
    ink.push({
      kind: 'polyline',
      points: hollowSection(hollow, outline.length, FINEST_CHORD).map(({ x, y }): [number, number] => [
        place.x(x),
        place.y(hollow.opens === 'side' ? -y : y),
      ]),
      weight: 0.25,
    });
  for (const cross of part.crossHoles ?? []) {
    const { x, radius } = boreOf(cross, outline);
    ink.push(line(place.x(x), place.y(-radius), place.x(x), place.y(radius), 0.15, true));
    ink.push(circleInk(place, x, radius));
  }
  return ink;
}

function circleInk(place: Placing, x: number, radius: number): Ink {
  const points = Array.from({ length: 33 }, (_, i): [number, number] => {
    const angle = (i * Math.PI) / 16;
    return [place.x(x + radius * Math.cos(angle)), place.y(radius * Math.sin(angle))];
  });
  return { kind: 'polyline', points, weight: 0.25 };
}

/** Where a further axis lies, then what is turned about it: places along it and diameters. */
function axisLines(turning: Turning, number: number, units: Units): string[] {
  const { axis, startDiameter } = turning;
  if (!axis) return [];
  const ends = outlineOf(turning).spans.map(
    (s) => `${figure(s.x1, units)} ⌀ ${figure(s.endDiameter, units)}`,
  );
  return [
    `axis ${number}: ${figure(axis.shift.mm, units)} off towards ${axis.direction}°, at ${figure(axis.along?.mm ?? 0, units)} from the reference end, leaning ${axis.tilt}°`,
    `   along it: 0 ⌀ ${figure(startDiameter.mm, units)}, ${ends.join(', ')}`,
  ];
}

/** Where a hollow opens, then its wall place by place: depth from the rim and diameter. */
function hollowLines({ name, opens, axis, rim, ...hollow }: Hollow, units: Units): string[] {
  const lies =
    opens === 'side'
      ? `, ${figure(axis?.along?.mm ?? 0, units)} from the reference end, at ${axis?.direction ?? 0}°, leaning ${axis?.tilt ?? 0}°, rim ${figure((rim?.mm ?? 0) + (axis?.shift.mm ?? 0), units)} above the axis`
      : '';
  const wall = wallOf({ name, opens, ...hollow });
  const ends = wall.spans.map((s) => `${figure(s.x1, units)} ⌀ ${figure(s.endDiameter, units)}`);
  return [
    `${name}, ${OPENINGS[opens]}${lies}`,
    `   from its rim: 0 ⌀ ${figure(hollow.startDiameter.mm, units)}, ${ends.join(', ')}`,
  ];
}

function listInk(part: Part, { body, units }: DrawingWish, outline: Outline, width: number): Ink[] {
  const elements = outline.spans.map(
    (s, i) =>
      `${i + 1}  ${nameOf(s.element)}${s.element.name ? ` (${s.element.kind})` : ''}${s.element.tolerance ? ` ±${s.element.tolerance}` : ''}: ${figure(s.x0, units)} to ${figure(s.x1, units)}`,
  );
  const holes = [
    ...part.holes.map((h) => {
      const steps = h.steps.map((s) => {
        const taper = s.endDiameter ? ` tapering to ${figure(s.endDiameter.mm, units)}` : '';
        return `⌀ ${figure(s.diameter.mm, units)}${taper}${h.through ? '' : `, ${figure(s.depth.mm, units)} deep`}`;
      });
      return `${h.name}, ${h.from} end${h.through ? ', through' : ''}: ${steps.join('; ')}`;
    }),
    ...(part.crossHoles ?? []).map(
      (c) =>
        `${c.name}: ⌀ ${figure(c.diameter.mm, units)}, ${figure(c.at.mm, units)} from the ${c.from} end, at ${c.angle}°${c.through ? ', through' : ''}`,
    ),
    ...(part.rings ?? []).map((ring) => {
      const { x0, x1, inside, outside } = ringPlace(ring, outline);
      return `${ring.name}, loose: ⌀ ${figure(outside, units)}, inside ⌀ ${figure(inside, units)}, turned from ${figure(x0, units)} to ${figure(x1, units)}`;
    }),
    ...part.turnings.slice(1).flatMap((turning, i) => axisLines(turning, i + 2, units)),
    ...(part.hollows ?? []).flatMap((hollow) => hollowLines(hollow, units)),
  ];
  const checks = (body.checks ?? []).map((c) => speak(c.words, units));
  const column = (x: number, title: string, rows: string[]): Ink[] =>
    rows.length === 0
      ? []
      : [
          text(x, LIST_TOP + 14, 3.6, title, { bold: true }),
          ...rows.slice(0, 12).map((row, i) => text(x, LIST_TOP + 18.5 + i * 3.9, 2.9, row)),
        ];
  const third = (width - 2 * MARGIN) / 3;
  return [
    ...column(MARGIN, 'Elements', elements.slice(0, 12)),
    ...column(
      MARGIN + third,
      elements.length > 12 ? 'Elements, on' : 'Holes',
      elements.length > 12 ? elements.slice(12) : holes,
    ),
    ...column(
      MARGIN + 2 * third,
      elements.length > 12 ? 'Holes' : 'Checks',
      elements.length > 12 ? holes : checks,
    ),
  ];
}
