import type { Silhouette } from '@compas/core';
import type { MouseEvent } from 'react';
import type { Photo, Spot } from './usePhotoTrace.js';

interface PhotoViewProps {
  photo: Photo;
  spots: Spot[];
  found: Silhouette | null;
  onMark: (spot: Spot) => void;
}

/** The photo with the marks of the known length, and the edges that were found. */
export function PhotoView({ photo, spots, found, onMark }: PhotoViewProps) {
  const mark = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onMark({
      x: ((event.clientX - box.left) / box.width) * photo.width,
      y: ((event.clientY - box.top) / box.height) * photo.height,
    });
  };
  const size = photo.width / 60;
  return (
    <svg
      className="photo"
      viewBox={`0 0 ${photo.width} ${photo.height}`}
      role="img"
      aria-label="The photo of the sample"
      onClick={mark}
    >
      <image href={photo.url} width={photo.width} height={photo.height} />
      {found && <FoundEdges found={found} />}
      {spots.map((s, i) => (
        <g key={i} className="photo-mark" strokeWidth={size / 6}>
          <line x1={s.x - size} x2={s.x + size} y1={s.y} y2={s.y} />
          <line x1={s.x} x2={s.x} y1={s.y - size} y2={s.y + size} />
        </g>
      ))}
    </svg>
  );
}

/** Both edges and the axis, back in the photo. */
function FoundEdges({ found }: { found: Silhouette }) {
  const { axis, points, mmPerPixel } = found;
  const length = Math.hypot(axis.x1 - axis.x0, axis.y1 - axis.y0);
  const [ux, uy] = [(axis.x1 - axis.x0) / length, (axis.y1 - axis.y0) / length];
  const edge = (side: 1 | -1) =>
    points
      .filter((_, i) => i % 3 === 0)
      .map((p) => {
        const [s, n] = [p.x / mmPerPixel, (side === 1 ? p.up : -p.down) / mmPerPixel];
        return `${(axis.x0 + s * ux + n * uy).toFixed(1)},${(axis.y0 + s * uy - n * ux).toFixed(1)}`;
      })
      .join(' L');
  return (
    <g className="photo-edge" strokeWidth={length / 300}>
      <path d={`M${edge(1)}`} />
      <path d={`M${edge(-1)}`} />
      <line
        x1={axis.x0}
        y1={axis.y0}
        x2={axis.x1}
        y2={axis.y1}
        strokeDasharray={`${length / 40} ${length / 80}`}
      />
    </g>
  );
}
