import { len } from '../../measure/index.js';
import type { Seat } from '../../layout/index.js';
import { joinSides, outlineOf, type JoinSides, type Part, type PatternBody } from '../../pattern/index.js';

/** An element that has at least this share of its length in another part belongs to the join. */
const INSIDE = 0.8;
/** A hole wider than its shaft by more stays loose, mm. */
const LOOSE = 0.3;
/** How closely a seat is held, ± mm: glue fills what is left. Typical. */
const TOLERANCE = 0.05;

/**
 * Where other parts sit on this one, and which of its elements lie in them: cut to size, never fat for sanding, kept
 * free of finish. Pegs are seats by what they are.
 */
export function seatsOf(part: Part, pattern: PatternBody): (Seat & { elementId: string })[] {
  const outline = outlineOf(part.turnings[0]);
  return (pattern.joins ?? []).flatMap((join) => {
    const sides = joinSides(pattern, join);
    if (!sides || sides.inner.id !== part.id || sides.peg || join.kind === 'cord through') return [];
    if (sides.mouth.diameter.mm - sides.thickness > LOOSE) return [];
    const [from, to] = stretchOf(sides, outline.length);
    return outline.spans.flatMap((span) => {
      const inside = Math.min(to, span.x1) - Math.max(from, span.x0);
      if (inside < INSIDE * (span.x1 - span.x0) || inside <= 0) return [];
      return [
        {
          elementId: span.element.id,
          id: `${span.element.id}.seat`,
          x: (span.x0 + span.x1) / 2,
          label: `in the ${sides.outer.name.toLowerCase()}`,
          finished: span.startDiameter,
          tolerance: TOLERANCE,
          transfer: `A block drilled ${len(sides.mouth.diameter.mm)} and sawn open on one side goes over it by hand.`,
        },
      ].filter(() => Math.abs(span.startDiameter - span.endDiameter) < 1e-6);
    });
  });
}

/** From where to where along it a part lies in the other, mm. */
function stretchOf({ join, outer }: JoinSides, length: number): [number, number] {
  if (join.kind === 'ring on shaft') {
    const half = outlineOf(outer.turnings[0]).length / 2;
    const at = join.at?.mm ?? length / 2;
    return [at - half, at + half];
  }
  return join.inner.end === 'reference' ? [0, join.depth.mm] : [length - join.depth.mm, length];
}
