import { skinRadius, type SilhouettePoint, type Skin } from '../pattern/body/index.js';
import type { Wood } from './shop.js';
import type { StandingWood } from './standing.js';

/** What a turner sees that was last done to the wood: from the saw, planed, roughed, as the cutting tool left it, sanded, coated. */
export type Surface = 'sawn' | 'planed' | 'roughed' | 'cut' | 'sanded' | 'coated';

/** A stretch of wood of one surface, with its outline above the axis. mm */
export interface Face {
  is: Surface;
  /** a face of the square it was sawn to, and not round */
  flat: boolean;
  run: SilhouettePoint[];
}

/** How near the outline is to what made it, mm: what lies between is no surface of another's. */
const SAME = 0.02;

/**
 * The outside of the wood as it stands, by what was last done to each stretch of it: along each lump from left to right,
 * without gaps.
 * @param left how the blank's own faces are left where some stay in the piece; from the saw when not said
 */
export function facesOf(
  { wood, silhouette }: Pick<StandingWood, 'wood' | 'silhouette'>,
  left: 'planed' | 'sawn' | null = null,
): Face[] {
  return silhouette.flatMap((points) => {
    const faces: Face[] = [];
    for (const point of points) {
      const { is: own, flat } = surfaceAt(wood, point);
      const is = own === 'sawn' ? (left ?? own) : own;
      const last = faces.at(-1);
      last?.run.push(point);
      if (last?.is !== is || last.flat !== flat) faces.push({ is, flat, run: [point] });
    }
    return faces.filter(({ run }) => run.length > 1);
  });
}

function surfaceAt({ body, treated }: Wood, { x, outside }: SilhouettePoint): Omit<Face, 'run'> {
  const skin = body.skins.findLast((s) => s.side === 'outside' && isBy(s, x, outside));
  const own = treated.filter(
    ({ on }) =>
      x >= on.x0 && x <= on.x1 && (on.of === 'stock' ? !skin : on.of === 'skin' && on.id === skin?.id),
  );
  // what came round was not sawn, and what another axis turned meets the saw nowhere
  const flat = !skin && (body.form.kind === 'square' || body.form.kind === 'octagon');
  if (own.some(({ how }) => how === 'coated')) return { is: 'coated', flat };
  if (own.some(({ how }) => how === 'sanded' || how === 'burnished')) return { is: 'sanded', flat };
  if (skin) return { is: skin.leaves ?? 'cut', flat };
  return { is: flat ? 'sawn' : 'cut', flat };
}

/** Whether what stands at a place is what this cut left there. */
function isBy(skin: Skin, x: number, outside: number): boolean {
  const { at, along } = skin.axis;
  const radius = skinRadius(skin, (x - at[0]) * Math.sign(along[0]));
  return radius !== null && Math.abs(radius - outside) < SAME;
}
