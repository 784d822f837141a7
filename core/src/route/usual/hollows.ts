import { len } from '../../measure/index.js';
import { wallOf, type Hollow, type Outline, type PartEnd } from '../../pattern/index.js';
import { saidOf } from '../saidProfile.js';
import type { TurningStage } from '../../measure/index.js';
import type { SetSpeed } from '../say/operationOf.js';
import { overAll } from '../say/face.js';
import type { Bench } from './bench.js';
import { everyGrit } from './grits.js';
import { furtherAxis } from './holds.js';
import { each, MINUTES } from './minutes.js';
import { NoWay } from './noWay.js';

/** Those that open there; one whose profile is still empty is no hollow yet. */
const opening = ({ work }: Bench, opens: Hollow['opens']): Hollow[] =>
  (work.part.hollows ?? []).filter((h) => h.opens === opens && wallOf(h).length > 0);

/** Minutes to hollow and to rub it out: so much to begin it, and by the area of its wall. */
function minutesOf(wall: Outline, perCm2: number): number {
  const area = wall.segments.reduce(
    (sum, s) => sum + Math.PI * (s.r0 + s.r1) * Math.hypot(s.x1 - s.x0, s.r1 - s.r0),
    0,
  );
  return MINUTES.shape + (perCm2 * area) / 100;
}

/** The end that is free is hollowed while the other one is held: nothing stands in its way. */
export function hollowEnd(bench: Bench, end: PartEnd): void {
  const { wood, writer } = bench;
  for (const hollow of opening(bench, end)) {
    const wall = wallOf(hollow);
    writer.cut({
      wood,
      kind: 'hollow',
      subject: hollow.id,
      profile: saidOf(wall.segments, bench.datum(end), { x: 0, runs: 1 }),
      title: `Hollow the ${hollow.name}`,
      words: [
        `Drill its depth first, ${len(wall.length)} from the end, tape on the bit; then from the middle outwards, light cuts, the rest close.`,
      ],
      tool: toolFor(wall),
      speed: bench.speed('shape'),
      minutes: each(minutesOf(wall, MINUTES.hollowPerCm2)),
    });
    rubOut(bench, hollow, wall, true);
  }
}

/**
 * A hollow in a side is cut when all else is done: the piece lies across in jaws cut to its outside, its face
 * outwards. The flat of its rim comes first, its depths are told from there.
 */
export function hollowSides(bench: Bench): void {
  const { wood, work, writer } = bench;
  for (const hollow of opening(bench, 'side')) {
    const { axis, rim, name, id } = hollow;
    if (!axis || !rim) continue;
    if (Math.abs(axis.tilt - 90) > 1e-6)
      throw new NoWay(
        `The ${name} opens neither in an end nor straight across: no hold of this workshop brings its axis on the lathe.`,
        'Let its axis stand across, at 90°.',
      );
    const wall = wallOf(hollow);
    const along = axis.along?.mm ?? 0;
    const span = work.outline.spans.find((s) => s.x0 <= along + 1e-6 && s.x1 >= along - 1e-6 && s.x1 > s.x0);
    const on = span && bench.amid(span);
    if (!on)
      throw new NoWay(
        `Where the ${name} lies nothing round is left that jaws could be cut to.`,
        'Move it to where the piece is turned.',
      );
    writer.hold({
      wood,
      by: 'wooden jaws',
      pass: id,
      place: 'lathe',
      axis: { ...furtherAxis(bench, { ...axis, shift: { mm: 0 } }) },
      drive: { by: 'wooden jaws', words: 'wooden jaws cut to its outside', on },
      tail: null,
      keepsTrue: false,
      title: `In the wooden jaws, the face of the ${name} outwards`,
      words: [
        ...(work.coats.some((c) => c.turning) ? ['Line the jaws with cloth: the outside is finished.'] : []),
        'What stands out beyond the jaws sweeps: turn it by hand once, rest locked, stand clear.',
        ...bench.firstStart('it sweeps'),
      ],
      minutes: each(2 * MINUTES.mount),
    });
    writer.flatAcross({
      wood,
      subject: `${id}.rim`,
      above: rim.mm + axis.shift.mm,
      title: `Face the rim of the ${name} flat`,
      words: [
        `Until it measures ${len(overAll(writer.shop, wood, rim.mm + axis.shift.mm))} over all, from its back to the rim.`,
      ],
      tool: 'gouge, light cuts',
      speed: swept(bench, id, 'rough'),
      minutes: each(2 * MINUTES.face),
    });
    writer.cut({
      wood,
      kind: 'hollow',
      subject: id,
      profile: saidOf(
        wall.segments,
        { kind: 'flat', id: `face:${writer.named(`${id}.rim`)}` },
        { x: 0, runs: 1 },
      ),
      title: `Hollow the ${name}`,
      words: [
        `${len(wall.length)} deep from its rim; from the rim in, lightly: the piece is slight beside the jaws.`,
      ],
      tool: toolFor(wall),
      speed: swept(bench, id, 'rough'),
      minutes: each(minutesOf(wall, MINUTES.hollowPerCm2)),
    });
    rubOut(bench, hollow, wall, false);
    finishInside(bench, hollow);
    writer.takeOff(wood, 'Out of the wooden jaws', id, each(MINUTES.tail));
  }
}

/** The speed of what lies across: by the circle that its farther end sweeps. */
function swept({ work }: Bench, id: string, turns: TurningStage): SetSpeed | null {
  const found = work.sweptSpeeds.get(id)?.find((s) => s.stage === turns);
  return found ? { turns, words: found.words, ...(found.rpm === null ? {} : { rpm: found.rpm }) } : null;
}

/** What is wider inside than at its mouth is reached round the corner only. */
const toolFor = ({ segments }: Outline): string =>
  segments.some((s) => Math.max(s.r0, s.r1) > (segments[0]?.r0 ?? 0) + 0.05)
    ? 'hooked scraper'
    : 'round scraper';

/** Inside as outside, grit by grit; a folded strip, never a finger. */
function rubOut(bench: Bench, { id, name }: Hollow, wall: Outline, inEnd: boolean): void {
  const { wood, work, writer } = bench;
  const skin = bench.now.body.skins.find((s) => s.id === `hollow:${writer.named(id)}`);
  if (work.sanding.length === 0 || !skin) return;
  const grits = everyGrit(work);
  const middle = skin.axis.at[0] - (bench.lie.before - bench.waste('reference'));
  const reach = inEnd ? wall.length : Math.max(...wall.segments.flatMap((s) => [s.r0, s.r1]));
  writer.treat({
    wood,
    kind: 'sand inside',
    subject: id,
    pass: 'inside',
    from: bench.datum('reference'),
    stretches: [{ on: [{ of: 'skin', id: skin.id }], x0: middle - reach, x1: middle + reach }],
    figure: grits.figure,
    title: `Sand the ${name}`,
    words: [
      `${grits.listed}, on a pad or a folded strip: nothing wound round a finger, no finger in it while it turns.`,
    ],
    speed: inEnd ? bench.speed('sand') : swept(bench, id, 'sand'),
    minutes: each(minutesOf(wall, MINUTES.hollowSandPerCm2)),
  });
}

/** The outside had its finish while it turned: the bowl came after that. */
function finishInside(bench: Bench, { id, name }: Hollow): void {
  const { wood, work, writer } = bench;
  const turning = work.coats.filter((c) => c.turning);
  if (turning.length === 0) return;
  writer.treat({
    wood,
    kind: 'coat',
    subject: id,
    pass: 'inside',
    from: bench.datum('reference'),
    stretches: [
      {
        on: [{ of: 'skin', id: `hollow:${writer.named(id)}` }],
        x0: bench.from(0),
        x1: bench.from(work.outline.length),
      },
    ],
    title: `Finish the ${name} as the outside`,
    words: [`Put on ${turning.map((c) => c.name).join(', then ')}, on a pad.`],
    speed: swept(bench, id, 'finish slow'),
    minutes: each(turning.reduce((sum, c) => sum + c.minutes, 0)),
  });
}

/** A way of holding in which an end is covered cannot hollow it. */
export function refuseHollow(bench: Bench, end: PartEnd, why: string, remedy: string): void {
  const [hollow] = opening(bench, end);
  if (hollow) throw new NoWay(`The ${hollow.name} opens in the ${end} end, ${why}`, remedy);
}
