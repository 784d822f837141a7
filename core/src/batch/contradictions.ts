import type { Finding } from '../measure/index.js';
import { deviceName, type RunEvent } from './event.js';
import { inRecordedOrder } from './inRecordedOrder.js';
import { rejections } from './rejections.js';
import type { Step } from '../route/index.js';
import { batchPieces, concerns, type BatchPiece, type Lot } from './lots.js';

/**
 * Events that do not go together, as findings: work on a piece after it was rejected, a step done
 * before what locks it and without an override. They are kept as they came; somebody has to look.
 */
export function contradictions(
  steps: readonly Step[],
  lots: readonly Lot[],
  events: readonly RunEvent[],
): Finding[] {
  const pieces = batchPieces(lots, steps);
  const ordered = inRecordedOrder(events);
  return [
    ...[...grouped(ordered, ({ piece }) => piece)].flatMap(([piece, own]) => afterRejection(piece, own)),
    ...[...grouped(ordered, ({ piece }) => pieces[piece - 1]?.blank ?? -1)].flatMap(([blank, own]) =>
      outOfOrder(
        own,
        openSteps(
          steps,
          pieces.filter((p) => p.blank === blank),
          own,
        ),
      ),
    ),
    ...joinedWrong(ordered, steps, pieces),
  ];
}

/** A piece can be in one item only, the first that it was put to, and only where its part belongs. */
function joinedWrong(
  events: readonly RunEvent[],
  steps: readonly Step[],
  pieces: readonly BatchPiece[],
): Finding[] {
  const findings: Finding[] = [];
  const taken = new Map<number, RunEvent>();
  const standing = rejections(events);
  const rejected = new Set<number>();
  for (const event of events) {
    const { piece, body, device } = event;
    if (standing.has(event.id)) rejected.add(piece);
    if (body.kind === 'reopened')
      for (const [n, by] of taken)
        if (by.piece === piece && by.body.kind === 'joined' && by.body.stepId === body.stepId)
          taken.delete(n);
    if (body.kind !== 'joined') continue;
    for (const n of body.pieces) {
      const other = taken.get(n);
      const takes = steps.find((s) => s.id === body.stepId)?.takes;
      const why = rejected.has(n)
        ? `It had been rejected before ${deviceName(device)} recorded that.`
        : takes !== undefined && !takes.includes(pieces[n - 1]?.partId ?? '')
          ? `What ${deviceName(device)} recorded takes another part.`
          : other && other.piece !== piece
            ? `${deviceName(other.device)} had put it to piece ${other.piece} before ${deviceName(device)} recorded that.`
            : null;
      if (why !== null)
        findings.push(
          finding(
            `run.joined.${piece}.${n}`,
            `Piece ${n} was joined to piece ${piece}, and cannot be.`,
            why,
            'Look which piece is in which item, and join again the one that is wrong.',
          ),
        );
      else taken.set(n, event);
    }
  }
  return findings;
}

function grouped(events: readonly RunEvent[], by: (event: RunEvent) => number): Map<number, RunEvent[]> {
  const groups = new Map<number, RunEvent[]>();
  for (const event of events) groups.set(by(event), [...(groups.get(by(event)) ?? []), event]);
  return groups;
}

/** The steps of a blank, without those of places where nothing is made any more: they hold nothing up. */
function openSteps(
  steps: readonly Step[],
  mates: readonly BatchPiece[],
  events: readonly RunEvent[],
): ReadonlyMap<string, Step> {
  const standing = rejections(events);
  const gone = new Set(events.flatMap(({ id, piece }) => (standing.has(id) ? [piece] : [])));
  const made = mates.filter((p) => !gone.has(p.piece));
  return new Map(
    steps.flatMap((step) => {
      const shared = step.share === undefined || step.share.place === null;
      const is = (shared ? mates : made).some((p) => concerns(step, p));
      return is ? [[step.id, step] as const] : [];
    }),
  );
}

function afterRejection(piece: number, events: RunEvent[]): Finding[] {
  const standing = rejections(events);
  const at = events.findIndex((e) => standing.has(e.id));
  const later =
    at < 0
      ? undefined
      : events.slice(at + 1).find((e) => e.body.kind === 'done' || e.body.kind === 'measured');
  if (!later) return [];
  return [
    finding(
      `run.rejected.${piece}`,
      `Piece ${piece} was worked on after it was rejected.`,
      `${deviceName(later.device)} recorded it after the rejection.`,
      'Look whether the right piece was rejected.',
    ),
  ];
}

function outOfOrder(events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): Finding[] {
  const done = new Set<string>();
  const overridden = new Set<string>();
  const findings: Finding[] = [];
  for (const { piece, body, device } of events) {
    if (body.kind === 'overridden') overridden.add(body.stepId);
    if (body.kind === 'reopened') done.delete(body.stepId);
    if (body.kind !== 'done') continue;
    const step = steps.get(body.stepId);
    const missing = step?.locks.find((lock) => steps.has(lock.stepId) && !done.has(lock.stepId));
    if (step && missing && !overridden.has(step.id))
      findings.push(
        finding(
          `run.order.${piece}.${step.id}`,
          `Piece ${piece}: ${step.title} was done before ${steps.get(missing.stepId)?.title ?? missing.stepId}.`,
          `${deviceName(device)} recorded it so, perhaps while it had no connection: ${missing.reason}`,
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
