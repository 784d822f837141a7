import { dim } from '../../measure/index.js';
import { outlineOf } from '../outline.js';
import type { Turning } from '../pattern.js';
import { radiusAt } from '../radius.js';

/** Points that a fair curve takes over from each element it stands for. */
const POINTS_EACH = 4;

/**
 * Elements that follow each other as one fair curve through their line, from index `from` up to and including
 * `to`; null where a step lies between them, which no curve can have.
 */
export function oneCurve(turning: Turning, from: number, to: number): Turning | null {
  const outline = outlineOf(turning);
  const spans = outline.spans.slice(from, to + 1);
  const [first, last] = [spans[0], spans.at(-1)];
  if (!first || !last || spans.length < 2 || spans.some((s) => s.element.kind === 'shoulder')) return null;
  const places = spans.flatMap(({ x0, x1 }, i) =>
    Array.from({ length: POINTS_EACH }, (_, k) => x0 + ((x1 - x0) * (k + (i === 0 ? 1 : 0))) / POINTS_EACH),
  );
  const points = [...new Set(places.map((x) => hundredths(x - first.x0)))]
    .filter((at) => at > 0 && at < hundredths(last.x1 - first.x0))
    .map((at) => ({ at: dim(at), diameter: dim(hundredths(2 * radiusAt(outline, first.x0 + at))) }));
  const { name } = first.element;
  return {
    ...turning,
    elements: [
      ...turning.elements.slice(0, from),
      {
        kind: 'fair',
        id: first.element.id,
        ...(name === undefined ? {} : { name }),
        length: dim(hundredths(last.x1 - first.x0)),
        endDiameter: dim(hundredths(last.endDiameter)),
        points,
      },
      ...turning.elements.slice(to + 1),
    ],
  };
}

const hundredths = (mm: number): number => Math.round(mm * 100) / 100;
