import type { WorkingHours } from '../workshop/index.js';

/**
 * Wall-clock minutes: minutes since 1970-01-01 00:00 as the workshop's own clock shows them. Days
 * that change to or from summer time count 24 hours.
 */
export type WallMinutes = number;

const DAY = 24 * 60;

/** `2026-03-02T08:00` on the workshop's clock → wall minutes; NaN when it is not a time. */
export const wallMinutes = (local: string): WallMinutes => Date.parse(`${local.slice(0, 16)}:00Z`) / 60_000;

/** Wall minutes → `2026-03-02T08:00`. */
export const localTime = (at: WallMinutes): string =>
  new Date(Math.round(at) * 60_000).toISOString().slice(0, 16);

/** The day on which a time lies, counted from 1 January 1970. */
export const dayOf = (at: WallMinutes): number => Math.floor(Math.round(at) / DAY);

/** Monday is 1; 1 January 1970 was a Thursday. */
const weekdayOf = (day: number): number => ((((day + 3) % 7) + 7) % 7) + 1;

export interface Span {
  from: WallMinutes;
  to: WallMinutes;
}

/** When somebody is there to take in hand what is ready at some time: then, or when the next working hours begin. */
export function takenInHand(hours: WorkingHours, ready: WallMinutes): WallMinutes {
  // what ends as the day does is taken from the lathe as it does
  const span = spanFrom(hours, ready - 1e-6);
  return span ? Math.max(ready, span.from) : ready;
}

/** Days searched for a working window: a shop that works at all works within two weeks. */
const HORIZON_DAYS = 15;

/** Windows of each weekday in their order, in minutes of the day; a schedule asks for them at every step of every piece. */
const weeks = new WeakMap<WorkingHours, Span[][]>();

function weekOf(hours: WorkingHours): Span[][] {
  const known = weeks.get(hours);
  if (known) return known;
  const week: Span[][] = Array.from({ length: 8 }, () => []);
  for (const { weekday, from, to } of hours.windows) week[weekday]?.push({ from, to });
  for (const day of week) day.sort((a, b) => a.from - b.from);
  weeks.set(hours, week);
  return week;
}

/** The working span that contains `at`, or the next one; null when the shop has no hours. */
function spanFrom(hours: WorkingHours, at: WallMinutes): Span | null {
  const week = weekOf(hours);
  const today = Math.floor(at / DAY);
  for (let day = today; day < today + HORIZON_DAYS; day++)
    for (const { from, to } of week[weekdayOf(day)] ?? [])
      if (day * DAY + to > at) return { from: Math.max(day * DAY + from, at), to: day * DAY + to };
  return null;
}

/**
 * When `minutes` of work begun at or after `at` starts and ends. Work that would run past the end of
 * a span waits for the next one when a whole span holds it; longer work is carried over.
 * @returns also what of each working span it takes
 */
export function workFrom(hours: WorkingHours, at: WallMinutes, minutes: number): Span & { spans: Span[] } {
  let span = spanFrom(hours, at);
  if (!span) return { from: at, to: at + minutes, spans: [{ from: at, to: at + minutes }] };
  const longest = Math.max(...hours.windows.map((w) => w.to - w.from));
  while (span.to - span.from < minutes && minutes <= longest) {
    const next = spanFrom(hours, span.to);
    if (!next) break;
    span = next;
  }
  const from = span.from;
  let left = minutes;
  const spans: Span[] = [];
  while (left > span.to - span.from) {
    spans.push(span);
    left -= span.to - span.from;
    const next = spanFrom(hours, span.to);
    if (!next) break;
    span = next;
  }
  spans.push({ from: span.from, to: span.from + left });
  return { from, to: span.from + left, spans };
}
