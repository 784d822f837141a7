import { PART_ENDS } from '../../pattern/index.js';
import { GRIPS, type Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { finishOff } from './ends.js';
import { fixtures, holdIt } from './holds.js';
import { refuseHollow } from './hollows.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';
import { fitIn } from './prepare.js';
import { rough } from './roughing.js';

import { coat, surface } from './surface.js';
import { turn } from './turn.js';

/** Radius of an end that can be held by its face, mm. */
const LEAST_FACE = 3;

/** Both ends are reached: squeezed between faces, or on a rod right through. */
export function throughChain(
  bench: Bench,
  by: string,
  title: string,
  grips: () => [Grip, Grip | null],
): void {
  const { writer, work } = bench;
  const { segments } = work.outline;
  if (Math.min(segments[0]?.r0 ?? 0, segments.at(-1)?.r1 ?? 0) < LEAST_FACE)
    throw new NoWay(
      'An end of it is too thin or too round to be held by its face.',
      'Turn it between centres or in a chuck, and take this way for its last cuts only.',
    );
  for (const end of PART_ENDS)
    refuseHollow(
      bench,
      end,
      'and in this way both ends are covered.',
      'Hold it in a chuck, that end at the tail.',
    );
  bench.endsSawn = true;
  // nothing enters the ends and nothing of them is cut in this hold: they are squared before
  for (const end of ['reference', 'far'] as const)
    if (bench.waste(end) > 1e-6)
      writer.face({
        kind: 'square an end',
        wood: bench.wood,
        subject: `${end} end`,
        from: bench.datum(end),
        mm: bench.waste(end),
        title: `Square the ${end} end`,
        words: ['To its length, at right angles: it is held by its faces.'],
        minutes: each(MINUTES.face),
        stage: 'stock',
      });
  holdIt(bench, {
    by,
    title,
    words: fixtures(bench),
    drive: () => grips()[0],
    tail: () => grips()[1],
    alone: GRIPS[grips()[0].by] === 'holds',
  });
  rough(bench, { pass: 'round' });
  turn(bench);
  surface(bench);
  coat(bench, true);
  writer.takeOff(bench.wood, 'Take it off', undefined, each(MINUTES.tail));
  bench.hold = null;
  fitIn(bench, 'after the tenon', bench.lie.drive);
  finishOff(bench);
}
