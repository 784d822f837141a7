import type { PartEnd } from '../../pattern/index.js';
import type { Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { fitIn } from './prepare.js';
import { NIB } from './profiles.js';
import { furtherAxes, rough, shape, tips } from './shape.js';
import { coat, decorate, sand } from './surface.js';

/** This way of holding cannot be gone here. */
export class NoWay extends Error {}

/** How long a nib is made, mm: a saw goes in beside it. */
const NIB_LONG = 5;

/** A centre in an end: in its hole where it is drilled, else in the face. */
function centre(bench: Bench, end: PartEnd, by: Grip['by'], words: string): Grip {
  const x = bench.standsAt(end);
  const hole = bench.work.holes.find((h) => h.from === end && bench.waste(end) === 0);
  return hole
    ? { by, words, on: { of: 'hole', id: `bore:${hole.id}`, x0: x, x1: x } }
    : { by, words, on: { of: 'stock', id: 'stock', x0: x, x1: x } };
}

function betweenCentres(bench: Bench, pass?: string): void {
  const { lie, wood, work } = bench;
  bench.writer.hold({
    wood,
    by: 'centres',
    ...(pass === undefined ? {} : { pass }),
    place: 'lathe',
    drive: centre(
      bench,
      lie.drive,
      'spur centre',
      work.mount.kind === 'chuck' ? 'the drive centre' : work.mount.headstock,
    ),
    tail: centre(bench, lie.tail, 'live centre', work.mount.tailstock ?? 'the live centre'),
    keepsTrue: true,
    title: `Between centres, the ${lie.drive} end at the headstock`,
  });
}

/** Turned whole between centres; the ends are parted to nibs, the lathe stopped, the nibs sawn and pared. */
export function centresChain(bench: Bench): void {
  betweenCentres(bench);
  rough(bench, { pass: 'round' });
  shape(bench);
  furtherAxes(bench, ({ id, axis }) =>
    bench.writer.hold({
      wood: bench.wood,
      by: 'shifted centres',
      pass: id,
      place: 'lathe',
      axis: {
        at: { mm: bench.waste('reference') + (axis?.along?.mm ?? 0), from: bench.datum('reference') },
        shift: axis?.shift.mm ?? 0,
        direction: axis?.direction ?? 0,
        lean: axis?.tilt ?? 0,
      },
      drive: centre(bench, bench.lie.drive, 'spur centre', 'the spur on its second mark'),
      tail: centre(bench, bench.lie.tail, 'live centre', 'the live centre on its second mark'),
      keepsTrue: true,
      title: 'On the second marks',
      words: ['Turn it by hand once: the far side swings out.'],
    }),
  );
  // sanding and nibs belong to the first axis
  if (bench.work.part.turnings.length > 1) betweenCentres(bench, 'again');
  fitIn(bench, 'after the tenon');
  sand(bench);
  decorate(bench);
  coat(bench, true);
  const ends = ([bench.lie.tail, bench.lie.drive] as const).filter((end) => bench.waste(end) > 0);
  ends.forEach((end) => nib(bench, end));
  bench.writer.takeOff(bench.wood, 'Stop the lathe and take it off');
  ends.forEach((end) => sawNib(bench, end));
  ends.forEach((end) => tips(bench, end, 'hand'));
  finishOff(bench);
}

/** Screwed on a mandrel by what is in its end; the other end is finished with the tailstock away. */
export function mandrelChain(bench: Bench): void {
  const { lie, wood, work, writer } = bench;
  const hole = work.holes.find((h) => h.from === lie.drive);
  const insert = work.fits.find((f) => f.when === 'before turning' && f.end === lie.drive);
  const x = bench.standsAt(lie.drive);
  writer.hold({
    wood,
    by: 'mandrel',
    place: 'lathe',
    drive: {
      by: 'thread',
      words: work.mount.headstock,
      on: insert
        ? { of: 'fixed', id: insert.id, x0: x, x1: x }
        : { of: 'hole', id: `bore:${hole?.id ?? ''}`, x0: x, x1: x },
    },
    tail: centre(bench, lie.tail, 'live centre', work.mount.tailstock ?? 'the live centre'),
    keepsTrue: true,
    title: 'Screw it on the mandrel, live centre up',
  });
  rough(bench, { pass: 'round' });
  shape(bench);
  endWithoutTail(bench);
  writer.takeOff(wood, 'Take it off the mandrel');
  finishOff(bench);
}

/** Roughed between centres to get its tenon; then in the chuck, truly round once more, and finished at both ends. */
export function chuckChain(bench: Bench): void {
  const { lie, wood, work, writer } = bench;
  const { tenon } = work.mount;
  // no jaws close on anything as thin as this: another way is wanted
  if (!tenon) throw new NoWay();
  betweenCentres(bench);
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
    words: ['Its shoulder square and clean: the jaws sit against it.'],
    tool: 'parting tool',
  });
  writer.takeOff(wood, 'Off the centres', 'centres');
  const end = bench.standsAt(lie.drive);
  const inward = lie.drive === 'reference' ? 1 : -1;
  const ends = [end + inward * 0.5, end + inward * (tenon.length - 0.5)];
  writer.hold({
    wood,
    by: 'chuck',
    place: 'lathe',
    drive: {
      by: 'jaws',
      words: work.mount.headstock,
      on: { of: 'skin', id: 'tenon:jaws', x0: Math.min(...ends), x1: Math.max(...ends) },
    },
    tail: centre(bench, lie.tail, 'live centre', 'the live centre'),
    keepsTrue: false,
    title: 'In the chuck by its tenon, live centre up',
  });
  // after a new hold nothing runs quite true: a light cut over all that stands clear of the jaws
  rough(bench, { pass: 'true', gripped: tenon.length + 1 });
  shape(bench);
  endWithoutTail(bench);
  // a tip at the drive is all that still holds the piece: after everything else
  tips(bench, lie.drive, 'turning');
  writer.part({
    wood,
    subject: `${lie.drive} end`,
    from: bench.datum('reference'),
    mm: bench.waste('reference') + (lie.drive === 'reference' ? 0 : work.outline.length),
    into: lie.drive === 'reference' ? [null, wood] : [wood, null],
    title: 'Part it off',
    words: ['Slow, the other hand open under it; nothing wound round a finger.'],
    tool: 'parting tool',
  });
  finishOff(bench);
}

/** Surface while the tail still holds; then the end at the tail is finished without it. */
function endWithoutTail(bench: Bench): void {
  const { work, lie, wood, writer } = bench;
  fitIn(bench, 'after the tenon');
  sand(bench);
  decorate(bench);
  writer.tailAway('Tailstock away');
  if (bench.waste(lie.tail) > 0) {
    tips(bench, lie.tail, 'turning');
    writer.part({
      wood,
      subject: `${lie.tail} end`,
      from: bench.datum('reference'),
      mm: bench.waste('reference') + (lie.tail === 'reference' ? 0 : work.outline.length),
      into: lie.tail === 'reference' ? [null, wood] : [wood, null],
      title: 'Cut the waste at the tail away',
      words: ['Light cuts to the middle; what is beyond falls.'],
      tool: 'skew',
    });
  }
  coat(bench, true);
}

/** Parted down beside an end until only a nib carries it. */
function nib(bench: Bench, end: PartEnd): void {
  const { wood, writer } = bench;
  const waste = bench.waste(end);
  const long = Math.min(NIB_LONG, waste);
  const reach = bench.tip(end).reduce((sum, s) => sum + s.x1 - s.x0, 0);
  writer.cut({
    wood,
    doing: 'nib',
    subject: `${end} end`,
    profile: {
      from: bench.datum(end),
      x: waste - long,
      diameter: 2 * NIB,
      to: [{ x: waste + reach, diameter: 2 * NIB }],
    },
    title: `Part the ${end} end down to a nib`,
    tool: 'parting tool',
  });
}

function sawNib(bench: Bench, end: PartEnd): void {
  const { wood, writer } = bench;
  writer.part({
    wood,
    subject: `${end} nib`,
    from: bench.datum(end),
    mm: bench.waste(end),
    into: end === 'reference' ? [null, wood] : [wood, null],
    title: `Saw the nib of the ${end} end and pare it flush`,
    tool: 'fine saw',
  });
}

/** Off the lathe: coats that are put on a standing piece, and what is put in at the end. */
function finishOff(bench: Bench): void {
  coat(bench, false);
  fitIn(bench, 'at the end');
}
