import { HERE, radiusAt, type CrossHole, type Hole } from '../../pattern/index.js';
import { surfaceAt, woodFor } from '../say/place.js';
import type { Bench } from './bench.js';

/** The blank is sawn; what is drilled while it is square is drilled; what must be in before turning is glued in. */
export function prepare(bench: Bench): void {
  const { work, wood, writer, lie } = bench;
  writer.saw({
    wood,
    form: work.stock,
    pieces: [{ partId: work.part.id, n: 1, at: { ...HERE, at: [lie.before, 0, 0] } }],
    title: 'Saw the blank',
    words: ['Mark its first end: all lengths begin there.'],
  });
  drill(bench);
  fitIn(bench, 'before turning');
}

function drill(bench: Bench): void {
  const { work, wood, writer } = bench;
  const across = work.part.crossHoles ?? [];
  if (work.holes.length + across.length === 0) return;
  const clear = work.stock.length / 2;
  writer.hold({
    wood,
    by: 'vise',
    place: 'drill press',
    drive: {
      by: 'vise',
      words: 'the vise of the drill press',
      on: { of: 'stock', id: 'stock', x0: clear - 5, x1: clear + 5 },
    },
    tail: null,
    keepsTrue: true,
    title: 'In the vise of the drill press',
  });
  work.holes.forEach((hole) => boreOne(bench, hole));
  across.forEach((hole) =>
    writer.boreAcross({
      wood,
      subject: hole.id,
      from: bench.datum('reference'),
      at:
        bench.waste('reference') +
        (hole.from === 'reference' ? hole.at.mm : work.outline.length - hole.at.mm),
      angle: hole.angle,
      diameter: hole.diameter.mm,
      ...(hole.through ? {} : { depth: blindDepth(bench, hole) }),
      title: `Drill ${hole.name}`,
    }),
  );
  writer.takeOff(wood, 'Out of the vise', 'vise');
}

/** A blind cross hole is counted from the blank's surface there: what will be turned away comes on top. */
function blindDepth(bench: Bench, { at, from, angle, depth }: CrossHole): number {
  const { outline } = bench.work;
  const x = from === 'reference' ? at.mm : outline.length - at.mm;
  const surface = surfaceAt(woodFor(bench.writer.shop, bench.wood), bench.x(x), angle);
  return (depth?.mm ?? 0) + surface.r - radiusAt(outline, x);
}

function boreOne(bench: Bench, hole: Hole): void {
  const { work, wood, writer, lie } = bench;
  const { from } = hole;
  const faced = lie.tail === from || work.mount.wasteDrive === 0;
  if (faced && bench.waste(from) > 0 && bench.waste(from) <= 2)
    writer.face({
      wood,
      subject: `${from} end`,
      from: bench.datum(from),
      mm: bench.waste(from),
      title: `Square the ${from} end`,
      words: ['Flat and at right angles: the hole is counted from it.'],
    });
  // waste that still stands before the mouth comes on top of every depth
  const waste = bench.waste(from);
  const last = hole.steps.at(-1);
  writer.bore({
    wood,
    subject: hole.id,
    from: bench.datum(from),
    steps: hole.steps.map(({ diameter, depth, endDiameter }) => ({
      diameter: diameter.mm,
      depth: hole.through && depth === last?.depth ? work.stock.length : depth.mm + waste,
      ...(endDiameter ? { endDiameter: endDiameter.mm } : {}),
    })),
    pointAngle: hole.through ? 180 : hole.pointAngle,
    title: `Drill ${hole.name}`,
  });
}

/** Hardware goes in at its moment. */
export function fitIn(bench: Bench, when: Bench['work']['fits'][number]['when']): void {
  const { work, wood, writer } = bench;
  for (const fit of work.fits.filter((f) => f.when === when))
    writer.fix({
      wood,
      subject: fit.id,
      kitId: fit.kitId,
      from: bench.datum(fit.end),
      ...(fit.cureMinutes === null
        ? {}
        : { cure: { what: 'the glue cures', minutes: { turn: fit.cureMinutes, use: fit.cureMinutes } } }),
      title: fit.title,
      words: fit.words,
    });
}
