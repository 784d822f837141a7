/** `2026-03-02T08:00` → `Mon 2 Mar, 08:00`. */
export function clockWords(local: string): string {
  const at = new Date(`${local.slice(0, 16)}:00Z`);
  const day = at.toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  return `${day}, ${local.slice(11, 16)}`;
}

/** `2026-03-20` → `Fri 20 Mar`. */
export const dayWords = (day: string): string => clockWords(`${day}T00:00`).split(',')[0] ?? day;

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
