/** Minutes as a person would say them: 45 min, 12 h, 1 day 4 h. */
export function minutesInWords(minutes: number): string {
  if (minutes < 60) return `${Math.round(minutes * 10) / 10} min`;
  const hours = Math.round(minutes / 6) / 10;
  if (hours < 48) return `${hours} h`;
  const whole = Math.round(hours);
  const days = Math.floor(whole / 24);
  const rest = whole % 24;
  return `${days} days${rest > 0 ? ` ${rest} h` : ''}`;
}

/** What is left of a wait, minutes, in words: rounded up, since glue that is looked at early is pulled out. */
export function waitInWords(minutes: number): string {
  const whole = Math.max(0, Math.ceil(minutes - 1e-9));
  if (whole < 60) return `${whole} min`;
  if (whole < 600) return `${Math.floor(whole / 60)} h${whole % 60 > 0 ? ` ${whole % 60} min` : ''}`;
  return minutesInWords(Math.ceil(whole / 60) * 60);
}
