import type { Ground } from './ground.js';
import type { SmallPicture } from './picture.js';

/** How far a colour stands apart from the ground under it. */
export type Apartness = (
  red: number,
  green: number,
  blue: number,
  groundRed: number,
  groundGreen: number,
  groundBlue: number,
) => number;

/** Lifts dark values so that their noise does not look like colour. */
const LIFT = 8;

/**
 * By colour: the spread of the three log ratios to the ground. A shadow takes the same share of every
 * colour and so has none, whatever its depth; wood takes more of the blue.
 */
const byColour: Apartness = (red, green, blue, r, g, b) => {
  const lr = Math.log((red + LIFT) / (r + LIFT));
  const lg = Math.log((green + LIFT) / (g + LIFT));
  const lb = Math.log((blue + LIFT) / (b + LIFT));
  return Math.sqrt((lr - lg) ** 2 + (lg - lb) ** 2 + (lb - lr) ** 2);
};

/** By brightness, for samples as grey as the ground they lie on. */
const byBrightness: Apartness = (red, green, blue, r, g, b) =>
  Math.abs(Math.log((red + green + blue + LIFT) / (r + g + b + LIFT)));

/** A small picture's apartness, and where to part the sample from the ground. */
export interface Parted {
  apart: Apartness;
  values: Float32Array;
  threshold: number;
}

const BINS = 256;

/** Chooses by colour or by brightness, whichever parts the picture into two clearer kinds. */
export function parted(picture: SmallPicture, ground: Ground): Parted {
  const [first, second] = [byColour, byBrightness].map((apart) => {
    const values = valuesOf(picture, ground, apart);
    return { apart, values, ...otsu(values) };
  });
  if (!first || !second) throw new Error('There are two ways to part a picture.');
  // colour tells wood from its shadow, so brightness must be much clearer to be preferred
  return first.clarity > 0.6 || first.clarity > second.clarity - 0.2 ? first : second;
}

function valuesOf(picture: SmallPicture, ground: Ground, apart: Apartness): Float32Array {
  const { red, green, blue } = picture;
  const values = new Float32Array(red.length);
  for (let i = 0; i < values.length; i++)
    values[i] = apart(
      red[i] ?? 0,
      green[i] ?? 0,
      blue[i] ?? 0,
      ground.red[i] ?? 0,
      ground.green[i] ?? 0,
      ground.blue[i] ?? 0,
    );
  return values;
}

/**
 * Threshold between two kinds by N. Otsu (IEEE Trans. SMC 9, 1979), and how clear the parting is: the
 * share of the variance that lies between the two kinds.
 */
function otsu(values: Float32Array): { threshold: number; clarity: number } {
  let most = 1e-9;
  for (const v of values) most = Math.max(most, v);
  const bins = new Float64Array(BINS);
  for (const v of values) {
    const bin = Math.min(BINS - 1, Math.floor((v / most) * BINS));
    bins[bin] = (bins[bin] ?? 0) + 1;
  }
  const total = values.length;
  const mean = bins.reduce((sum, n, i) => sum + n * i, 0) / total;
  const variance = bins.reduce((sum, n, i) => sum + n * (i - mean) ** 2, 0) / total;
  let [weight, sum, best, at] = [0, 0, 0, 0];
  bins.forEach((n, i) => {
    weight += n;
    sum += n * i;
    if (weight === 0 || weight === total) return;
    const between = (mean * weight - sum) ** 2 / (weight * (total - weight));
    if (between > best) [best, at] = [between, i];
  });
  return { threshold: ((at + 1) / BINS) * most, clarity: variance === 0 ? 0 : best / variance };
}
