import { len } from '../../measure/index.js';
import type { PartEnd } from '../../pattern/index.js';
import { saidOf } from '../say/cut.js';
import type { Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { drillAt } from './drill.js';
import { cutFree, finishOff, nib, nibBetween, sawNib } from './ends.js';
import { betweenCentres, centre, fixtures, furtherAxis, holdIt, liveCentre } from './holds.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';
import { fitIn } from './prepare.js';
import { furtherAxes, mark, rough, shape, shapeOne, tips, tryOn } from './shape.js';
import { coat, decorate, sand } from './surface.js';

/** Rounded, bored where that is wanted, marked, shaped, tried: all that is done in one hold before the surface. */
function turn(bench: Bench): void {
  drillAt(bench, 'after rounding');
  mark(bench);
  shape(bench);
  drillAt(bench, 'after shaping');
  tryOn(bench);
}

function surface(bench: Bench): void {
  sand(bench);
  decorate(bench);
}

/** Turned whole between centres; the ends are parted to nibs, the lathe stopped, the nibs sawn and pared. */
export function centresChain(bench: Bench): void {
  turnedToNibs(bench);
  bench.forEach(() => {
    for (const end of ['far', 'reference'] as const) tips(bench, end, 'hand');
    finishOff(bench);
  });
}

/** A ball is turned to nibs between centres; then its poles lie at the sides, and what is left of them is turned away. */
export function cupsChain(bench: Bench): void {
  const { work, wood, writer } = bench;
  const [ball, ...others] = work.outline.spans;
  if (ball?.element.kind !== 'sphere' || others.length > 0)
    throw new NoWay(
      'Only what is a ball and nothing else turns in cups about any axis.',
      'Turn it between centres or in a chuck.',
    );
  turnedToNibs(bench);
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
    doing: 'shape',
    subject: 'poles',
    profile: saidOf(
      work.outline.segments.map((s) => ({ ...s, x0: s.x0 - middle, x1: s.x1 - middle })),
      bench.datum('reference'),
      { x: 0, runs: 1 },
    ),
    title: 'Scrape the poles round',
    words: ['Light cuts with the scraper, towards the shadow.'],
    speed: bench.speed('finish slow'),
    minutes: each(3 * MINUTES.tip),
  });
  writer.takeOff(wood, 'Out of the cups', 'cups', each(MINUTES.tail));
  finishOff(bench);
}

/** Shaped and surfaced between centres, taken off with the lathe standing, the nibs of both ends sawn. */
function turnedToNibs(bench: Bench): void {
  betweenCentres(bench);
  rough(bench, { pass: 'round', squareEndsSawn: true });
  bench.forEach(() => turn(bench));
  furtherAxes(bench, ({ id, axis }) =>
    bench.writer.hold({
      wood: bench.wood,
      by: 'shifted centres',
      pass: id,
      place: 'lathe',
      axis: furtherAxis(bench, axis),
      drive: centre(bench, bench.lie.drive, 'spur centre', 'the spur on its second mark'),
      tail: centre(bench, bench.lie.tail, 'live centre', 'the live centre on its second mark'),
      keepsTrue: true,
      title: 'On the second marks',
      words: [
        `Both second marks ${len(axis?.shift.mm ?? 0)} off the first, in one plane. Turn it by hand once: the far side swings out.`,
      ],
      minutes: each(MINUTES.mount),
    }),
  );
  // sanding and nibs belong to the first axis
  if (bench.work.part.turnings.length > 1) bench.hold?.take('again');
  bench.forEach(() => {
    surface(bench);
    coat(bench, true);
  });
  bench.forEach((place) => {
    const { tail, drive } = bench.lie;
    if (place === 1 && hasNib(bench, tail)) nib(bench, tail);
    if (bench.isLast && hasNib(bench, drive)) nib(bench, drive);
    if (!bench.isLast && !(bench.staysSquare(tail) && bench.staysSquare(drive))) nibBetween(bench);
  });
  bench.writer.takeOff(bench.wood, 'Stop the lathe and take it off', undefined, each(MINUTES.tail));
  bench.hold = null;
  bench.forEach(() =>
    ([bench.lie.tail, bench.lie.drive] as const)
      .filter((end) => bench.waste(end) > 1e-6)
      .forEach((end) => sawNib(bench, end)),
  );
}

/** Whether an end is parted to a nib: a square is sawn to length, and without waste there is nothing to part. */
const hasNib = (bench: Bench, end: PartEnd): boolean => bench.waste(end) > 1e-6 && !bench.staysSquare(end);

/** Held by something of its own that lasts: a thread, a hole, a straight end; the other end is finished without the tail. */
export function ownHoldChain(bench: Bench, by: string, title: string, drive: () => Grip): void {
  holdIt(bench, { by, title, words: fixtures(bench), drive, tail: () => liveCentre(bench), alone: true });
  if (bench.now.body.skins.length === 0) rough(bench, { pass: 'round' });
  turn(bench);
  endWithoutTail(bench);
  bench.writer.takeOff(bench.wood, 'Take it off', undefined, each(MINUTES.tail));
  bench.hold = null;
  finishOff(bench);
}

/** Roughed between centres to get its tenon; then in the chuck, truly round once more, and finished at both ends. */
export function chuckChain(bench: Bench): void {
  const { lie, wood, work, writer } = bench;
  const { tenon } = work.mount;
  if (!tenon)
    throw new NoWay(
      'No jaws of the workshop close on anything as thin as this.',
      'Hold it another way, or enter smaller jaws in the workshop.',
    );
  betweenCentres(bench, work.centres.drive);
  rough(bench, { pass: 'round', over: 2, atDrive: tenon.diameter + 1 });
  writer.cut({
    wood,
    doing: 'tenon',
    subject: 'jaws',
    profile: {
      from: bench.datum(lie.drive),
      x: 0,
      diameter: tenon.diameter,
      to: [{ x: tenon.length, diameter: tenon.diameter }],
    },
    title: 'Turn a tenon for the jaws',
    words: [
      `${len(tenon.diameter)} across, ${len(tenon.length)} long. Its shoulder square and clean: the jaws sit against it.`,
    ],
    tool: work.parter.name,
    speed: bench.speed('size'),
    minutes: each(MINUTES.tenon),
  });
  writer.takeOff(wood, 'Off the centres', 'centres', each(MINUTES.tail));
  const inward = lie.drive === 'reference' ? 1 : -1;
  const ends = [0.5, tenon.length - 0.5].map((mm) => bench.standsAt(lie.drive) + inward * mm);
  holdIt(bench, {
    by: 'chuck',
    drive: () => ({
      by: 'jaws',
      words: work.mount.headstock,
      on: { of: 'skin', id: 'tenon:jaws', x0: Math.min(...ends), x1: Math.max(...ends) },
    }),
    tail: () => centre(bench, lie.tail, 'live centre', work.mount.tailstock ?? work.centres.live),
    alone: true,
    keepsTrue: false,
    title: 'In the chuck by its tenon',
    words: fixtures(bench),
  });
  // after a new hold nothing runs quite true: a light cut over all that stands clear of the jaws
  rough(bench, { pass: 'true', gripped: tenon.length + 1 });
  oneAfterTheOther(bench);
}

/** Each piece is finished and parted off from the tail before the next one is begun, which stands more stiffly. */
function oneAfterTheOther(bench: Bench, beforeTheEnd: () => void = () => {}): void {
  const { hold } = bench;
  bench.forEach((place) => {
    if (place > 1 && bench.work.mount.tailstock !== null)
      hold?.take('piece', 'Tailstock up again, in the middle of the fresh end');
    turn(bench);
    beforeTheEnd();
    endWithoutTail(bench);
    partOff(bench);
  });
  bench.hold = null;
  bench.forEach(() => finishOff(bench));
}

/** Its own straight end is turned between centres first: that is what the collet closes on. */
export function colletChain(bench: Bench): void {
  const { lie, work, wood, writer } = bench;
  const { spans } = work.outline;
  const end = lie.drive === 'reference' ? spans[0] : spans.at(-1);
  if (!end) throw new NoWay('It has no end that a collet closes on.', 'Hold it another way.');
  betweenCentres(bench, work.centres.drive);
  rough(bench, { pass: 'round' });
  shapeOne(bench, end.element.id);
  writer.takeOff(wood, 'Off the centres', 'centres', each(MINUTES.tail));
  ownHoldChain(bench, 'collet', 'In the collet by its own end', () => ({
    by: 'collet',
    words: work.mount.headstock,
    on: {
      of: 'skin',
      id: `shape:${end.element.id}`,
      x0: bench.x(end.x0) + 0.5,
      x1: bench.x(end.x1) - 0.5,
    },
  }));
}

/** Held by its waste in another way than a tenon: on a screw, on a plate. */
export function wasteHoldChain(bench: Bench, by: string, title: string, grip: Grip['by']): void {
  const { lie, work } = bench;
  holdIt(bench, {
    by,
    title,
    words: ['The face that sits against it sawn square.', ...fixtures(bench)],
    drive: () => {
      const x = bench.standsAt(lie.drive);
      return { by: grip, words: work.mount.headstock, on: { of: 'stock', id: 'stock', x0: x, x1: x } };
    },
    tail: () => liveCentre(bench),
    alone: true,
  });
  rough(bench, { pass: 'round' });
  oneAfterTheOther(bench, () => {
    if (grip === 'offset plate') onPlateHoles(bench, by);
  });
}

/** The plate is set to its hole for each further axis, and back to its middle afterwards. */
function onPlateHoles(bench: Bench, by: string): void {
  const { hold, lie, work, wood, writer } = bench;
  if (work.part.turnings.length === 1) return;
  furtherAxes(bench, ({ id, axis }) => {
    const x = bench.standsAt(lie.drive);
    writer.hold({
      wood,
      by: `${by} shifted`,
      pass: id,
      place: 'lathe',
      axis: furtherAxis(bench, axis),
      drive: {
        by: 'offset plate',
        words: work.mount.headstock,
        on: { of: 'stock', id: 'stock', x0: x, x1: x },
      },
      tail: null,
      keepsTrue: true,
      title: 'On the hole of the plate for the further axis',
      words: [
        `${len(axis?.shift.mm ?? 0)} out, turned to ${axis?.direction ?? 0}°: write both down. Turn it by hand right round first.`,
      ],
      minutes: each(MINUTES.mount),
    });
  });
  hold?.take('again');
}

/** Cut free at the drive, slowly, the piece falling into the hand. */
function partOff(bench: Bench): void {
  const { reversal } = bench.work.mount;
  const instead = reversal ? `; or ${reversal.charAt(0).toLowerCase()}${reversal.slice(1)}` : '.';
  // a tip at the drive is all that still holds the piece: after everything else
  cutFree(bench, bench.lie.drive, {
    title: 'Part it off',
    words: [
      'Slow, the other hand open under it; nothing wound round a finger.',
      `Pare its end flush by hand${instead}`,
    ],
    tool: bench.work.parter.name,
  });
}

/** Surface while the tail still holds; then the end at the tail is finished without it. */
function endWithoutTail(bench: Bench): void {
  const { work, lie, writer } = bench;
  surface(bench);
  if (work.mount.tailstock !== null) writer.tailAway('Tailstock away', undefined, each(MINUTES.tail));
  if (bench.waste(lie.tail) > 1e-6)
    cutFree(bench, lie.tail, {
      title: 'Cut the waste at the tail away',
      words: ['Light cuts to the middle; what is beyond falls. Sand the end before the finish.'],
      tool: 'skew',
    });
  coat(bench, true);
}

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
  bench.endsSawn = true;
  // nothing enters the ends and nothing of them is cut in this hold: they are squared before
  for (const end of ['reference', 'far'] as const)
    if (bench.waste(end) > 1e-6)
      writer.face({
        wood: bench.wood,
        subject: `${end} end`,
        from: bench.datum(end),
        mm: bench.waste(end),
        title: `Square the ${end} end`,
        words: ['To its length, at right angles: it is held by its faces.'],
        sawn: true,
        minutes: each(MINUTES.face),
        stage: 'stock',
      });
  holdIt(bench, {
    by,
    title,
    words: fixtures(bench),
    drive: () => grips()[0],
    tail: () => grips()[1],
    alone: grips()[1] === null,
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
