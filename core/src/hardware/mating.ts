import { asTolerance, len, type Finding } from '../measure/index.js';
import { radiusAt, type FittedHardware, type Outline, type Part } from '../pattern/index.js';
import type { MatingFace } from './kitNeeds.js';

/** Diameter of the part where the hardware sits: at the reference end or the far end, mm. */
const diameterAtEnd = (outline: Outline, end: FittedHardware['end']): number =>
  (end === 'reference' ? outline.spans[0]?.startDiameter : outline.spans.at(-1)?.endDiameter) ?? 0;

/** Whether the part meets its hardware: the diameter within tolerance, a tenon long enough. */
export function matingFindings(
  part: Part,
  outline: Outline,
  fitted: FittedHardware,
  mating: MatingFace,
): Finding[] {
  const findings: Finding[] = [];
  const at = fitted.end === 'reference' ? 0 : outline.length;
  const diameter = diameterAtEnd(outline, fitted.end);
  const off = diameter - mating.diameter;
  if (Math.abs(off) > mating.tolerance + 1e-6)
    findings.push({
      id: `pattern.mating.${fitted.id}`,
      severity: 'warn',
      stage: 'pattern',
      partId: part.id,
      x: at,
      what: `The ${mating.label} is ${len(Math.abs(off))} ${off > 0 ? 'too thick' : 'too thin'}: ${len(diameter)} on ${len(mating.diameter)}.`,
      why: `Hardware shows every step; a mating diameter is kept to ${asTolerance(mating.tolerance)}.`,
      remedy: `Set the diameter at this end to ${len(mating.diameter)}, or choose hardware of ${len(diameter)}.`,
    });
  const span = fitted.end === 'reference' ? outline.spans[0] : outline.spans.at(-1);
  if (mating.endDiameter !== undefined) return [...findings, ...coneFindings(part, outline, fitted, mating)];
  const tenon = span && span.element.kind === 'cylinder' ? span.x1 - span.x0 : 0;
  if (mating.length !== undefined && tenon < mating.length - 0.5)
    findings.push({
      id: `pattern.tenon.${fitted.id}`,
      severity: 'warn',
      stage: 'pattern',
      partId: part.id,
      x: at,
      what: `The tenon is ${len(tenon)} long, the ${mating.label.replace(/ tenon$/, '')} ${len(mating.length)}.`,
      why: 'It would stand off its shoulder.',
      remedy: `Make the first cylinder ${len(mating.length)} long.`,
    });
  return findings;
}

/** How far a cone may miss its mouth diameter before it seats too early or too late, mm. */
const CONE_SLACK = 0.3;

/** A cone for a socket must have grown to the mouth's diameter at the socket's depth. */
function coneFindings(part: Part, outline: Outline, fitted: FittedHardware, mating: MatingFace): Finding[] {
  const { length = 0, endDiameter = 0 } = mating;
  const x = fitted.end === 'reference' ? length : outline.length - length;
  const there = x < 0 || x > outline.length ? 0 : 2 * radiusAt(outline, x);
  const off = there - endDiameter;
  if (Math.abs(off) <= CONE_SLACK) return [];
  return [
    {
      id: `pattern.cone.${fitted.id}`,
      severity: 'warn',
      stage: 'pattern',
      partId: part.id,
      x: Math.min(outline.length, Math.max(0, x)),
      what: `${len(length)} from the end the cone is ${len(there)}, the socket's mouth ${len(endDiameter)}.`,
      why:
        off > 0 ? 'The socket would stop before it is on.' : 'The socket would slide on loose to its bottom.',
      remedy: `Make the first element a taper ${len(length)} long that ends at ${len(endDiameter)}.`,
    },
  ];
}
