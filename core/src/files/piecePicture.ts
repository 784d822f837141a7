import type { Units } from '../measure/index.js';
import type { PartPlan } from '../plan/index.js';
import { holeBoundary, pointsAlong } from '../pattern/index.js';
import { figure } from './drawingLabels.js';
import { line, text, type Ink } from './page.js';

/** A picture on a sheet, from its top left corner, mm. */
export interface Picture {
  height: number;
  ink: Ink[];
}

/** The work is drawn no taller than this, and at most so many times its size. */
const TALLEST = 44;
const LARGEST = 2;
/** Labels over the work stand in so many rows, so that neighbours do not touch. */
const ROWS = 3;
const ROW = 4;
const CHORD = 0.05;
/** Room at both ends for the words that say what is there. */
const SIDE = 20;

/**
 * The piece as it lies when it is marked, the reference end left: its outside, its holes, and at each place
 * that is sized what is cut there, over how far it is from the reference end.
 */
export function piecePicture(part: PartPlan, units: Units, width: number): Picture {
  const { outline, holes, layout, mount } = part;
  const across = Math.max(1, part.largestDiameter);
  const scale = Math.min((width - 2 * SIDE) / outline.length, TALLEST / across, LARGEST);
  const left = (width - outline.length * scale) / 2;
  const axis = ROWS * ROW + 2 + (across * scale) / 2;
  const low = axis + (across * scale) / 2;
  const at = (x: number) => left + x * scale;
  const up = (r: number) => axis - r * scale;
  const edge = (side: 1 | -1): Ink => ({
    kind: 'polyline',
    points: pointsAlong(outline, CHORD).map(({ x, r }): [number, number] => [at(x), up(side * r)]),
    weight: 0.4,
  });
  const [first, last] = [outline.segments[0], outline.segments.at(-1)];
  const head = mount.headstockEnd === 'reference' ? 'left' : 'right';
  return {
    height: low + ROWS * ROW + 2,
    ink: [
      edge(1),
      edge(-1),
      line(at(0) - 4, axis, at(outline.length) + 4, axis, 0.15, true),
      ...(first ? [line(at(0), up(first.r0), at(0), up(-first.r0), 0.4)] : []),
      ...(last ? [line(at(last.x1), up(last.r1), at(last.x1), up(-last.r1), 0.4)] : []),
      ...holes.flatMap((hole) =>
        holeBoundary(hole, outline.length).flatMap((s) =>
          ([1, -1] as const).map((side) =>
            line(at(s.x0), up(side * s.r0), at(s.x1), up(side * s.r1), 0.25, true),
          ),
        ),
      ),
      ...layout.sizing.flatMap((cut, i): Ink[] => {
        const over = (i % ROWS) * ROW + 3;
        const under = low + 4 + (i % ROWS) * ROW;
        return [
          line(at(cut.x), over + 0.6, at(cut.x), up(cut.finished / 2), 0.1),
          text(at(cut.x), over, 3, `⌀ ${figure(cut.cutTo, units)}`, { bold: true, align: 'centre' }),
          line(at(cut.x), up(-cut.finished / 2), at(cut.x), under - 2.6, 0.1),
          text(at(cut.x), under, 2.8, figure(cut.x, units), { align: 'centre' }),
        ];
      }),
      text(head === 'left' ? 0 : width, axis - 1.5, 2.8, 'headstock', { align: head }),
    ],
  };
}
