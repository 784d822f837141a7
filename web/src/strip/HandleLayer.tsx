import { formatLength, type Outline, type Units } from '@compas/core';
import { fannedOut, handlesOf, type Handle, type HandleMove } from './handles.js';
import { useFrame } from './frame.js';
import { useHandle, type Typed } from './useHandle.js';

export type { HandleMove } from './handles.js';

interface HandleLayerProps {
  outline: Outline;
  /** direction of the part's x on the screen */
  direction: 1 | -1;
  onMove: (move: HandleMove, tag: string) => void;
  onHold: (held: boolean) => void;
}

/** As large is what a finger must meet, px. */
const TARGET = 28;

/**
 * Handles at the transitions, crowns and bottoms: dragged, moved by arrow keys (Shift is coarse), or typed.
 * Those that lie close fan out; each keeps a line to the place that it moves.
 */
export function HandleLayer({ outline, direction, onMove, onHold }: HandleLayerProps) {
  const frame = useFrame();
  const handle = useHandle({ scale: frame.scale, direction, onMove, onHold });
  const all = handlesOf(outline);
  const places = all.map(({ x, r }) => ({ x: frame.at(x), y: frame.up(r) }));
  const spots = fannedOut(places, TARGET);
  const active = all.findIndex(({ key }) => key === handle.active);
  return (
    <>
      {all.map((one, i) => {
        const [place, spot] = [places[i] ?? { x: 0, y: 0 }, spots[i] ?? { x: 0, y: 0 }];
        return (
          <g key={one.key}>
            {Math.hypot(spot.x - place.x, spot.y - place.y) > 3 && (
              <line x1={place.x} y1={place.y} x2={spot.x} y2={spot.y} className="strip-handle-lead" />
            )}
            <g
              className="strip-handle"
              tabIndex={0}
              role="slider"
              aria-label={one.label}
              aria-valuenow={Math.round(one.diameter * 10) / 10}
              aria-orientation="vertical"
              data-handle={one.key}
              {...handle.propsOf(one)}
            >
              <circle cx={spot.x} cy={spot.y} r={TARGET / 2} className="strip-handle-target" />
              <circle cx={spot.x} cy={spot.y} r={6} />
            </g>
          </g>
        );
      })}
      {all[active] && spots[active] && (
        <HandleTag handle={all[active]} typed={handle.typed} at={spots[active]} units={handle.units} />
      )}
    </>
  );
}

/** About as wide is a letter of a tag, px. */
const LETTER = 7.6;

/** The dimensions of the handle that is held, beside it: what is typed stands in the place of the old. */
function HandleTag({
  handle,
  typed,
  at,
  units,
}: {
  handle: Handle;
  typed: Typed | null;
  at: { x: number; y: number };
  units: Units;
}) {
  const frame = useFrame();
  const shown = (of: Typed['of'], mm: number) =>
    typed?.of === of ? `${typed.text}▏` : formatLength(mm, units);
  const words = [
    ...(handle.across ? [`⌀ ${shown('across', handle.diameter)}`] : []),
    ...(handle.along ? [`${shown('along', handle.length)} long`] : []),
  ].join('   ');
  const lines = typed?.why ? [words, typed.why] : [words];
  const width = Math.max(...lines.map((line) => line.length)) * LETTER + 16;
  const height = 10 + 18 * lines.length;
  const x = Math.min(frame.width - width - 4, Math.max(4, at.x - width / 2));
  // over the handle where there is room, else under it
  const y = at.y - 22 - height >= 0 ? at.y - 22 - height : at.y + 22;
  return (
    <g className="handle-tag" pointerEvents="none" role="status">
      <rect x={x} y={y} width={width} height={height} rx={4} />
      {lines.map((line, i) => (
        <text key={i} x={x + 8} y={y + 19 + 18 * i} className={i > 0 ? 'stop' : undefined}>
          {line}
        </text>
      ))}
    </g>
  );
}
