import { dayWords } from '@compas/core';

export { dayWords };

/** `2026-03-02T08:00` → `Mon 2 Mar, 08:00`. */
export const clockWords = (local: string): string =>
  `${dayWords(local.slice(0, 10))}, ${local.slice(11, 16)}`;

/** An instant (ms) on the clock of whoever looks: `Mon 2 Mar, 08:00`. */
export const clockHere = (instant: number): string =>
  clockWords(onClock(instant, Intl.DateTimeFormat().resolvedOptions().timeZone));

/** The same by its hour alone where it is of today. */
export function hourHere(instant: number, now: number): string {
  const [day, hour] = clockHere(instant).split(', ');
  return day === clockHere(now).split(', ')[0] ? (hour ?? '') : `${day}, ${hour}`;
}

/** An instant on the workshop's clock, `2026-03-02T08:00`. */
export function onClock(instant: number, timeZone: string): string {
  const parts = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(
    instant,
  );
  return parts.replace(' ', 'T');
}
