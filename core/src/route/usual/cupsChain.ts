import { len } from '../../measure/index.js';
import { saidOf } from '../saidProfile.js';
import type { Bench } from './bench.js';
import { turnedToNibs } from './chains.js';
import { finishOff } from './ends.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';

/** A ball is turned to nibs between centres; then its poles lie at the sides, and what is left of them is turned away. */
export function cupsChain(bench: Bench): void {
  const { work, wood, writer } = bench;
  const [ball, ...others] = work.outline.spans;
  if (ball?.element.kind !== 'sphere' || others.length > 0)
    throw new NoWay(
      'Only what is a ball and nothing else turns in cups about any axis.',
      'Turn it between centres or in a chuck.',
    );
  turnedToNibs(bench, work.centres);
  const middle = (ball.x0 + ball.x1) / 2;
  const on = bench.amid(ball);
  if (on)
    writer.hold({
      wood,
      by: 'cups',
      place: 'lathe',
      axis: { at: { mm: bench.from(middle), from: bench.datum('reference') }, lean: 90, direction: 0 },
      drive: { by: 'cup', words: work.mount.headstock, on },
      tail: { by: 'cup', words: work.mount.tailstock ?? 'the other cup', on },
      keepsTrue: false,
      title: 'Between the cups, its old poles to the sides',
      words: [
        'What stands proud shows as a shadow while it turns: scrape until there is none, then turn the ball a quarter and look again.',
      ],
      minutes: each(MINUTES.mount),
    });
  writer.cut({
    wood,
    kind: 'scrape the poles',
    subject: 'poles',
    profile: saidOf(
      work.outline.segments.map((s) => ({ ...s, x0: s.x0 - middle, x1: s.x1 - middle })),
      bench.datum('reference'),
      { x: 0, runs: 1 },
    ),
    title: 'Scrape the poles round',
    words: [
      `Light cuts with the scraper, towards the shadow, until it measures ${len(bench.widest(ball.x0, ball.x1))} every way.`,
    ],
    speed: bench.speed('finish slow'),
    minutes: each(3 * MINUTES.tip),
  });
  writer.takeOff(wood, 'Out of the cups', 'cups', each(MINUTES.tail));
  finishOff(bench);
}
