import type { Board, Material, Zone } from '@compas/core';
import { useState, type PointerEvent } from 'react';
import { TONES } from '../strip/tones.js';
import { useWidth } from '../strip/useWidth.js';

interface Drawn {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

interface BoardZonesProps {
  board: Board;
  materials: readonly Material[];
  onDraw: (zone: Zone) => void;
}

/** A board from above; dragging over it marks a place that cannot be used. */
export function BoardZones({ board, materials, onDraw }: BoardZonesProps) {
  const tone = TONES[materials.find((m) => m.id === board.materialId)?.tone ?? 'honey'];
  const { ref, width } = useWidth<HTMLDivElement>(200);
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const scale = (width - 2) / board.length.mm;
  const height = board.width.mm * scale;
  const at = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const within = (v: number, most: number) => Math.round(Math.min(most, Math.max(0, v)));
    return {
      x: within((event.clientX - box.left - 1) / scale, board.length.mm),
      y: within((event.clientY - box.top - 1) / scale, board.width.mm),
    };
  };
  const finish = () => {
    if (drawn && Math.abs(drawn.x1 - drawn.x0) > 2 && Math.abs(drawn.y1 - drawn.y0) > 2)
      onDraw({ ...zoneOf(drawn), why: 'knot' });
    setDrawn(null);
  };
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height + 2}
        className="board-zones"
        role="img"
        aria-label={`${board.label} from above, with ${board.zones.length} unusable places`}
        onPointerDown={(e) => {
          const { x, y } = at(e);
          e.currentTarget.setPointerCapture(e.pointerId);
          setDrawn({ x0: x, y0: y, x1: x, y1: y });
        }}
        onPointerMove={(e) => {
          if (!drawn) return;
          const { x, y } = at(e);
          setDrawn({ ...drawn, x1: x, y1: y });
        }}
        onPointerUp={finish}
      >
        <rect x={1} y={1} width={width - 2} height={height} fill={tone.section} stroke="#5c5346" />
        {[...board.zones, ...(drawn ? [zoneOf(drawn)] : [])].map((z, i) => (
          <rect
            key={i}
            x={1 + z.from * scale}
            y={1 + z.low * scale}
            width={Math.max(1, (z.to - z.from) * scale)}
            height={Math.max(1, (z.high - z.low) * scale)}
            fill="#6b3d2a"
            fillOpacity={0.55}
          />
        ))}
      </svg>
    </div>
  );
}

const zoneOf = ({ x0, y0, x1, y1 }: Drawn) => ({
  from: Math.min(x0, x1),
  to: Math.max(x0, x1),
  low: Math.min(y0, y1),
  high: Math.max(y0, y1),
});
