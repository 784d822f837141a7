import { len, type Finding } from '../measure/index.js';
import type { FittedHardware, Outline, Part } from '../pattern/index.js';
import type { MatingFace } from './kitNeeds.js';

/** Diameter of the part where the hardware sits: at the reference end or the far end, mm. */
export const diameterAtEnd = (outline: Outline, end: FittedHardware['end']): number =>
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
      why: `Hardware shows every step; a mating diameter is kept to ${len(mating.tolerance)}.`,
      remedy: `Set the diameter at this end to ${len(mating.diameter)}, or choose hardware of ${len(diameter)}.`,
    });
  const span = fitted.end === 'reference' ? outline.spans[0] : outline.spans.at(-1);
  const tenon = span && span.element.kind === 'cylinder' ? span.x1 - span.x0 : 0;
  if (mating.length !== undefined && tenon < mating.length - 0.5)
    findings.push({
      id: `pattern.tenon.${fitted.id}`,
      severity: 'warn',
      stage: 'pattern',
      partId: part.id,
      x: at,
      what: `The tenon is ${len(tenon)} long, the ferrule ${len(mating.length)}.`,
      why: 'The ferrule would stand off its shoulder.',
      remedy: `Make the first cylinder ${len(mating.length)} long.`,
    });
  return findings;
}
