import { DxfWriter, point2d, Units } from '@tarikjabiri/dxf';
import Papa from 'papaparse';
import { circleOf, pointsAlong, widestOf, type Outline, type Segment } from '../pattern/index.js';
import { xmlText } from './xmlText.js';

const mm = (value: number): string => String(Number(value.toFixed(5)));

/**
 * The whole silhouette as SVG at its true size, lying, reference end left; arcs stay arcs. The axis is
 * a line named “axis”.
 */
export function profileSvg(outline: Outline, title: string): string {
  const radius = widestOf(outline).diameter / 2;
  const wide = outline.length + 10;
  const high = 2 * radius + 10;
  const first = outline.segments[0];
  const upper = outline.segments.map((s) => svgPiece(s, 1)).join('');
  const lower = [...outline.segments]
    .reverse()
    .map((s) => svgPiece(s, -1))
    .join('');
  const last = outline.segments.at(-1);
  const d = first && last ? `M0 ${mm(-first.r0)}${upper}L${mm(last.x1)} ${mm(last.r1)}${lower}Z` : '';
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(wide)}mm" height="${mm(high)}mm" viewBox="-5 ${mm(-high / 2)} ${mm(wide)} ${mm(high)}">`,
    `<title>${xmlText(title)}</title>`,
    `<path id="profile" d="${d}" fill="none" stroke="black" stroke-width="0.2"/>`,
    `<path id="axis" d="M-4 0H${mm(outline.length + 4)}" fill="none" stroke="black" stroke-width="0.1" stroke-dasharray="4 1 1 1"/>`,
    '</svg>\n',
  ].join('\n');
}

/** One segment above the axis going on, or below it coming back. In SVG y points down. */
function svgPiece(s: Segment, side: 1 | -1): string {
  const [x, y] = side === 1 ? [s.x1, -s.r1] : [s.x0, s.r0];
  if (s.bulge === 0) return `L${mm(x)} ${mm(y)}`;
  const radius = circleOf(s).radius;
  const large = Math.abs(s.bulge) > 1 ? 1 : 0;
  // an arc that bulges outwards runs clockwise on the screen on both sides of the axis
  return `A${mm(radius)} ${mm(radius)} 0 ${large} ${s.bulge > 0 ? 1 : 0} ${mm(x)} ${mm(y)}`;
}

/** The half profile as DXF in mm: one polyline whose arcs stay arcs, the axis on a layer AXIS. */
export function profileDxf(outline: Outline): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  writer.addLayer('PROFILE', 7, 'Continuous');
  writer.addLayer('AXIS', 1, 'Continuous');
  const last = outline.segments.at(-1);
  const vertices = outline.segments.map((s) => ({ point: point2d(s.x0, s.r0), bulge: -s.bulge }));
  if (last) vertices.push({ point: point2d(last.x1, last.r1), bulge: 0 });
  writer.addLWPolyline(vertices, { layerName: 'PROFILE' });
  writer.addLine({ x: 0, y: 0, z: 0 }, { x: outline.length, y: 0, z: 0 }, { layerName: 'AXIS' });
  return writer.stringify();
}

/** How far a chord may stray from its arc in a CSV, mm. */
const CHORD = 0.002;

/** Diameters along the part as CSV; arcs as points that stray by at most 0.002 mm, a step as two rows. */
export function profileCsv(outline: Outline): string {
  const rows = pointsAlong(outline, CHORD).map(({ x, r }) => ({
    'x mm': x.toFixed(4),
    'diameter mm': (2 * r).toFixed(4),
  }));
  return `${Papa.unparse(rows)}\n`;
}
