import { outlineOf, pointsAlong, ringPart, ringPlace, type Outline, type Part } from '@compas/core';
import { useFrame } from './frame.js';

/** How far a drawn chord may stray from its arc, mm. */
const CHORD = 0.02;

/** Loose rings as they are turned, in section on both sides of the shaft. */
export function RingLayer({ part, outline }: { part: Pick<Part, 'rings'>; outline: Outline }) {
  const frame = useFrame();
  return (part.rings ?? []).flatMap((ring) => {
    const { x0, inside } = ringPlace(ring, outline);
    const bead = outlineOf(ringPart(ring, outline).turnings[0]);
    return ([1, -1] as const).map((side) => {
      const edge = pointsAlong(bead, CHORD).map(
        ({ x, r }) => `${frame.at(x0 + x).toFixed(2)},${frame.up(side * r).toFixed(2)}`,
      );
      const back = [bead.length, 0].map((x) => `${frame.at(x0 + x)},${frame.up((side * inside) / 2)}`);
      return (
        <path key={`${ring.id} ${side}`} d={`M${[...edge, ...back].join('L')}Z`} className="strip-ring">
          <title>{ring.name}</title>
        </path>
      );
    });
  });
}
