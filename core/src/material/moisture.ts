import type { Material } from './material.js';

/** Moisture below which wood shrinks, %; 30 by the usual convention of wood tables. */
const FIBRE_SATURATION = 30;

/**
 * Moisture content that wood comes to in air, % of dry weight.
 * Hailwood–Horrobin two-hydrate equation with the Wood Handbook's coefficients for °C
 * (USDA Forest Products Laboratory, Wood Handbook, chapter 4).
 * @param temperature °C
 * @param humidity relative, %, 0 to 100
 */
export function equilibriumMoisture(temperature: number, humidity: number): number {
  const t = temperature;
  const h = Math.min(100, Math.max(0, humidity)) / 100;
  const w = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * h;
  const hydrates = (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh);
  return (1800 / w) * (kh / (1 - kh) + hydrates);
}

/** Air is known no better, %. */
const HUMIDITY_STEP = 0.01;

/**
 * Relative humidity in which wood comes to a wanted moisture: the inverse of `equilibriumMoisture`, which rises with it, found
 * by halving.
 * @param temperature °C
 * @param moisture % of dry weight
 * @returns %, or null where no air leaves so much
 */
export function humidityFor(temperature: number, moisture: number): number | null {
  if (!(moisture >= 0) || moisture > equilibriumMoisture(temperature, 100)) return null;
  let [low, high] = [0, 100];
  while (high - low > HUMIDITY_STEP) {
    const middle = (low + high) / 2;
    if (equilibriumMoisture(temperature, middle) < moisture) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * How much smaller a size is at one moisture than at another, as a factor: shrinkage is linear from
 * fibre saturation to oven-dry (Wood Handbook, chapter 4).
 * @param shrinkage green to oven-dry, %
 * @param from moisture now, %
 * @param to moisture then, %
 */
export function shrinkFactor(shrinkage: number, from: number, to: number): number {
  const left = (moisture: number) =>
    1 - (shrinkage / 100) * ((FIBRE_SATURATION - Math.min(FIBRE_SATURATION, moisture)) / FIBRE_SATURATION);
  return left(to) / left(from);
}

/** The two shrinkages of a material, or null when one is unknown. */
export function shrinkageOf(material: Material): { radial: number; tangential: number } | null {
  const { shrinkRadial: radial, shrinkTangential: tangential } = material;
  return radial === null || tangential === null ? null : { radial, tangential };
}
