import { clockWords, dayWords, onClock } from './clock.js';

describe('the workshop’s clock', () => {
  it('says days and times as people do', () => {
    expect(clockWords('2026-03-02T08:00')).toBe('Mon 2 Mar, 08:00');
    expect(dayWords('2026-03-20')).toBe('Fri 20 Mar');
  });

  it('shows an instant where the workshop is, summer time included', () => {
    expect(onClock(Date.UTC(2026, 0, 15, 11, 5), 'Europe/Berlin')).toBe('2026-01-15T12:05');
    expect(onClock(Date.UTC(2026, 6, 15, 23, 30), 'Europe/Berlin')).toBe('2026-07-16T01:30');
    expect(onClock(Date.UTC(2026, 0, 1, 2, 0), 'America/New_York')).toBe('2025-12-31T21:00');
  });
});
