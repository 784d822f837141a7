import { len, type Finding } from '../measure/index.js';
import { slimmestOf, type Outline, type Part } from '../pattern/index.js';
import type { Workshop } from '../workshop/index.js';
import type { StockForm } from './centring.js';
import { heldHow, type Mount } from './mount.js';
import { sweeps } from './swing.js';
import { TAPE_SAFETY, tapeHold, type TapeHold } from './tapeHold.js';

/** Slenderness above which an unsupported, and a supported, piece whips (bench practice). */
const SLENDER_FREE = 4;
const SLENDER_HELD = 12;

/** What is held, as the lathe must take it: blank in mm, mass in g. */
export interface HeldWork {
  part: Part;
  outline: Outline;
  /** the blank; what it is made of, where that has no corners */
  blank: { section: number; diagonal: number; length: number; stock?: StockForm };
  /** of the blank, g */
  mass: number;
  /** fastest it will turn, rpm; null on a lathe without a motor */
  rpm: number | null;
  /** the deepest hole drilled with the bit in the tailstock, and that bit's length, mm */
  tailDrill: { depth: number; bit: number } | null;
}

/**
 * Whether the lathe can take it: what is missing, swing over bed and rest, the stack between the centres,
 * room and travel for a bit in the tailstock, what sweeps off the axis, overhang, slenderness, tape.
 */
export function mountFindings(mount: Mount, work: HeldWork, workshop: Workshop): Finding[] {
  const partId = work.part.id;
  const missing: Finding[] = mount.missing.map((what) => ({
    id: `mount.missing.${partId}.${what}`,
    severity: 'stop',
    stage: 'mount',
    partId,
    what: `The workshop has no ${what.replace(/^an? /, '')}.`,
    why: `Held ${heldHow(mount)}, the work needs it.`,
    remedy: 'Choose another way to hold the work, or add it to the workshop.',
  }));
  const found: Said[] = [
    ...fitSaid(mount, workshop),
    ...swingSaid(work, workshop),
    ...roomSaid(mount, work, workshop),
    ...stiffnessSaid(mount, work, workshop),
    ...tapeSaid(mount, work),
  ];
  return [
    ...missing,
    ...found.map(([id, severity, what, why, remedy]): Finding => ({
      id: `mount.${id}.${partId}`,
      severity,
      stage: 'mount',
      partId,
      what,
      why,
      remedy,
    })),
  ];
}

type Said = [id: string, severity: Finding['severity'], what: string, why: string, remedy: string];

/** As threads and tapers are written: without blanks, in one kind of cross. */
const plainName = (name: string): string => name.toLowerCase().replace(/[\s"]/g, '').replace(/×/g, 'x');

/** Whether what goes on the spindle and into the tailstock fits there. */
function fitSaid({ fits = [] }: Mount, { lathe }: Workshop): Said[] {
  const has = [lathe.spindleThread, lathe.taper].filter((name) => name !== '');
  if (has.length === 0) return [];
  return fits
    .filter(({ fits: wants }) => !has.some((name) => plainName(name) === plainName(wants)))
    .map(({ what, fits: wants }): Said => [
      `fits.${plainName(what)}`,
      'stop',
      `${what} wants ${wants}; the lathe has ${has.join(' and ')}.`,
      'It cannot be put on.',
      'Get an adapter and count its length, or hold it in another way.',
    ]);
}

function swingSaid({ part, outline, blank }: HeldWork, { lathe }: Workshop): Said[] {
  const said: Said[] = [];
  const check = (id: string, sweep: number, what: string) => {
    if (sweep > lathe.swing)
      said.push([
        id,
        'stop',
        `${what} sweeps ${len(sweep)}, the lathe swings ${len(lathe.swing)}.`,
        'It would strike the bed.',
        'Use a larger lathe or a thinner pattern.',
      ]);
    else if (lathe.overRest !== undefined && sweep > lathe.overRest)
      said.push([
        `${id}.rest`,
        'warn',
        `${what} sweeps ${len(sweep)}, over the rest's banjo only ${len(lathe.overRest)} pass.`,
        'It would strike the banjo where it stands under the work.',
        `Keep the banjo beyond the end of the work${blank.stock ? '' : ', or saw the corners off first'}.`,
      ]);
  };
  check('swing', blank.diagonal, 'The blank');
  for (const sweep of sweeps(part, outline, blank.diagonal / 2)) {
    check(`sweep.${sweep.turningId}`, sweep.diameter, 'Off its axis the work');
    said.push([
      `clear.${sweep.turningId}`,
      'note',
      `On its further axis it sweeps ${len(sweep.diameter)}, widest at ${len(sweep.x)}.`,
      'What runs off the axis cannot be seen while it turns.',
      'Rest clear of it by a finger, turned by hand once round; slowest speed, stand out of its plane.',
    ]);
  }
  return said;
}

function roomSaid(mount: Mount, { blank, tailDrill }: HeldWork, { lathe, fixtures = [] }: Workshop): Said[] {
  const said: Said[] = [];
  const total = blank.length + mount.reach;
  if (total > lathe.betweenCentres)
    said.push([
      'bed',
      'stop',
      `Blank and fixture take ${len(total)}, the lathe ${len(lathe.betweenCentres)} between centres.`,
      'It does not fit between the centres.',
      'Fewer pieces in one blank, or a shorter fixture.',
    ]);
  if (!tailDrill) return said;
  const drillChuck = fixtures.find((f) => f.kind === 'drill chuck');
  const drilling = total + tailDrill.bit + (drillChuck?.length ?? 0);
  if (drilling > lathe.betweenCentres)
    said.push([
      'drillroom',
      'warn',
      `With the bit in the tailstock ${len(drilling)} are taken of ${len(lathe.betweenCentres)}.`,
      'The tailstock would run off the bed before the bit is clear of the work.',
      'Drill it in the press while it is square, or start with a shorter bit.',
    ]);
  if (!drillChuck)
    said.push([
      'drillchuck',
      'warn',
      'The workshop has no drill chuck for the tailstock.',
      'Drilling with the bit in the tailstock needs one.',
      'Add it under Holding, or choose the drill press.',
    ]);
  if (lathe.quillTravel !== undefined && tailDrill.depth > lathe.quillTravel)
    said.push([
      'quill',
      'note',
      `The quill goes out ${len(lathe.quillTravel)}, the hole is ${len(tailDrill.depth)} deep.`,
      'It has to be drilled in more than one go.',
      `Wind back, loosen the tailstock, push it up until the bit is at the bottom, lock it and go on: ${Math.ceil(tailDrill.depth / lathe.quillTravel)} goes.`,
    ]);
  return said;
}

function stiffnessSaid(mount: Mount, { outline, blank }: HeldWork, { fixtures = [] }: Workshop): Said[] {
  const steady = fixtures.find((f) => f.kind === 'steady');
  const slender = blank.length / slimmestOf(outline).diameter;
  if (mount.tailstock === null && slender > SLENDER_FREE)
    return [
      [
        'overhang',
        'warn',
        `It stands out ${len(blank.length)} without a tailstock.`,
        `That is ${slender.toFixed(1)} times its thinnest place; above ${SLENDER_FREE} it chatters.`,
        'Bring up a live centre, or take light cuts towards the chuck.',
      ],
    ];
  if (mount.tailstock !== null && slender > SLENDER_HELD)
    return [
      [
        'slender',
        'warn',
        `It is ${slender.toFixed(1)} times longer than its thinnest place.`,
        `Above ${SLENDER_HELD} it whips between centres.`,
        steady
          ? `Little tailstock force, light cuts, ${steady.name} behind the middle of the work.`
          : 'Little tailstock force, light cuts, fingers or a steady behind the work.',
      ],
    ];
  return [];
}

/** What a taped face holds at the speed planned; null when nothing is taped. */
export function tapedHold(mount: Mount, { blank, mass, rpm }: HeldWork): TapeHold | null {
  return mount.taped === undefined ? null : tapeHold(mount.taped, blank.section, mass, rpm ?? 0);
}

function tapeSaid(mount: Mount, work: HeldWork): Said[] {
  const hold = tapedHold(mount, work);
  if (!hold || hold.safety >= TAPE_SAFETY) return [];
  return [
    [
      'tape',
      hold.safety < 1 ? 'stop' : 'warn',
      `The tape holds ${hold.safety.toFixed(1)} times what a light cut pulls.`,
      `Below ${TAPE_SAFETY} times a catch tears it off.`,
      'Keep the live centre up, slow down, or hold it by a tenon.',
    ],
  ];
}
