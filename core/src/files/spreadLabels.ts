/**
 * Places for labels of one width in a row, each as near to where it belongs as the others leave it: least squares
 * under a least distance, which is isotonic regression of what is left when the distances are taken off (pool
 * adjacent violators: Ayer, Brunk, Ewing, Reid and Silverman, 1955), held between the ends of the row.
 * @param wanted where each belongs, ascending, mm
 * @param width what one takes up, mm
 * @returns the middles of the labels, ascending; where the row is too short they stand closer, evenly
 */
export function spreadLabels(
  wanted: readonly number[],
  width: number,
  [from, to]: readonly [number, number],
): number[] {
  const apart = wanted.length < 2 ? width : Math.min(width, (to - from) / (wanted.length - 1));
  const pools: { sum: number; count: number }[] = [];
  wanted.forEach((x, i) => {
    pools.push({ sum: x - i * apart, count: 1 });
    for (;;) {
      const [b, a] = [pools.at(-1), pools.at(-2)];
      if (!a || !b || a.sum / a.count <= b.sum / b.count) break;
      pools.splice(-2, 2, { sum: a.sum + b.sum, count: a.count + b.count });
    }
  });
  const most = to - (wanted.length - 1) * apart;
  return pools
    .flatMap(({ sum, count }) => new Array<number>(count).fill(Math.min(most, Math.max(from, sum / count))))
    .map((x, i) => x + i * apart);
}
