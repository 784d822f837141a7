import { len } from '../measure/index.js';
import type { Place } from '../workshop/index.js';
import { datumPlace, type DatumPlace } from './datum.js';
import { meetsInTurns } from './meets.js';
import type { Lengths, Operation, Route, Said } from './operation.js';
import type { Played } from './play.js';
import { woodOf, type Held, type Shop, type Wood } from './shop.js';
import { setupKey, type SetupState, type Step, type Wait } from './step.js';

/** What of the workshop decides how operations are grouped and counted. */
export interface StepSite {
  partId: string;
  /** pieces that lie in one blank */
  perBlank: number;
  /** what must be on the lathe beside what holds */
  fixtures: readonly string[];
  /** the tailstock is used for this way of holding */
  tail: boolean;
  /** minutes to set a place up */
  setups: Record<Place, number>;
  /** minutes to put a piece back on the lathe */
  remount: number;
  lengths: Lengths;
}

/** Holds that a piece can be taken out of and put back into without losing its axis. */
const COMES_BACK: ReadonlySet<Held['drive']['by']> = new Set([
  'spur centre',
  'ring centre',
  'thread',
  'through rod',
  'dowel',
  'friction face',
  'vise',
  'fed by hand',
]);

/** The operations of a route as they are done and recorded: what must come before is what they need, nothing else. */
export function stepsOf(route: Route, played: Played, site: StepSite): Step[] {
  const drafts = route.operations.map((operation, i): Step => {
    const before = played.before[i] ?? played.end;
    const after = played.before[i + 1] ?? played.end;
    const setup = setupOf(operation, before, after, site);
    const way = meetsInTurns(operation, before);
    return {
      id: operation.id,
      partId: site.partId,
      stage: operation.stage,
      title: operation.title,
      words: [...operation.words, ...profileWords(operation, before, site.lengths)],
      setup,
      speed: operation.speed ?? null,
      setupMinutes: site.setups[setup.place],
      minutes: operation.minutes.each,
      remountMinutes: setup.place === 'lathe' ? site.remount : 0,
      wait: waitOf(operation),
      locks: (played.locks.get(operation.id) ?? []).map(({ op, need, minutes = 0 }) => ({
        stepId: op,
        reason: `${need}.`,
        minutes,
      })),
      timers: operation.timers ?? [],
      measures: operation.measures ?? [],
      against: operation.kind === 'measure' ? 'finished' : 'cut',
      trialFit: operation.kind === 'try',
      ...(way ? { meets: way } : {}),
      ...(site.perBlank === 1 ? {} : { share: { place: operation.place ?? null, of: site.perBlank } }),
      operation,
    };
  });
  return inRuns(drafts.map(besideItsBit), played);
}

/** Into and out of the vise is done with the bit that is in the press: no set-up lies between. */
function besideItsBit(step: Step, i: number, all: readonly Step[]): Step {
  if (step.operation?.kind !== 'hold' || step.setup.place !== 'drill press') return step;
  const near = letsGo(step)
    ? all.slice(0, i).findLast((s) => s.operation?.kind === 'bore')
    : all.slice(i).find((s) => s.operation?.kind === 'bore');
  return near?.setup.place === 'drill press' ? { ...step, setup: near.setup } : step;
}

const letsGo = ({ operation }: Step): boolean =>
  operation?.effects.some((e) => e.do === 'hold' && e.held === null) === true;

/** Taking hold belongs to what follows, letting go to what was done in the hold. */
function phasesOf(steps: readonly Step[]): string[] {
  const phases = steps.map((s) => (s.operation?.kind === 'hold' ? null : phaseOf(s)));
  return steps.map((step, i) => {
    const own = phases[i];
    if (own) return own;
    const near = letsGo(step)
      ? phases.slice(0, i).findLast((p) => p !== null)
      : phases.slice(i).find((p) => p !== null);
    return near ?? 'turn';
  });
}

/** Steps of one set-up and one kind of work are one run; what loses its axis when it comes off stays on to the end. */
function inRuns(steps: readonly Step[], { before, end }: Played): Step[] {
  const turned = steps.findIndex((s) => s.setup.place === 'lathe' && s.operation?.kind === 'cut');
  const phases = phasesOf(steps);
  let run = 0;
  return steps.map((step, i) => {
    const last = steps[i - 1];
    const held = before[i]?.held ?? (before[i + 1] ?? end).held;
    const stays = held !== null && held.place === 'lathe' && !COMES_BACK.has(held.drive.by);
    const same =
      last !== undefined &&
      setupKey(last.setup) === setupKey(step.setup) &&
      // what dries is put away meanwhile: the next piece goes on
      (stays || (phases[i - 1] === phases[i] && last.wait === null));
    if (i > 0 && !same) run++;
    return { ...step, run, prepares: turned < 0 || i < turned };
  });
}

/** What kind of work it is, as somebody who does one thing on all pieces would part it. */
const phaseOf = ({ stage }: Step): string => (stage === 'mark' || stage === 'mount' ? 'turn' : stage);

function setupOf(operation: Operation, before: Shop, after: Shop, { fixtures, tail }: StepSite): SetupState {
  const held = after.held ?? before.held;
  if (operation.at !== undefined && operation.at !== held?.place)
    return { place: operation.at, holding: operation.at, tailstock: 'not used' };
  if (!held) return onBench(operation);
  const bit = operation.kind === 'bore' && operation.tool !== undefined ? `${operation.tool}, ` : '';
  return {
    place: held.place,
    holding: `${bit}${held.drive.words}`,
    drive: held.drive.by,
    tailstock: held.place !== 'lathe' ? 'not used' : held.tail ? 'up' : tail ? 'away' : 'not used',
    ...(held.place === 'lathe' && fixtures.length > 0 ? { fixtures: [...fixtures] } : {}),
  };
}

/** Where it is done when nothing holds it. */
function onBench({ kind, effects }: Operation): SetupState {
  const at = (place: Place, holding: string): SetupState => ({ place, holding, tailstock: 'not used' });
  switch (kind) {
    case 'saw':
      return at('saw', effects.some((e) => e.do === 'stock') ? 'fence and stop' : 'corner cradle');
    case 'cut':
      return effects.some((e) => e.do === 'flat') ? at('saw', 'fence and stop') : at('bench', 'bench');
    case 'measure':
      return at('bench', 'calliper');
    case 'treat':
      return at('bench', 'finishing');
    default:
      return at('bench', 'bench');
  }
}

/** The longest wait that an operation begins, for what people plan their day by. */
function waitOf({ effects }: Operation): Wait | null {
  const waits = effects.flatMap((e) => (e.do === 'wait' ? [e.wait] : []));
  return waits.reduce<Wait | null>((longest, { what, minutes }) => {
    const most = Math.max(0, ...Object.values(minutes));
    return most > (longest?.minutes ?? 0) ? { minutes: most, what } : longest;
  }, null);
}

/** What a shape is turned to, place by place, from the end that stands now: what is cut is what stands here. */
function profileWords(operation: Operation, before: Shop, lengths: Lengths): string[] {
  if (operation.doing !== 'shape' && operation.doing !== 'hollow') return [];
  const from = operation.said.find((s) => s.from !== null);
  const wood = woodOf(before, operation.on[0] ?? '');
  const place = from?.from && wood ? datumPlace(wood, from.from, lengths) : null;
  const stops = stopsOf(operation.said);
  const [only] = stops;
  if (stops.length < 2 || !only || !place || !wood) return [];
  const begins = `From ${place.words}${beforeFinished(wood, place, operation.place)}`;
  return inGroups(told(stops)).map(
    (group, i) => `${i === 0 ? begins : 'On from there'}: ${group.map(stopWords).join(' → ')}.`,
  );
}

/** So many places are read at a time, the last of one group being the first of the next. */
const IN_GROUP = 5;
const inGroups = (stops: Stop[]): Stop[][] =>
  Array.from({ length: Math.max(1, Math.ceil((stops.length - 1) / (IN_GROUP - 1))) }, (_, i) =>
    stops.slice(i * (IN_GROUP - 1), i * (IN_GROUP - 1) + IN_GROUP),
  );

/** A curve that stands off by less than this is read as straight, mm. */
const STRAIGHT = 0.05;

function stopWords({ x, across, off }: Stop): string {
  const curve = Math.abs(off) < STRAIGHT ? '' : ` (${off > 0 ? 'round' : 'hollow'} by ${len(Math.abs(off))})`;
  return `${len(x)} ⌀ ${len(across)}${curve}`;
}

/** How far the finished end lies behind the one that is measured from, while waste still stands before it. */
function beforeFinished({ pieces }: Wood, { at }: DatumPlace, place = 1): string {
  const piece = pieces.find((p) => p.n === place) ?? pieces[0];
  const waste = piece ? (piece.at.at[0] - at.at[0]) * at.along[0] : 0;
  return waste > 0.05 && at.along[0] > 0 ? `, ${len(waste)} before the finished one` : '';
}

/** What stands off the straight by so much is a curve of its own, not one of the many arcs of a flowing one; mm. */
const OWN_CURVE = 0.5;

/**
 * Of a flowing curve, which is made of many short arcs, only its ends and the places where it turns are told; beads and
 * coves are told each.
 */
function told(stops: Stop[]): Stop[] {
  if (stops.length <= IN_GROUP) return stops;
  const rises = (i: number) => Math.sign((stops[i]?.across ?? 0) - (stops[i - 1]?.across ?? 0));
  const own = (i: number) => Math.abs(stops[i]?.off ?? 0) >= OWN_CURVE;
  const last = stops.length - 1;
  const chosen = stops.flatMap((_, i) =>
    i === 0 || i === last || own(i) || own(i + 1) || rises(i) !== rises(i + 1) ? [i] : [],
  );
  return chosen.flatMap((i, n) => {
    const stop = stops[i];
    // of a stretch that was left out in part nobody can say by how much it stands off
    const whole = i === 0 || chosen[n - 1] === i - 1;
    return stop ? [whole ? stop : { ...stop, off: 0 }] : [];
  });
}

/** A place of a profile as it is said, and how far the stretch up to it stands off the straight; hollow below 0. mm */
interface Stop {
  x: number;
  across: number;
  off: number;
}

function stopsOf(said: readonly Said[]): Stop[] {
  return said.flatMap(({ name, mm }, i) => {
    if (name !== 'from' && name !== 'to') return [];
    const curve = said[i + 2];
    const off = curve?.name === 'round by' ? curve.mm : curve?.name === 'hollow by' ? -curve.mm : 0;
    return [{ x: mm, across: said[i + 1]?.mm ?? 0, off }];
  });
}
