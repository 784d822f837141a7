import { hollowSection, radiusAt, type Hollow, type Outline } from '@compas/core';
import { useFrame } from './frame.js';

/** How far a drawn chord may stray from its arc, mm; and how far apart it is asked where a flat begins. */
const CHORD = 0.02;
const PITCH = 0.25;

/**
 * Hollows in section: those in an end about the axis, those in a side as deep as they go in the half that is cut
 * open, where the flat of their rim takes away what stands beyond it.
 */
export function HollowLayer({ hollows, outline }: { hollows: readonly Hollow[]; outline: Outline }) {
  const frame = useFrame();
  return hollows.map((hollow) => {
    const corners = hollowSection(hollow, outline.length, CHORD).map(({ x, y }) => {
      // the lower half is the section: what opens in a side is drawn as opening there
      const up = hollow.opens === 'side' ? -y : Math.min(0, y);
      return `${frame.at(x).toFixed(2)},${frame.up(up).toFixed(2)}`;
    });
    return (
      <g key={hollow.id}>
        <title>{hollow.name}</title>
        {flatsOf(hollow, outline).map(({ x0, x1, rim, deep }) => {
          const [a, b] = [frame.at(x0), frame.at(x1)];
          const [top, low] = [frame.up(-rim), frame.up(-deep) + 2];
          return (
            <g key={x0}>
              <rect
                x={Math.min(a, b)}
                y={top}
                width={Math.abs(b - a)}
                height={low - top}
                className="strip-away"
              />
              <line x1={a} x2={b} y1={top} y2={top} className="strip-edge" />
            </g>
          );
        })}
        <path d={`M${corners.join('L')}Z`} className="strip-hole" />
      </g>
    );
  });
}

interface FlatStretch {
  x0: number;
  x1: number;
  rim: number;
  /** how far the outline stands there at most */
  deep: number;
}

/** Where the outline stands above the rim of a hollow that opens straight across: there it is cut flat. mm */
function flatsOf({ opens, axis, rim }: Hollow, outline: Outline): FlatStretch[] {
  if (opens !== 'side' || axis?.tilt !== 90) return [];
  const above = axis.shift.mm + (rim?.mm ?? 0);
  const found: FlatStretch[] = [];
  let open: FlatStretch | null = null;
  for (let x = 0; x <= outline.length; x += PITCH) {
    const r = radiusAt(outline, x);
    if (r <= above) open = null;
    else if (open) Object.assign(open, { x1: x, deep: Math.max(open.deep, r) });
    else found.push((open = { x0: x, x1: x, rim: above, deep: r }));
  }
  return found;
}
