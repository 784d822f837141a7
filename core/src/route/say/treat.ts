import type { Effect } from '../effect.js';
import { TREATING, type TreatKind } from '../kinds/treating.js';
import type { Lengths, Operation } from '../operation.js';
import { saying, type Said } from '../said.js';
import type { Datum, Purpose, Shop, SurfaceRef, Treatment, Wood } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, woodFor } from './place.js';

interface Treating extends Manner {
  wood: string;
  kind: TreatKind;
  subject: string;
  pass: string;
  from: Datum;
  /** what is treated, by what made it, from one place to another; what lies between is kept off */
  stretches: { on: Pick<SurfaceRef, 'of' | 'id'>[]; x0: number; x1: number }[];
  /** what it takes off the radius, mm */
  takes?: number;
  /** while it spins; a coat that dries on the bench is not */
  turning?: boolean;
  wait?: { what: string; minutes: Partial<Record<Purpose, number>> };
}

/** One grit, one line, one coat: over a stretch, on what was cut there. */
export function treat(
  shop: Shop,
  { wood: id, kind, subject, pass, from, stretches, takes = 0, turning = true, wait, ...manner }: Treating,
  lengths: Lengths,
): Operation {
  const wood = woodFor(shop, id);
  const how: Treatment = TREATING[kind].does;
  const by = idOf(how, subject, pass);
  const lying = stretches.map((stretch) => onSurfaces(wood, from, stretch, lengths));
  const said: Said[] = [
    ...lying.flatMap(({ said: [x0, x1] }) => [saying('from', x0, from), saying('to', x1, from)]),
    ...(takes === 0 ? [] : [saying('takes off the radius', takes)]),
  ];
  const effects: Effect[] = lying.flatMap(({ on }) =>
    on.map((ref): Effect => ({ do: 'treat', wood: id, treated: { on: ref, how, by }, takes, turning })),
  );
  if (wait) effects.push({ do: 'wait', wait: { wood: id, by, ...wait } });
  return operationOf({ kind, subject, pass, on: [id], said, effects }, manner);
}

/** Where the surfaces of a stretch lie in the wood, and from where to where that is from the datum; mm. What is not there yet is not reached. */
function onSurfaces(
  wood: Wood,
  from: Datum,
  { on, x0, x1 }: Treating['stretches'][number],
  lengths: Lengths,
): { on: SurfaceRef[]; said: [number, number] } {
  const { at, along } = placeOf(wood, from, lengths);
  const ends = [x0, x1].map((mm) => at[0] + along[0] * mm);
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const found = on.map((surface) => ({ ...surface, ...stretchOn(wood, surface, low, high) }));
  if (found.length === 0) return { on: [], said: [x0, x1] };
  const reach = [Math.min(...found.map((f) => f.x0)), Math.max(...found.map((f) => f.x1))];
  const said = reach.map((x) => (x - at[0]) * along[0]).sort((a, b) => a - b) as [number, number];
  return { on: found, said };
}

/** The part of a stretch where a surface is. mm */
function stretchOn(
  wood: Wood,
  surface: Pick<SurfaceRef, 'of' | 'id'>,
  x0: number,
  x1: number,
): { x0: number; x1: number } {
  const skin = wood.body.skins.find((s) => s.id === surface.id);
  if (!skin) return { x0, x1 };
  const ends = skin.profile.flatMap((s) => [s.x0, s.x1]).map((x) => skin.axis.at[0] + x * skin.axis.along[0]);
  return { x0: Math.max(x0, Math.min(...ends)), x1: Math.min(x1, Math.max(...ends)) };
}
