/** The stages of the rail; each finding and step belongs to one. */
export const STAGES = [
  'pattern',
  'stock',
  'drill',
  'mount',
  'mark',
  'turn',
  'surface',
  'assemble',
  'time',
  'run',
  'twins',
] as const;
export type Stage = (typeof STAGES)[number];

export type Severity = 'stop' | 'warn' | 'note';

/**
 * A judgement: how serious, where, what, why and what to do. `what`, `why` and `remedy` are
 * sentences that may carry length marks (see `len`).
 */
export interface Finding {
  id: string;
  severity: Severity;
  stage: Stage;
  partId?: string;
  /** position along the part from its reference end, mm */
  x?: number;
  elementId?: string;
  what: string;
  why: string;
  remedy: string;
  /** nobody may go past it, whatever the reason: nothing would hold the wood */
  final?: true;
  /** why it was gone past; it is a note then */
  past?: string;
}

const RANK: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** Findings with the most serious first, otherwise in the order they were made. */
export const bySeverity = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
