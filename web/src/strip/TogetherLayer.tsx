import { outlineOf, type Tone } from '@compas/core';
import { memo } from 'react';
import type { Beside } from './besidePart.js';
import { useFrame } from './frame.js';
import { wholePath } from './paths.js';
import { TONES } from './tones.js';

/** The other parts of the item where they are joined, behind the one that is shown. */
export const TogetherLayer = memo(function TogetherLayer({
  beside,
  seen: [low, high],
  toneOf,
}: {
  beside: readonly Beside[];
  /** from where to where they are seen, x of the part that is shown, mm */
  seen: readonly [number, number];
  /** what each part is made of */
  toneOf: (partId: string) => Tone;
}) {
  const frame = useFrame();
  return (
    <g className="together">
      {beside.map(({ part, from, runs }) => (
        <path
          key={part.id}
          d={wholePath(outlineOf(part.turnings[0]), {
            ...frame,
            at: (x) => frame.at(Math.min(high, Math.max(low, from + runs * x))),
          })}
          fill={TONES[toneOf(part.id)].section}
        >
          <title>{part.name}</title>
        </path>
      ))}
    </g>
  );
});
