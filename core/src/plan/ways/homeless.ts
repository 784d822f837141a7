import { len, minutesInWords, type Finding, type Stage } from '../../measure/index.js';
import {
  FINISH_CURE,
  type Decision,
  type DecisionKind,
  type DecisionOf,
  type StepName,
} from '../../workshop/index.js';
import { WAY_SCOPES, type ScopedWay } from './ownWays.js';

/** The stage in which each kind of thing is decided. */
const STAGE_OF: Record<DecisionKind, Stage> = {
  tool: 'turn',
  before: 'turn',
  grits: 'surface',
  speed: 'turn',
  pace: 'turn',
  bit: 'drill',
  depth: 'drill',
  cure: 'assemble',
  minutes: 'turn',
  waste: 'stock',
  extra: 'turn',
  without: 'turn',
  hold: 'mount',
  finish: 'surface',
  fitting: 'assemble',
  drill: 'drill',
  form: 'stock',
  unmarked: 'mark',
  datum: 'mark',
  past: 'turn',
  usual: 'turn',
};

/** What was decided and has nothing left that it is about: said, and kept until somebody takes it back. */
export const homelessFindings = (partId: string, homeless: readonly ScopedWay[]): Finding[] =>
  homeless.map(({ way, scope }) => ({
    id: `own.homeless.${partId}.${way.id}`,
    severity: 'warn',
    stage: STAGE_OF[way.decides.kind],
    partId,
    what: `Decided for ${WAY_SCOPES[scope]} and without a place: ${decisionWords(way.decides)}.`,
    why: 'What it is about is not there any more, or the workshop no longer has what it asks for.',
    remedy: 'Take it back, or decide it anew.',
  }));

/** What something is called by its id. */
type Called = (id: string) => string;
const asItIs: Called = (id) => id;

const named = (on: StepName, called: Called): string =>
  on.kind === 'step' ? `“${called(on.id)}”` : `every ${on.of ?? ''} ${on.does}`.replaceAll('  ', ' ');

/** A decision in words, with what its ids are called. */
export function decisionWords(decision: Decision, called: Called = asItIs): string {
  const all = (ids: readonly string[]) => ids.map(called).join(', ');
  switch (decision.kind) {
    case 'tool':
      return `${called(decision.toolId)} for ${named(decision.on, called)}`;
    case 'before':
      return `${all(decision.first)} before ${all(decision.then)}`;
    case 'grits':
      return gritWords(decision);
    case 'speed':
      return `${decision.rpm} rpm to ${decision.stage}`;
    case 'pace':
      return `${decision.rpm} rpm for ${named(decision.on, called)}`;
    case 'bit':
      return `${called(decision.bitId)} for the ${called(decision.boreId)}`;
    case 'depth':
      return `the ${called(decision.holeId)} ${len(decision.mm)} deep`;
    case 'cure':
      return `${decision.of === FINISH_CURE ? 'the finish' : called(decision.of)}: ${minutesInWords(decision.minutes)} to cure`;
    case 'minutes':
      return `${minutesInWords(decision.minutes)} for ${named(decision.on, called)}`;
    case 'waste':
      return `${len(decision.mm)} of waste at the ${decision.end}`;
    case 'extra':
      return `own step “${decision.step.title}”`;
    case 'without':
      return `without ${named(decision.on, called)}`;
    case 'hold':
      return `held by: ${decision.mount}`;
    case 'finish':
      return decision.finishId === null ? 'no finish' : `finished with ${called(decision.finishId)}`;
    case 'fitting':
      return `hardware fitted: ${decision.way}`;
    case 'drill':
      return `the ${called(decision.holeId)} drilled: ${decision.moment}, ${decision.setup}`;
    case 'form':
      return `made of ${decision.stockForm} stock`;
    case 'unmarked':
      return `no mark for ${called(decision.markId)}`;
    case 'datum':
      return `marked from ${called(decision.markId)}`;
    case 'past':
      return 'a Stop gone past';
    case 'usual':
      return 'as usual this time';
  }
}

/** What is put in or left out is done instead of nothing. */
export const hasUsual = ({ kind }: Decision): boolean =>
  kind !== 'without' && kind !== 'unmarked' && kind !== 'extra';

function gritWords({ grits, burnish }: DecisionOf<'grits'>): string {
  const sanded =
    grits.length === 0 ? 'no sanding' : `sanded ${grits.map((g) => `${g.scale}${g.grit}`).join(', ')}`;
  return burnish ? `${sanded}, burnished with its shavings` : sanded;
}
