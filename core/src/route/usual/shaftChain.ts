import { len } from '../../measure/index.js';
import { PART_ENDS } from '../../pattern/index.js';
import type { Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { finishOff, freeTail } from './ends.js';
import { fixtures, holdIt, liveCentre } from './holds.js';
import { refuseHollow } from './hollows.js';
import { joinOf } from './joinItem.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';
import { rough } from './roughing.js';

import { turnHeld } from './tailEnd.js';
import type { ShaftIn } from './work.js';

/** Bored, glued onto its finished shaft, held by that, and only then turned: both run true to each other. */
export function shaftChain(bench: Bench): void {
  const { work, writer, lie } = bench;
  const { shaft } = work;
  if (!shaft)
    throw new NoWay(
      'What it is glued onto is not made in this order.',
      'Order whole items, or hold it another way.',
    );
  const isOpen = work.mount.tailstock !== null;
  refuseHollow(bench, lie.drive, 'where its shaft stands out.', 'Hold it another way.');
  if (!isOpen) refuseHollow(bench, lie.tail, 'where its shaft comes out.', 'Hold it another way.');
  squareFaces(bench, isOpen);
  glueOn(bench, shaft);
  const name = shaft.join.sides.inner.name.toLowerCase();
  const off = lie.drive === 'reference' ? -shaft.x1 : shaft.x0 - work.outline.length;
  holdIt(bench, {
    by: 'shaft',
    title: `Held by its ${name}`,
    words: [
      ...fixtures(bench),
      `The ${name} in until the work stands ${len(off)} off, no farther out: rest close, light cuts at first.`,
    ],
    drive: () => gripOf(bench, shaft),
    tail: () => (isOpen ? liveCentre(bench) : null),
    alone: true,
  });
  bench.lightCuts = true;
  rough(bench, { pass: 'round' });
  if (!turnHeld(bench)) freeTail(bench);
  writer.takeOff(bench.wood, 'Take it off', undefined, each(MINUTES.tail));
  bench.hold = null;
  finishOff(bench);
}

/** Glued when its faces are true: afterwards no saw reaches them. */
function glueOn({ wood, writer, now }: Bench, shaft: ShaftIn): void {
  const { shop, lengths } = writer;
  const join = joinOf(shop, shaft.join, { from: shop, lengths, copies: [], goesOn: true });
  const faces = now.body.flats
    .filter((f) => f.id.startsWith('face:'))
    .map(({ id, at }) => ({ of: 'flat' as const, id, x0: at.at[0], x1: at.at[0] }));
  writer.say({ ...join, effects: [{ do: 'look', wood, on: faces }, ...join.effects] });
}

/** Its faces are not cut once the shaft stands in them: they are sawn true before it is glued. */
function squareFaces(bench: Bench, isOpen: boolean): void {
  const { lie, wood, writer } = bench;
  const faces = isOpen ? [lie.drive] : PART_ENDS;
  bench.endsSawn = !isOpen;
  for (const end of faces)
    if (bench.waste(end) > 1e-6)
      writer.face({
        kind: 'square an end',
        wood,
        subject: `${end} end`,
        from: bench.datum(end),
        mm: bench.waste(end),
        title: `Square the ${end} end`,
        words: ['To its length, at right angles to the bore: the shaft stands in it when it is turned.'],
        minutes: each(MINUTES.face),
        stage: 'stock',
      });
}

/** What closes on the shaft, beside the work. */
function gripOf({ work, lie }: Bench, { made, partId, elementId, x0, x1 }: ShaftIn): Grip {
  const wood = made.woods.find((w) => w.pieces.some((p) => p.partId === partId));
  const skin = wood?.body.skins.findLast(
    (s) => s.side === 'outside' && s.profile.some((p) => p.elementId === elementId),
  );
  return {
    by: 'collet',
    words: work.mount.headstock,
    on: {
      of: 'skin',
      id: skin?.id ?? `shape:${elementId}`,
      x0: lie.before + x0 + INSIDE,
      x1: lie.before + x1 - INSIDE,
    },
  };
}

/** So far inside of the straight stretch it is held, mm. */
const INSIDE = 0.5;
