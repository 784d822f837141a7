import { fromOf, type OperationFigure } from '../figure.js';
import type { Effect, Lengths, Operation, Said } from '../operation.js';
import type { Datum, Purpose, Shop, SurfaceRef, Treatment } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeAlong, woodFor } from './place.js';

interface Treating extends Manner {
  wood: string;
  how: Treatment;
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
  { wood: id, how, subject, pass, from, stretches, takes = 0, turning = true, wait, ...manner }: Treating,
  lengths: Lengths,
): Operation {
  const wood = woodFor(shop, id);
  const by = idOf(how, subject, pass);
  const said: Said[] = [
    ...stretches.flatMap(({ x0, x1 }) => [
      { name: 'from', mm: x0, from },
      { name: 'to', mm: x1, from },
    ]),
    ...(takes === 0 ? [] : [{ name: 'takes off the radius', mm: takes, from: null }]),
  ];
  const effects: Effect[] = stretches.flatMap(({ on, x0, x1 }) => {
    const [a, b] = [x0, x1].map((mm) => placeAlong(wood, from, mm, lengths)) as [number, number];
    return on.map((surface): Effect => ({
      do: 'treat',
      wood: id,
      treated: { on: { ...surface, ...stretchOn(wood, surface, Math.min(a, b), Math.max(a, b)) }, how, by },
      takes,
      turning,
    }));
  });
  if (wait) effects.push({ do: 'wait', wait: { wood: id, by, ...wait } });
  return {
    ...operationOf(
      {
        kind: 'treat',
        doing: how,
        subject,
        pass,
        on: [id],
        said,
        figure: figureOf(how, manner.timers?.[0]?.label, stretches, from),
        effects,
        purpose: how === 'coated' ? 'coat' : 'turn',
      },
      manner,
    ),
    id: by,
  };
}

/** Grit by grit it is the grit; a line, a band or a colour is where it lies; a coat goes all over. */
function figureOf(
  how: Treatment,
  grit: string | undefined,
  stretches: Treating['stretches'],
  from: Datum,
): OperationFigure | undefined {
  if (grit !== undefined) return { is: 'grit', text: grit };
  if (how === 'sanded' || how === 'coated') return undefined;
  const x0 = Math.min(...stretches.map((s) => s.x0));
  const x1 = Math.max(...stretches.map((s) => s.x1));
  return stretches.length === 0 ? undefined : { is: 'band', mm: x0, to: x1, from: fromOf(from) };
}

/** The part of a stretch where a surface is. mm */
function stretchOn(
  wood: ReturnType<typeof woodFor>,
  surface: Pick<SurfaceRef, 'of' | 'id'>,
  x0: number,
  x1: number,
): { x0: number; x1: number } {
  const skin = wood.body.skins.find((s) => s.id === surface.id);
  if (!skin) return { x0, x1 };
  const ends = skin.profile.flatMap((s) => [s.x0, s.x1]).map((x) => skin.axis.at[0] + x * skin.axis.along[0]);
  return { x0: Math.max(x0, Math.min(...ends)), x1: Math.min(x1, Math.max(...ends)) };
}
