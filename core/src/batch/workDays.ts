import { dayOf, localTime, type Span, type WallMinutes } from './workingTime.js';

/** What is done with hands in one go: one run of steps on several pieces, or several steps of one piece. */
interface WorkStretch {
  from: string;
  to: string;
  /** the first and the last step of it */
  first: string;
  last: string;
  /** the pieces that come to it, by their number */
  pieces: number[];
  /** the step behind which the work had to wait before it could begin */
  after?: string;
}

/** A day on which something is done with hands, on the workshop's clock. */
export interface WorkDay {
  /** `2026-03-02` */
  day: string;
  /** with hands, minutes */
  minutes: number;
  stretches: WorkStretch[];
}

/** What a piece of work is part of: the same goes on in one stretch. */
export interface Worked {
  /** the run of steps, or the piece, that the work goes by */
  goesBy: string;
  stepId: string;
  piece: number;
  /** the step that kept it back, where one did */
  after: string | undefined;
}

/** Less than this between two pieces of work is no break, minutes. */
const NO_BREAK = 0.5;

/** A stretch while it grows: times become words when all is collected. */
interface Growing extends Omit<WorkStretch, 'from' | 'to' | 'pieces'> {
  goesBy: string;
  from: WallMinutes;
  to: WallMinutes;
  pieces: Set<number>;
}

/** Collects what is done when, day by day. */
export class WorkDays {
  private readonly days: { day: number; minutes: number; stretches: Growing[] }[] = [];

  /** @param spans within working hours, one after the other */
  add(spans: readonly Span[], work: Worked): void {
    spans.forEach((span, i) => this.addSpan(span, i === 0 ? work : { ...work, after: undefined }));
  }

  list(): WorkDay[] {
    return this.days.map(({ minutes, stretches }) => ({
      day: localTime(stretches[0]?.from ?? NaN).slice(0, 10),
      minutes: Math.round(minutes * 10) / 10,
      stretches: stretches.map(({ from, to, first, last, pieces, after }) => ({
        from: localTime(from),
        to: localTime(to),
        first,
        last,
        pieces: [...pieces],
        ...(after === undefined ? {} : { after }),
      })),
    }));
  }

  private addSpan({ from, to }: Span, { goesBy, stepId, piece, after }: Worked): void {
    const day = dayOf(from);
    let today = this.days.at(-1);
    if (today?.day !== day) this.days.push((today = { day, minutes: 0, stretches: [] }));
    today.minutes += to - from;
    const last = today.stretches.at(-1);
    if (last?.goesBy === goesBy && from - last.to < NO_BREAK) {
      last.last = stepId;
      last.pieces.add(piece);
      last.to = to;
      return;
    }
    today.stretches.push({
      goesBy,
      from,
      to,
      first: stepId,
      last: stepId,
      pieces: new Set([piece]),
      ...(after === undefined ? {} : { after }),
    });
  }
}
