import type { Place } from '../workshop/index.js';
import { doesOf, kindRow } from './kinds/operationKinds.js';
import { meetsInTurns } from './meets.js';
import type { Lengths, Operation, Route } from './operation.js';
import type { Played } from './play.js';
import { profileWords } from './profileWords.js';
import type { Held, Shop } from './shop.js';
import { stepDoes } from './stepDoes.js';
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
      trialFit: doesOf(operation.kind) === 'try',
      ...(way ? { meets: way } : {}),
      ...(site.perBlank === 1 ? {} : { share: { place: operation.place ?? null, of: site.perBlank } }),
      operation,
    };
  });
  return inRuns(drafts.map(besideItsBit), played);
}

/** Into and out of the vise is done with the bit that is in the press: no set-up lies between. */
function besideItsBit(step: Step, i: number, all: readonly Step[]): Step {
  if (!stepDoes(step, 'hold') || step.setup.place !== 'drill press') return step;
  const near = letsGo(step)
    ? all.slice(0, i).findLast((s) => stepDoes(s, 'bore'))
    : all.slice(i).find((s) => stepDoes(s, 'bore'));
  return near?.setup.place === 'drill press' ? { ...step, setup: near.setup } : step;
}

const letsGo = ({ operation }: Step): boolean =>
  operation?.effects.some((e) => e.do === 'hold' && e.held === null) === true;

/** Taking hold belongs to what follows, letting go to what was done in the hold. */
function phasesOf(steps: readonly Step[]): string[] {
  const phases = steps.map((s) => (stepDoes(s, 'hold') ? null : phaseOf(s)));
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
  const turned = steps.findIndex(
    (s) => s.setup.place === 'lathe' && s.operation?.effects.some((e) => e.do === 'cut'),
  );
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
  const bit = doesOf(operation.kind) === 'bore' && operation.tool !== undefined ? `${operation.tool}, ` : '';
  return {
    place: held.place,
    holding: `${bit}${held.drive.words}`,
    drive: held.drive.by,
    tailstock: held.place !== 'lathe' ? 'not used' : held.tail ? 'up' : tail ? 'away' : 'not used',
    ...(held.place === 'lathe' && fixtures.length > 0 ? { fixtures: [...fixtures] } : {}),
  };
}

/** Where it is done when nothing holds it. */
const onBench = ({ kind }: Operation): SetupState => ({
  ...(kindRow(kind).unheld ?? { place: 'bench', holding: 'bench' }),
  tailstock: 'not used',
});

/** The longest wait that an operation begins, for what people plan their day by. */
function waitOf({ effects }: Operation): Wait | null {
  const waits = effects.flatMap((e) => (e.do === 'wait' ? [e.wait] : []));
  return waits.reduce<Wait | null>((longest, { what, minutes }) => {
    const most = Math.max(0, ...Object.values(minutes));
    return most > (longest?.minutes ?? 0) ? { minutes: most, what } : longest;
  }, null);
}
