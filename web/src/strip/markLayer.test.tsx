import { dim, MATERIALS, layoutOf, outlineOf, type Element } from '@compas/core';
import { shownInApp } from '../../test/inApp.js';
import { FrameContext, frameFor } from './frame.js';
import { MarkLayer } from './layers.js';

// beads side by side: crowns and steps a few millimetres apart
const elements: Element[] = Array.from({ length: 9 }, (_, i) => [
  { kind: 'bead', id: `b${i}`, length: dim(5), crown: dim(24 + i / 4) } as const,
  { kind: 'cove', id: `c${i}`, length: dim(5), bottom: dim(20 - i / 10) } as const,
]).flat();
const outline = outlineOf({
  id: 't',
  startDiameter: dim(22),
  elements: [...elements, { kind: 'cylinder', id: 'z', length: dim(200) }],
});
const layout = layoutOf(outline, {
  faces: [],
  bores: [],
  material: MATERIALS[0],
  gauges: [],
  firstGrain: null,
});

it('writes the diameters of places that lie close beside one another, each to be read and led to its place', () => {
  const frame = frameFor({
    width: 760,
    length: outline.length,
    largestRadius: 24,
    before: 0,
    after: 0,
    headstockEnd: 'reference',
    tallest: 156,
  });
  const { container } = shownInApp(
    <svg>
      <FrameContext value={frame}>
        <MarkLayer layout={layout} />
      </FrameContext>
    </svg>,
  );
  const words = [...container.querySelectorAll('.layer-word')].map((t) => ({
    x: Number(t.getAttribute('x')),
    y: Number(t.getAttribute('y')),
  }));
  expect(words).toHaveLength(layout.sizing.length);
  expect(words.length).toBeGreaterThan(15);
  for (const row of [12, 26]) {
    const xs = words
      .filter((w) => w.y === row)
      .map((w) => w.x)
      .sort((a, b) => a - b);
    xs.slice(1).forEach((x, i) => expect(x - xs[i]!).toBeGreaterThanOrEqual(61.9));
    expect(xs[0]).toBeGreaterThanOrEqual(31 - 1e-6);
    expect(xs.at(-1)).toBeLessThanOrEqual(frame.width - 31 + 1e-6);
  }
  const led = [...container.querySelectorAll('.cut-leads')].map((l) => Number(l.getAttribute('x2')));
  const places = layout.sizing.map((s) => frame.at(s.x));
  for (const x of led) expect(places.some((p) => Math.abs(p - x) < 1e-6)).toBe(true);
  expect(led.length).toBeGreaterThan(10);
});
