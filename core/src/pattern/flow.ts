import { fine, len, type Finding } from '../measure/index.js';
import { pointAt, type Segment } from './arc.js';
import type { Outline } from './outline.js';
import type { MatingOutline, Part } from './pattern.js';

/** Direction of a segment at one of its ends, degrees above the axis; a step is ±90. */
export function headingAt(segment: Segment, end: 'start' | 'end'): number {
  const { dx, dr } = pointAt(segment, end === 'start' ? 0 : 1);
  return (Math.atan2(dr, dx) * 180) / Math.PI;
}

/** Steps and kinks smaller than these are not seen or felt. */
const FLUSH = 0.1;
const FLOWS = 4;

/** How a part meets the thing at its end: the step on the diameter (part − thing), and the kink. */
export interface Meeting {
  step: number;
  /** degrees between the two lines where they touch */
  kink: number;
}

/** Lays a mating outline against the end of a part; null when it has fewer than two points. */
export function meetingOf(outline: Outline, mate: MatingOutline): Meeting | null {
  const [near, next] = mate.points;
  const segment = mate.end === 'reference' ? outline.segments[0] : outline.segments.at(-1);
  if (!near || !next || !segment) return null;
  const thickness = 2 * (mate.end === 'reference' ? segment.r0 : segment.r1);
  // both lines read outwards, away from the part
  const heading = mate.end === 'reference' ? -headingAt(segment, 'start') : headingAt(segment, 'end');
  const run = next.at.mm - near.at.mm;
  const mateHeading = (Math.atan2((next.diameter.mm - near.diameter.mm) / 2, run) * 180) / Math.PI;
  return { step: thickness - near.diameter.mm, kink: Math.abs(heading - mateHeading) };
}

/** Whether the part is flush with what it meets, and whether the line flows on. */
export function flowFindings(part: Part, outline: Outline, mates: readonly MatingOutline[]): Finding[] {
  return mates
    .filter((mate) => mate.partId === part.id)
    .flatMap((mate) => {
      const meeting = meetingOf(outline, mate);
      if (!meeting) return [];
      const x = mate.end === 'reference' ? 0 : outline.length;
      const base = { severity: 'warn', stage: 'pattern', partId: part.id, x } as const;
      const findings: Finding[] = [];
      if (Math.abs(meeting.step) > FLUSH)
        findings.push({
          ...base,
          id: `pattern.flush.${mate.id}`,
          what: `The ${part.name} stands ${fine(Math.abs(meeting.step) / 2)} ${meeting.step > 0 ? 'above' : 'below'} the ${mate.name} it meets.`,
          why: 'A fingernail catches on such a step.',
          remedy: `Set the diameter at this end to ${len(mate.points[0]?.diameter.mm ?? 0)} and hold it.`,
        });
      if (meeting.kink > FLOWS)
        findings.push({
          ...base,
          severity: 'note',
          id: `pattern.flow.${mate.id}`,
          what: `The line turns by ${Math.round(meeting.kink)}° where it runs into the ${mate.name}.`,
          why: 'The eye follows the line across the joint and stops at a kink.',
          remedy:
            'Let the last element leave in the direction the other goes on, or make the break a clear one.',
        });
      return findings;
    });
}
