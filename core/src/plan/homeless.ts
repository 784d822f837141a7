import type { Finding, Stage } from '../measure/index.js';
import type { Decision, DecisionKind, StepName } from '../workshop/index.js';
import { WAY_SCOPES, type ScopedWay } from './ownWays.js';

/** The stage in which each kind of thing is decided. */
export const STAGE_OF: Record<DecisionKind, Stage> = {
  tool: 'turn',
  before: 'turn',
  grits: 'surface',
  speed: 'turn',
  bit: 'drill',
  depth: 'drill',
  cure: 'assemble',
  minutes: 'turn',
  waste: 'stock',
  extra: 'turn',
  without: 'turn',
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

const named = (on: StepName): string =>
  on.kind === 'step' ? `“${on.id}”` : `${on.of ?? ''} ${on.does}`.trim();

/** A decision in words, as it can be said without the plan it belongs to. */
export function decisionWords(decision: Decision): string {
  switch (decision.kind) {
    case 'tool':
      return `another tool for ${named(decision.on)}`;
    case 'before':
      return `${decision.first.join(', ')} cut before ${decision.then.join(', ')}`;
    case 'grits':
      return decision.grits.length === 0
        ? `no sanding${decision.burnish ? ', burnished' : ''}`
        : `sanded ${decision.grits.map((g) => `${g.scale}${g.grit}`).join(', ')}${decision.burnish ? ', burnished' : ''}`;
    case 'speed':
      return `${decision.rpm} rpm to ${decision.stage}`;
    case 'bit':
      return `another bit for ${decision.boreId}`;
    case 'depth':
      return `${decision.holeId} ⟦${decision.mm}⟧ deep`;
    case 'cure':
      return `${decision.of} cures ${decision.minutes} min`;
    case 'minutes':
      return `${decision.minutes} min for ${named(decision.on)}`;
    case 'waste':
      return `⟦${decision.mm}⟧ of waste at the ${decision.end}`;
    case 'extra':
      return `own step “${decision.step.title}”`;
    case 'without':
      return `without ${named(decision.on)}`;
    case 'past':
      return 'a Stop gone past';
    case 'usual':
      return 'as usual';
  }
}
