import { extremes, materialById, outlineOf, type PatternBody } from '@compas/core';
import { frameFor } from './frame.js';
import { wholePath } from './paths.js';
import { TONES } from './tones.js';

/** Room for the line round it, pixels. */
const EDGE = 2;

/** A pattern's silhouette at a scale shared by the whole shelf, standing on its reference end. */
export function Silhouette({ body, scale, name }: { body: PatternBody; scale: number; name: string }) {
  const [part] = body.parts;
  const outline = outlineOf(part.turnings[0]);
  const radius = Math.max(2, extremes(outline, 0, outline.length).largest.diameter / 2) + EDGE / scale;
  const base = frameFor({
    width: 0,
    length: outline.length,
    largestRadius: radius,
    before: 0,
    after: 0,
    headstockEnd: 'reference',
    tallest: 0,
  });
  const axis = radius * scale;
  const frame = {
    ...base,
    scale,
    axis,
    at: (x: number) => (outline.length - x) * scale + 1,
    up: (r: number) => axis - r * scale,
  };
  const tone = TONES[materialById(part.materialId)?.tone ?? 'honey'];
  const width = outline.length * scale + 2;
  return (
    <svg width={2 * axis} height={width} role="img" aria-label={`Silhouette of ${name}`}>
      <g transform={`translate(${2 * axis} 0) rotate(90)`}>
        <path d={wholePath(outline, frame)} fill={tone.outside} stroke="#3c3226" strokeWidth={1.4} />
      </g>
    </svg>
  );
}
