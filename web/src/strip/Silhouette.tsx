import { assembled, outlineOf, widestOf, type PatternBody, type PlacedPart } from '@compas/core';
import { useMaterials } from '../ui/useMaterials.js';
import { frameFor, type Frame } from './frame.js';
import { wholePath } from './paths.js';
import { TONES } from './tones.js';

/** Room for the line round it, pixels. */
const EDGE = 2;

/** A pattern's silhouette, put together, at a scale shared by the whole shelf, on its reference end. */
export function Silhouette({ body, scale, name }: { body: PatternBody; scale: number; name: string }) {
  const materials = useMaterials();
  const joined = assembled(body).filter((p) => p.joined);
  const drawn = joined.map((placed) => ({ placed, outline: outlineOf(placed.part.turnings[0]) }));
  const radius = Math.max(2, ...drawn.map((d) => widestOf(d.outline).diameter / 2)) + EDGE / scale;
  const from = Math.min(...joined.map((p) => endsOf(p)[0]));
  const to = Math.max(...joined.map((p) => endsOf(p)[1]));
  const axis = radius * scale;
  return (
    <svg width={2 * axis} height={(to - from) * scale + 2} role="img" aria-label={`Silhouette of ${name}`}>
      <g transform={`translate(${2 * axis} 0) rotate(90)`}>
        {drawn.map(({ placed, outline }) => (
          <path
            key={placed.part.id}
            d={wholePath(outline, frameOf(placed, to, scale, axis))}
            fill={TONES[materials.find((m) => m.id === placed.part.materialId)?.tone ?? 'honey'].outside}
            stroke="#3c3226"
            strokeWidth={1.4}
          />
        ))}
      </g>
    </svg>
  );
}

const endsOf = ({ x, turned, length }: PlacedPart): [number, number] =>
  turned ? [x - length, x] : [x, x + length];

/** Standing on its reference end: far positions are at the top. */
function frameOf({ x, turned, length }: PlacedPart, to: number, scale: number, axis: number): Frame {
  const plain = frameFor({
    width: 0,
    length,
    largestRadius: 1,
    before: 0,
    after: 0,
    headstockEnd: 'reference',
    tallest: 0,
  });
  return {
    ...plain,
    scale,
    axis,
    at: (own) => (to - (turned ? x - own : x + own)) * scale + 1,
    up: (r) => axis - r * scale,
  };
}
