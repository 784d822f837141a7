import { TURNING_STAGES, type SpeedSchool } from '../../measure/index.js';
import { speedFor, type SpeedChoice } from '../../turning/index.js';
import type { Workshop } from '../../workshop/index.js';
import type { PartPlan } from './partPlan.js';

/** What of a part decides how fast it may turn. */
export type SpunPart = Pick<PartPlan, 'material' | 'mount' | 'blank' | 'largestDiameter'> & {
  /** its corners are sawn off before it is roughed */
  clipped: boolean;
};

/** Across the corners of what spins when roughing: the square, or the octagon sawn from it. */
const ACROSS_SQUARE = Math.SQRT2;
const ACROSS_OCTAGON = 1 / Math.cos(Math.PI / 8);

/** The speed of each stage by a school, slow to begin with: the corners decide until it is round. */
export function stageSpeeds(
  { material, mount, blank, largestDiameter, clipped }: SpunPart,
  workshop: Workshop,
  school: SpeedSchool,
): SpeedChoice[] {
  const rough = blank.section * (clipped ? ACROSS_OCTAGON : ACROSS_SQUARE);
  return TURNING_STAGES.map((stage) =>
    speedFor(stage, stage === 'rough' ? rough : largestDiameter, material, workshop, school, mount.fastest),
  );
}
