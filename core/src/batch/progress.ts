import { rejections } from './rejections.js';
import type { RunEvent } from './event.js';
import { inRecordedOrder } from './inRecordedOrder.js';
import type { Step } from '../route/index.js';
import { partnersOf } from './joining.js';
import { batchPieces, piecesInBlank, type Lot } from './lots.js';
import type { PieceProgress } from './pieceProgress.js';
import { cutAgain, settled, type Reading } from './readings.js';

/** What a device began last: the piece is in the hands of whoever works at it until it is ended, left or let go. */
export interface Begun {
  device: string;
  piece: number;
  stepId: string;
  /** instant, ms */
  at: number;
}

export interface BatchProgress {
  pieces: PieceProgress[];
  readings: Reading[];
  /** device → who works at it, as it was last said there */
  hands: Map<string, string>;
  /** device → what it began last */
  begun: Map<string, Begun>;
}

/**
 * State of a batch from its events, whatever the order in which they arrived. Events of pieces outside the batch are left out. What is done to a
 * blank is done to all pieces that lie in it: their steps have names of their own, so they share one record.
 */
export function progressOf(
  lots: readonly Lot[],
  events: readonly RunEvent[],
  steps: readonly Pick<Step, 'id' | 'partId' | 'share' | 'takes' | 'checks'>[],
): BatchProgress {
  const progress: BatchProgress = {
    pieces: emptyPieces(lots, steps),
    readings: [],
    hands: new Map(),
    begun: new Map(),
  };
  const known = new Map(steps.map((s) => [s.id, s]));
  const standing = rejections(events);
  for (const event of inRecordedOrder(events))
    if (event.body.kind !== 'rejected' || standing.has(event.id)) play(progress, event, known);
  for (const piece of progress.pieces) if (piece.rejected !== null) piece.given.add(piece.place);
  const partners = partnersOf(progress.pieces, steps);
  for (const piece of progress.pieces) piece.partners = partners.get(piece.piece) ?? NOBODY;
  return progress;
}

/** Steps by their names, as far as a record needs them. */
type KnownSteps = ReadonlyMap<string, Pick<Step, 'takes' | 'checks'>>;

const NOBODY: PieceProgress['partners'] = new Map();

function emptyPieces(
  lots: readonly Lot[],
  steps: readonly Pick<Step, 'partId' | 'share'>[],
): PieceProgress[] {
  const blanks = new Map<number, BlankRecord>();
  return batchPieces(lots, steps).map((own): PieceProgress => {
    const blank = blanks.get(own.blank) ?? emptyBlank(own.inBlank, piecesInBlank(steps, own.partId));
    blanks.set(own.blank, blank);
    return {
      ...blank,
      ...own,
      checked: new Map(),
      rejected: null,
      notes: [],
      keeps: new Map(),
      mends: [],
      joined: new Map(),
      carriedBy: null,
      partners: NOBODY,
    };
  });
}

/** What all pieces of a blank share. */
type BlankRecord = Pick<
  PieceProgress,
  'done' | 'doneBy' | 'started' | 'timers' | 'overridden' | 'tried' | 'given'
>;

/** The record of a blank; in the last one places may be left over. */
const emptyBlank = (holds: number, of: number): BlankRecord => ({
  done: new Map(),
  doneBy: new Map(),
  started: new Map(),
  timers: new Map(),
  overridden: new Set(),
  tried: new Map(),
  given: new Set(Array.from({ length: of - holds }, (_, i) => holds + i + 1)),
});

function play(progress: BatchProgress, { id, piece, at, device, body }: RunEvent, known: KnownSteps): void {
  const { pieces, readings, hands } = progress;
  const state = pieces[piece - 1];
  if (!state) return;
  const who = hands.get(device);
  const instant = Date.parse(at);
  switch (body.kind) {
    case 'started':
      // a second hand that takes it up does not shorten what the first one has worked
      if (!state.started.has(body.stepId)) state.started.set(body.stepId, instant);
      progress.begun.set(device, { device, piece, stepId: body.stepId, at: instant });
      return;
    case 'done':
      state.done.set(body.stepId, instant);
      state.doneBy.set(body.stepId, id);
      return;
    case 'timed':
      state.timers.set(timerKey(body.stepId, body.timerId), instant);
      return;
    case 'measured':
      readings.push({
        eventId: id,
        piece,
        stepId: body.stepId,
        stationId: body.stationId,
        mm: body.mm,
        typed: body.typed,
        at,
        device,
        ...(who === undefined ? {} : { who }),
      });
      return;
    case 'settled':
      progress.readings = settled(readings, body);
      return;
    case 'corrected': {
      const reading = readings.find((r) => r.eventId === body.eventId);
      if (reading) Object.assign(reading, { mm: body.mm, typed: body.typed, correctedWhy: body.why });
      return;
    }
    case 'checked':
      state.checked.set(body.checkId, body.passed);
      return;
    case 'tried':
      state.tried.set(body.stepId, body.fits);
      return;
    case 'overridden':
      state.overridden.add(body.stepId);
      return;
    case 'rejected':
      state.rejected = { eventId: id, stepId: body.stepId, cause: body.cause, at };
      return;
    case 'spared':
      // what it takes back is not played at all
      return;
    case 'noted':
      state.notes.push({
        stepId: body.stepId,
        words: body.words,
        at,
        ...(body.photo ? { photo: body.photo } : {}),
      });
      return;
    case 'joined':
      comeApart(pieces, state, body.stepId);
      state.joined.set(
        body.stepId,
        belonging(
          [...new Set(body.pieces)].filter((n) => isFree(pieces[n - 1], state)),
          pieces,
          known.get(body.stepId)?.takes,
        ),
      );
      for (const n of state.joined.get(body.stepId) ?? []) {
        const part = pieces[n - 1];
        if (part) part.carriedBy = piece;
      }
      return;
    case 'mended':
      mend(pieces, state, body, { at, known });
      for (const stepId of [body.stepId, ...body.again]) cutAgain(readings, piece, stepId);
      return;
    case 'handed':
      hands.set(device, body.who);
      return;
    case 'reopened':
      // somebody else has said since that it is done: that was not taken back
      if (body.eventId !== undefined && state.doneBy.get(body.stepId) !== body.eventId) return;
      state.done.delete(body.stepId);
      state.started.delete(body.stepId);
      comeApart(pieces, state, body.stepId);
      cutAgain(readings, piece, body.stepId);
      return;
  }
}

/**
 * What is done again is open again, and so is the step at which it was decided: what did not hold there is tried anew.
 * What failed elsewhere stays failed.
 */
function mend(
  pieces: readonly PieceProgress[],
  state: PieceProgress,
  { stepId, again, keeps, why }: Extract<RunEvent['body'], { kind: 'mended' }>,
  { at, known }: { at: string; known: KnownSteps },
): void {
  for (const id of new Set([stepId, ...again])) {
    state.done.delete(id);
    comeApart(pieces, state, id);
    state.tried.delete(id);
    for (const check of known.get(id)?.checks ?? []) state.checked.delete(check);
  }
  for (const { stationId, mm } of keeps) state.keeps.set(stationId, mm);
  state.mends.push({ stepId, why, at });
}

/** Whoever was first has it: a piece is in one item only, and in none of itself. */
const isFree = (part: PieceProgress | undefined, to: PieceProgress): boolean =>
  part !== undefined && part.carriedBy === null && part.piece !== to.piece;

/** A join takes so many pieces of its parts and no others; of one that only an older plan knew, all belong. */
function belonging(
  numbers: readonly number[],
  pieces: readonly PieceProgress[],
  takes: readonly string[] | undefined,
): number[] {
  if (takes === undefined) return [...numbers];
  const room = [...takes];
  return numbers.filter((n) => {
    const at = room.indexOf(pieces[n - 1]?.partId ?? '');
    if (at >= 0) room.splice(at, 1);
    return at >= 0;
  });
}

/** What was joined in a step is by itself again. */
function comeApart(pieces: readonly PieceProgress[], { joined }: PieceProgress, stepId: string): void {
  for (const n of joined.get(stepId) ?? []) {
    const part = pieces[n - 1];
    if (part) part.carriedBy = null;
  }
  joined.delete(stepId);
}

export const timerKey = (stepId: string, timerId: string): string => `${stepId}/${timerId}`;
