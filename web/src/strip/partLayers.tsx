import {
  axisSection,
  pointsAlong,
  radiusAt,
  type Bore,
  type Outline,
  type Part,
  type Turning,
} from '@compas/core';
import { useId } from 'react';
import { useFrame } from './frame.js';
import { edgePath } from './paths.js';

/** How far a drawn chord may stray from its arc, mm. */
const CHORD = 0.02;

/** Crossed lines over a square left in the blank: its face is flat. */
export function SquareLayer({ outline }: { outline: Outline }) {
  const frame = useFrame();
  return (outline.squares ?? []).map((square) => {
    const flat = outline.segments.find(
      (s) => s.elementId === square.elementId && s.bulge === 0 && s.x1 > s.x0,
    );
    if (!flat) return null;
    const [a, b] = [frame.at(flat.x0), frame.at(flat.x1)];
    const [top, low] = [frame.up(flat.r0), frame.axis];
    return (
      <g key={square.elementId} className="strip-flat">
        <line x1={a} y1={top} x2={b} y2={low} />
        <line x1={a} y1={low} x2={b} y2={top} />
        {square.corners
          .filter((c) => c.bulge !== 0)
          .map((c) => (
            <path
              key={c.x0}
              d={`M${pointsAlong({ segments: [c] }, CHORD)
                .map(({ x, r }) => {
                  // the corner's round seen on the face: half the width where the circle meets the flats
                  const half = Math.sqrt(Math.max(0, r * r - (square.side / 2) ** 2));
                  return `${frame.at(x)},${frame.up(half)}`;
                })
                .join(' L')}`}
            />
          ))}
      </g>
    );
  });
}

/** Cross holes: seen from their mouth as a round, lying in the section as a pair of lines. */
export function CrossHoleLayer({ bores }: { bores: readonly Bore[] }) {
  const frame = useFrame();
  return bores.map(({ id, x, radius, angle, mouth, end }) => {
    const facing = Math.cos((angle * Math.PI) / 180);
    const lying = Math.sin((angle * Math.PI) / 180);
    const cx = frame.at(x);
    const r = radius * frame.scale;
    if (Math.abs(facing) > 0.7)
      return (
        <ellipse
          key={id}
          cx={cx}
          cy={frame.up(mouth * lying)}
          rx={r}
          ry={r * Math.abs(facing)}
          className="strip-cross"
        />
      );
    const [from, to] = [frame.up(mouth * lying), frame.up(end * lying)];
    return (
      <rect
        key={id}
        x={cx - r}
        y={Math.min(from, to)}
        width={2 * r}
        height={Math.abs(to - from)}
        className="strip-cross"
      />
    );
  });
}

/** Burnt lines, texture and colour where they lie on the outside. */
export function DecorationLayer({ outline, part }: { outline: Outline; part: Part }) {
  const frame = useFrame();
  const texture = useId();
  return (
    <g>
      <defs>
        <pattern id={texture} width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0 5 L5 0 M-1 1 L1 -1 M4 6 L6 4" className="texture-line" />
        </pattern>
      </defs>
      {(part.decorations ?? []).map((d) => {
        const span = outline.spans.find((s) => s.element.id === d.elementId);
        if (!span) return null;
        const from = span.x0 + d.from.mm;
        const places = Array.from({ length: 13 }, (_, i) => from + (d.width.mm * i) / 12);
        const edge = places.map((x) => `${frame.at(x)},${frame.up(radiusAt(outline, x))}`).join(' L');
        const [a, b] = [frame.at(from), frame.at(from + d.width.mm)];
        return (
          <path
            key={d.id}
            d={`M${a},${frame.axis} L${edge} L${b},${frame.axis} Z`}
            className={`decoration ${d.kind.replace(' ', '-')}`}
            fill={d.kind === 'texture' ? `url(#${texture})` : undefined}
          >
            <title>{d.words ?? d.kind}</title>
          </path>
        );
      })}
    </g>
  );
}

/** Outlines about further axes, with those axes, as they lie in the plane of the drawing. */
export function AxesLayer({ turnings }: { turnings: readonly Turning[] }) {
  const frame = useFrame();
  return turnings.map((turning) => {
    if (!turning.axis) return null;
    const { upper, lower, axis: line } = axisSection(turning, CHORD);
    const path = (points: readonly { x: number; y: number }[]) =>
      `M${points.map(({ x, y }) => `${frame.at(x)},${frame.up(y)}`).join(' L')}`;
    return (
      <g key={turning.id} className="strip-second">
        <path d={path(upper)} />
        <path d={path(lower)} />
        <path d={path(line)} className="strip-axis" />
      </g>
    );
  });
}

/** Another outline laid over the work, such as a revision or a sample. */
export function OverlayLayer({ outline, shift = 0 }: { outline: Pick<Outline, 'segments'>; shift?: number }) {
  const frame = useFrame();
  const moved = outline.segments.map((s) => ({ ...s, x0: s.x0 + shift, x1: s.x1 + shift }));
  return (
    <g className="strip-overlay">
      <path d={edgePath(moved, frame, 1)} />
      <path d={edgePath(moved, frame, -1)} />
    </g>
  );
}
