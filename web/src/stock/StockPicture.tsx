import type { Material, StockItem } from '@compas/core';
import { TONES } from '../strip/tones.js';

interface StockPictureProps {
  item: StockItem;
  materials: readonly Material[];
  /** pixels per mm */
  scale: number;
}

const EDGE = '#5c5346';

/** A stock item from above, to scale with the others of its kind: its wood, its unusable places. */
export function StockPicture({ item, materials, scale }: StockPictureProps) {
  if (item.kind === 'consumable') return null;
  const tone = TONES[materials.find((m) => m.id === item.materialId)?.tone ?? 'honey'];
  const width = Math.max(6, item.length.mm * scale);
  const [left, right] = ends(item).map((mm) => Math.max(4, mm * scale)) as [number, number];
  const height = Math.max(left, right);
  const middle = height / 2 + 1;
  return (
    <svg width={width + 2} height={height + 2} aria-hidden className="stock-picture">
      <path
        d={`M1,${middle - left / 2}L${width + 1},${middle - right / 2}L${width + 1},${middle + right / 2}L1,${middle + left / 2}Z`}
        fill={tone.section}
        stroke={EDGE}
      />
      {item.kind === 'board' &&
        item.zones.map((z, i) => (
          <rect
            key={i}
            x={1 + Math.max(0, z.from) * scale}
            y={1 + Math.max(0, z.low) * scale}
            width={(Math.min(item.length.mm, z.to) - Math.max(0, z.from)) * scale}
            height={(Math.min(item.width.mm, z.high) - Math.max(0, z.low)) * scale}
            fill="#6b3d2a"
            fillOpacity={0.55}
          />
        ))}
    </svg>
  );
}

/** How wide the item is at its two ends, mm. */
function ends(item: Exclude<StockItem, { kind: 'consumable' }>): [number, number] {
  switch (item.kind) {
    case 'board':
      return [item.width.mm, item.width.mm];
    case 'square':
      return [item.side.mm, item.side.mm];
    case 'rod':
      return [item.diameter.mm, item.diameter.mm];
    case 'tip':
      return [item.thickEnd.mm, item.thinEnd.mm];
    case 'log':
      return [item.buttDiameter.mm, item.topDiameter.mm];
    case 'blank':
      return [item.size.mm, item.size.mm];
  }
}
