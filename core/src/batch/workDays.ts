import { localTime, type Span, type WallMinutes } from './workingTime.js';

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

/** Collects what is done when, day by day. */
export class WorkDays {
  private readonly days: WorkDay[] = [];
  private open: { goesBy: string; to: WallMinutes; pieces: Set<number> } | null = null;

  /** @param spans within working hours, one after the other */
  add(spans: readonly Span[], work: Worked): void {
    spans.forEach((span, i) => this.addSpan(span, i === 0 ? work : { ...work, after: undefined }));
  }

  list(): WorkDay[] {
    return this.days.map((d) => ({ ...d, minutes: Math.round(d.minutes * 10) / 10 }));
  }

  private addSpan({ from, to }: Span, { goesBy, stepId, piece, after }: Worked): void {
    const day = localTime(from).slice(0, 10);
    let today = this.days.at(-1);
    if (today?.day !== day) {
      today = { day, minutes: 0, stretches: [] };
      this.days.push(today);
      this.open = null;
    }
    today.minutes += to - from;
    const last = today.stretches.at(-1);
    if (last && this.open?.goesBy === goesBy && from - this.open.to < NO_BREAK) {
      last.to = localTime(to);
      last.last = stepId;
      if (!this.open.pieces.has(piece)) last.pieces.push(piece);
      this.open.pieces.add(piece);
      this.open.to = to;
      return;
    }
    today.stretches.push({
      from: localTime(from),
      to: localTime(to),
      first: stepId,
      last: stepId,
      pieces: [piece],
      ...(after === undefined ? {} : { after }),
    });
    this.open = { goesBy, to, pieces: new Set([piece]) };
  }
}
