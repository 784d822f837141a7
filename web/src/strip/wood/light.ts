/** Shares of the radius from the edge to the axis in which the light on a round is drawn. */
export const SHARES = [
  1, 0.993, 0.98, 0.965, 0.945, 0.92, 0.89, 0.855, 0.81, 0.75, 0.66, 0.54, 0.44, 0.36, 0.28, 0.2, 0.1,
] as const;

/** From above and from the front, of length 1. */
const [ABOVE, FRONT] = [0.55, 0.835];
/** What stands in the shade is not black. */
const AMBIENT = 0.4;
/** The gloss where light falls straight on it. */
const GLOSS = 0.1;

/**
 * How bright a round is at a share h of its radius above the axis: Lambert's law, the surface there looks
 * (h up, √(1 − h²) to the front). 1 where light falls straight on it.
 */
export const brightness = (h: number): number => ABOVE * h + FRONT * Math.sqrt(1 - h * h);

/** A colour `#rrggbb` as it is lit at a share of the radius. */
export function lit(colour: string, h: number): string {
  const b = brightness(h);
  const shade = AMBIENT + (1 - AMBIENT) * b;
  const gloss = GLOSS * Math.max(0, (b - 0.93) / 0.07);
  const channels = [1, 3, 5].map((i) => {
    const c = parseInt(colour.slice(i, i + 2), 16) * shade;
    return Math.round(c + (255 - c) * gloss);
  });
  return `rgb(${channels.join(' ')})`;
}
