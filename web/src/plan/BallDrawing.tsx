import { firstFacet, facetWidth, SECOND_FACET } from '@compas/core';

const SIZE = 190;
const EDGE = 14;
const D = SIZE - 2 * EDGE;

/** A quarter of what is cut away, drawn all round: square, eight sides, sixteen sides, ball. */
export function BallDrawing() {
  const a = firstFacet(D);
  const far = EDGE + D;
  const eight: [number, number][] = [
    [EDGE + a, EDGE],
    [far - a, EDGE],
    [far, EDGE + a],
    [far, far - a],
    [far - a, far],
    [EDGE + a, far],
    [EDGE, far - a],
    [EDGE, EDGE + a],
  ];
  const share = (SECOND_FACET * facetWidth(D)) / facetWidth(D);
  const sixteen = eight.flatMap(([x, y], i): [number, number][] => {
    const [px, py] = eight[(i + 7) % 8] ?? [0, 0];
    const [nx, ny] = eight[(i + 1) % 8] ?? [0, 0];
    return [
      [x + (px - x) * share, y + (py - y) * share],
      [x + (nx - x) * share, y + (ny - y) * share],
    ];
  });
  const points = (list: readonly [number, number][]) => list.map((p) => p.join()).join(' ');
  return (
    <svg width={SIZE} height={SIZE} role="img" aria-label="Square, eight and sixteen sides about the ball">
      <rect x={EDGE} y={EDGE} width={D} height={D} fill="#e9dcc0" stroke="#6b6252" />
      <polygon points={points(eight)} fill="#f3e7c8" stroke="#6f4f0b" />
      <polygon points={points(sixteen)} fill="#f7f7f3" stroke="#17695c" />
      <circle cx={SIZE / 2} cy={SIZE / 2} r={D / 2} fill="none" stroke="#3c3226" strokeDasharray="5 3" />
      <line x1={4} x2={SIZE - 4} y1={SIZE / 2} y2={SIZE / 2} stroke="#4a5f59" strokeDasharray="10 3 2 3" />
    </svg>
  );
}
