import type { Outline, StandingWood } from '@compas/core';
import { useId } from 'react';
import { FrameContext, useFrame } from '../strip/frame.js';
import { StandingLayer } from '../strip/StandingLayer.js';
import type { WoodLook } from '../strip/wood/woodLook.js';
import { lensOf } from './lens.js';

interface PlaceLargerProps {
  standing: StandingWood;
  outline: Outline;
  look: WoodLook;
}

/** The place in work once more, larger, where the piece is so slender that it cannot be seen on the strip. */
export function PlaceLarger({ standing, outline, look }: PlaceLargerProps) {
  const clip = useId();
  const lens = lensOf(useFrame(), standing);
  if (!lens || !standing.work) return null;
  const { frame, x, y, times } = lens;
  const { work, pieceAt, pieceRuns } = standing;
  const [a, b] = [work.x0, work.x1].map((at) => frame.at((at - pieceAt) * pieceRuns)) as [number, number];
  return (
    <g
      className="lens"
      transform={`translate(${x} ${y})`}
      role="img"
      aria-label={`The place, ${times.toFixed(1)} times larger`}
    >
      <clipPath id={clip}>
        <rect width={frame.width} height={frame.height} />
      </clipPath>
      <rect width={frame.width} height={frame.height} className="lens-ground" />
      <g clipPath={`url(#${clip})`}>
        <FrameContext value={frame}>
          <StandingLayer standing={standing} outline={outline} look={look} />
        </FrameContext>
        <rect
          x={Math.min(a, b)}
          y={0}
          width={Math.max(2, Math.abs(b - a))}
          height={frame.height}
          className="lens-place"
        />
      </g>
      <rect width={frame.width} height={frame.height} className="lens-edge" />
      <text x={10} y={frame.height - 10} className="lens-times">
        × {times.toFixed(1)}
      </text>
    </g>
  );
}
