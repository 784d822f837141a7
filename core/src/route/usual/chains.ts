import { len } from '../../measure/index.js';
import { PART_ENDS } from '../../pattern/index.js';
import type { Grip } from '../shop.js';
import type { Bench } from './bench.js';
import { carveTips, cutFree, finishOff, hasNib, nib, nibBetween, stopAndSaw } from './ends.js';
import { refuseHollow } from './hollows.js';
import {
  betweenCentres,
  centre,
  type Between,
  fixtures,
  furtherAxis,
  holdIt,
  liveCentre,
  secondMarks,
} from './holds.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';
import { rough } from './roughing.js';
import { furtherAxes, shapeOne, tryPeg } from './shape.js';
import { stretchWords } from './stretchWords.js';
import { coat, surface } from './surface.js';
import { bearsParting, inTime, tailNib, turnHeld } from './tailEnd.js';
import { turn } from './turn.js';

/** Turned whole between centres; the ends are parted to nibs, the lathe stopped, the nibs sawn and pared. */
export function centresChain(bench: Bench): void {
  turnedToNibs(bench);
  bench.forEach(() => {
    carveTips(bench);
    finishOff(bench);
  });
}

/**
 * Shaped and surfaced between centres, taken off with the lathe standing, the nibs of both ends sawn.
 * @param between what is at the drive and at the tail, where that is not what it is held by afterwards
 */
export function turnedToNibs(bench: Bench, between?: Between): void {
  for (const end of PART_ENDS)
    refuseHollow(
      bench,
      end,
      'and between centres both ends are covered.',
      'Hold it in a chuck, that end at the tail.',
    );
  betweenCentres(bench, between);
  rough(bench, { pass: 'round', squareEndsSawn: true });
  const early = !bearsParting(bench);
  bench.forEach((place) => {
    turn(bench, place === 1 ? inTime(bench, false) : undefined);
    // before the next piece, which carries this one, is thin
    if (early && !bench.isLast) nibBetween(bench);
  });
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
      words: [...secondMarks(bench, axis), 'Turn it by hand once: the far side swings out.'],
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
    if (place === 1) tailNib(bench);
    if (bench.isLast && hasNib(bench, bench.lie.drive)) nib(bench, bench.lie.drive);
    if (!bench.isLast && !early) nibBetween(bench);
  });
  stopAndSaw(bench);
}

/** Held by something of its own that lasts: a thread, a hole, a straight end; the other end is finished without the tail. */
export function ownHoldChain(bench: Bench, by: string, title: string, drive: () => Grip): void {
  holdIt(bench, { by, title, words: fixtures(bench), drive, tail: () => liveCentre(bench), alone: true });
  if (bench.now.body.skins.length === 0) rough(bench, { pass: 'round' });
  refuseHeld(bench);
  if (turnHeld(bench)) {
    bench.writer.takeOff(bench.wood, 'Take it off', undefined, each(MINUTES.tail));
    bench.hold = null;
  } else endOnTail(bench);
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
  betweenCentres(bench, { drive: work.centres.drive });
  rough(bench, { pass: 'round', over: 2, atDrive: tenon.diameter + 1, truedLater: true });
  writer.cut({
    wood,
    kind: 'turn a tenon',
    subject: 'jaws',
    profile: {
      from: bench.datum(lie.drive),
      x: 0,
      diameter: tenon.diameter,
      to: [{ x: tenon.length, diameter: tenon.diameter }],
    },
    title: 'Turn a tenon for the jaws',
    words: [
      `${len(tenon.diameter)} across, ${stretchWords(0, tenon.length, bench.datum(lie.drive))}. Its shoulder square and clean: the jaws sit against it.`,
    ],
    tool: work.parter.name,
    speed: bench.speed('size'),
    minutes: each(MINUTES.tenon),
  });
  writer.takeOff(wood, 'Off the centres', 'centres', each(MINUTES.tail));
  const inward = lie.drive === 'reference' ? 1 : -1;
  const ends = [0, tenon.length].map((mm) => bench.standsAt(lie.drive) + inward * mm);
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
function oneAfterTheOther(bench: Bench, afterShaping: () => void = () => {}): void {
  const { hold } = bench;
  refuseHeld(bench);
  bench.forEach((place) => {
    bench.tailGone = false;
    if (place > 1 && bench.work.mount.tailstock !== null)
      hold?.take('piece', 'Tailstock up again, in the middle of the fresh end');
    if (turnHeld(bench, afterShaping)) partOff(bench);
    else endOnTail(bench);
  });
  bench.hold = null;
  bench.forEach(() => finishOff(bench));
}

/** What does not stand without the tail keeps it to the last: both ends hang on nibs, which are sawn. */
function endOnTail(bench: Bench): void {
  tailNib(bench);
  if (hasNib(bench, bench.lie.drive)) nib(bench, bench.lie.drive);
  stopAndSaw(bench);
  carveTips(bench);
}

/** Its own straight end is turned between centres first: that is what the collet closes on. */
export function colletChain(bench: Bench): void {
  const { lie, work, wood, writer } = bench;
  const { spans } = work.outline;
  const end = lie.drive === 'reference' ? spans[0] : spans.at(-1);
  if (!end) throw new NoWay('It has no end that a collet closes on.', 'Hold it another way.');
  betweenCentres(bench, { drive: work.centres.drive });
  rough(bench, { pass: 'round' });
  shapeOne(bench, end.element.id);
  tryPeg(bench, end.element.id);
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
    kind: 'part off',
    title: 'Part it off',
    words: [
      'Lightly, the other hand open under it; nothing wound round a finger.',
      `Pare its end flush by hand${bench.isCutFinished(bench.lie.drive) ? ', then the finish on it' : ''}${instead}`,
    ],
    tool: bench.work.parter.name,
  });
}

/** Nothing is hollowed at the end that is held. */
const refuseHeld = (bench: Bench): void =>
  refuseHollow(
    bench,
    bench.lie.drive,
    'which is the one that is held.',
    'Turn it end for end in the way of holding.',
  );
