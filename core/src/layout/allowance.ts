import type { Material } from '../material/index.js';
import { grainMicrons } from '../surface/index.js';

const LEAST_SHARE = 0.3;
const MOST_SHARE = 1.8;

/**
 * What sanding takes off a diameter: the material's allowance for a ladder that begins where the material
 * usually does, in proportion to the mean grain of the first grit, since that one levels what the tool left
 * (typical, unchecked). Nothing when nothing is sanded.
 * @param firstGrain mean grain of the first grit, µm; null without a ladder
 */
export function sandingLeft({ sandingAllowance, startGrit }: Material, firstGrain: number | null): number {
  if (firstGrain === null) return 0;
  const usual = grainMicrons({ grit: startGrit, scale: 'P' });
  const share = Math.min(MOST_SHARE, Math.max(LEAST_SHARE, firstGrain / usual));
  return Math.round(sandingAllowance * share * 1000) / 1000;
}
