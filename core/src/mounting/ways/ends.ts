import { widestOf, type Outline } from '../../pattern/index.js';

/** An end that runs out thinner than so is finished best where nothing stands before it, across, mm; bench practice, typical. */
const NIB = 8;

/** What is longer than so often its width stands too far out of a chuck for that; bench practice, typical. */
const SHORT = 3.2;

/** Whether the piece is a ball and nothing else. */
export const isBall = ({ spans }: Outline): boolean =>
  spans.length === 1 && spans[0]?.element.kind === 'sphere';

/**
 * Whether an end of it is a tip that shows: it is finished best while something holds the other one alone, and not from a
 * nib that is sawn on the bench.
 */
export function showsTip(outline: Outline): boolean {
  const { segments, length } = outline;
  const thinner = Math.min(segments[0]?.r0 ?? 0, segments.at(-1)?.r1 ?? 0);
  return 2 * thinner < NIB && length <= SHORT * widestOf(outline).diameter && !isBall(outline);
}
