import type { Finding } from '../measure/index.js';
import type { RunEvent } from './event.js';
import type { Step } from '../route/index.js';

/**
 * Events that do not go together, as findings: work on a piece after it was rejected, a step done
 * before what locks it and without an override. They are kept as they came; somebody has to look.
 */
export function contradictions(steps: readonly Step[], events: readonly RunEvent[]): Finding[] {
  const byPiece = new Map<number, RunEvent[]>();
  for (const event of [...events].sort((a, b) => a.at.localeCompare(b.at) || a.sequence - b.sequence))
    byPiece.set(event.piece, [...(byPiece.get(event.piece) ?? []), event]);
  return [...byPiece].flatMap(([piece, own]) => [
    ...afterRejection(piece, own),
    ...outOfOrder(piece, own, steps),
  ]);
}

function afterRejection(piece: number, events: RunEvent[]): Finding[] {
  const at = events.findIndex((e) => e.body.kind === 'rejected');
  const later =
    at < 0
      ? undefined
      : events.slice(at + 1).find((e) => e.body.kind === 'done' || e.body.kind === 'measured');
  if (!later) return [];
  return [
    finding(
      `run.rejected.${piece}`,
      `Piece ${piece} was worked on after it was rejected.`,
      `${later.device} recorded it after the rejection.`,
      'Look whether the right piece was rejected.',
    ),
  ];
}

function outOfOrder(piece: number, events: RunEvent[], steps: readonly Step[]): Finding[] {
  const done = new Set<string>();
  const overridden = new Set<string>();
  const findings: Finding[] = [];
  for (const { body, device } of events) {
    if (body.kind === 'overridden') overridden.add(body.stepId);
    if (body.kind === 'reopened') done.delete(body.stepId);
    if (body.kind !== 'done') continue;
    const step = steps.find((s) => s.id === body.stepId);
    const missing = step?.locks.find((lock) => !done.has(lock.stepId));
    if (step && missing && !overridden.has(step.id))
      findings.push(
        finding(
          `run.order.${piece}.${step.id}`,
          `Piece ${piece}: ${step.title} was done before ${steps.find((s) => s.id === missing.stepId)?.title ?? missing.stepId}.`,
          `${device} recorded it so, perhaps while it had no connection: ${missing.reason}`,
          'Look at the piece before going on.',
        ),
      );
    done.add(body.stepId);
  }
  return findings;
}

const finding = (id: string, what: string, why: string, remedy: string): Finding => ({
  id,
  severity: 'warn',
  stage: 'run',
  what,
  why,
  remedy,
});
