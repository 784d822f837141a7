import { outlineOf, widestOf, type Part, type Placement } from '../../src/pattern/index.js';
import { doesOf } from '../../src/route/kinds/operationKinds.js';
import type { Operation } from '../../src/route/operation.js';
import { drawnHas } from './drawnSolid.js';
import { TestLathe, type Told } from './testLathe.js';

/** What a person reads of an operation; of its effects only what the woods are called afterwards. */
const toldOf = ({ id, kind, on, said, effects }: Operation): Told => ({
  id,
  does: doesOf(kind),
  on,
  said,
  names: effects.flatMap((effect) => {
    if (effect.do === 'stock') return [effect.wood.id];
    if (effect.do === 'join' || effect.do === 'free') return [effect.into];
    return effect.do === 'split' ? effect.into : [];
  }),
});

/** The test lathe after it was told all of it. */
export const madeBy = (operations: readonly Operation[]): TestLathe =>
  new TestLathe().make(operations.map(toldOf));

type Place = readonly [number, number, number];

/** Nearer to a drawn surface than this nothing is judged, mm. */
const EDGE = 0.35;
const SIDES: Place[] = [
  [EDGE, 0, 0],
  [-EDGE, 0, 0],
  [0, EDGE, 0],
  [0, -EDGE, 0],
  [0, 0, EDGE],
  [0, 0, -EDGE],
];

interface Verdict {
  looked: number;
  /** places that are drawn and empty, and places that stand and are not drawn, in the part's frame */
  missing: Place[];
  extra: Place[];
}

/**
 * Looks for a drawn part in what the test lathe made.
 * @param at where the part lies in the lump's frame: along it or back along it
 * @param pitch how far apart places are looked at, mm
 * @param has whether there is wood at a place of the lump's frame
 */
export function judged(
  part: Part,
  { at, along }: Placement,
  has: (p: Place) => boolean,
  pitch: number,
): Verdict {
  const drawn = drawnHas(part);
  const verdict: Verdict = { looked: 0, missing: [], extra: [] };
  const outline = outlineOf(part.turnings[0]);
  const [length, wide] = [outline.length, widestOf(outline).diameter * 0.75 + 2];
  for (let x = -3; x < length + 3; x += pitch)
    for (let y = -wide; y < wide; y += pitch)
      for (let z = -wide; z < wide; z += pitch) {
        const p: Place = [x, y, z];
        const wanted = drawn(p);
        if (SIDES.some((side) => drawn([x + side[0], y + side[1], z + side[2]]) !== wanted)) continue;
        verdict.looked++;
        const made = has([at[0] + along[0] * x, at[1] + along[0] * y, at[2] + z]);
        if (wanted && !made) verdict.missing.push(p);
        if (!wanted && made) verdict.extra.push(p);
      }
  return verdict;
}
