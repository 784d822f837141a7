/** Whether a text is a day that the calendar has, as `2026-02-14`; 2026-02-30 is none. */
export function isDay(text: string): boolean {
  const time = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(text) : Number.NaN;
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text;
}
