/** Whether a text is a day that the calendar has, as `2026-02-14`; 2026-02-30 is none. */
export function isDay(text: string): boolean {
  const time = /^\d{4}-\d{2}-\d{2}$/.test(text) ? Date.parse(text) : Number.NaN;
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text;
}

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** `2026-03-20` → `Fri 20 Mar`, the same on every machine; what is no day stays as it is. */
export function dayWords(day: string): string {
  if (!isDay(day)) return day;
  const at = new Date(day);
  return `${WEEKDAYS[at.getUTCDay()]} ${at.getUTCDate()} ${MONTHS[at.getUTCMonth()]}`;
}
