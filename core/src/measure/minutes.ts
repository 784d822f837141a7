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
