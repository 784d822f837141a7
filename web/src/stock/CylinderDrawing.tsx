import { sectionCorners, type CleanCylinder, type ReachStation } from '@compas/core';

interface CylinderDrawingProps {
  stations: readonly ReachStation[];
  cylinder: CleanCylinder;
}

const SIZE = 190;

/** Each measured section from the tail, with the round in it: old centre as a cross, new one as a dot. */
export function CylinderDrawing({ stations, cylinder }: CylinderDrawingProps) {
  const largest = Math.max(...stations.flatMap((s) => s.readings.map((r) => r.reach)));
  const scale = (SIZE / 2 - 8) / largest;
  const first = stations[0]?.x ?? 0;
  const length = (stations[stations.length - 1]?.x ?? 1) - first;
  const at = (x: number, y: number) => `${SIZE / 2 + x * scale},${SIZE / 2 - y * scale}`;
  return (
    <div className="row">
      {stations.map((s) => {
        const t = (s.x - first) / length;
        const cx = cylinder.drive.x + t * (cylinder.tail.x - cylinder.drive.x);
        const cy = cylinder.drive.y + t * (cylinder.tail.y - cylinder.drive.y);
        const corners = sectionCorners(s).map((p) => at(p.x, p.y));
        return (
          <svg
            key={s.x}
            width={SIZE}
            height={SIZE}
            role="img"
            aria-label={`Section at ${s.x} mm with the round in it`}
          >
            <polygon points={corners.join(' ')} fill="#f0e6cf" stroke="#5c5346" strokeLinejoin="round" />
            <circle
              cx={SIZE / 2 + cx * scale}
              cy={SIZE / 2 - cy * scale}
              r={(cylinder.diameter / 2) * scale}
              fill="#17695c"
              fillOpacity={0.22}
              stroke="#17695c"
              strokeWidth={2}
            />
            <path d={`M${SIZE / 2 - 6},${SIZE / 2}h12M${SIZE / 2},${SIZE / 2 - 6}v12`} stroke="#3c3226" />
            <circle cx={SIZE / 2 + cx * scale} cy={SIZE / 2 - cy * scale} r={3.5} fill="#17695c" />
          </svg>
        );
      })}
    </div>
  );
}
