import { newWorkshop } from '../workshop/index.js';
import type { Operation, Step } from '../route/index.js';
import { lotsOf, scheduleBatch, wallMinutes } from './index.js';

const { hours } = newWorkshop('UTC', 'mm');
const monday = wallMinutes('2026-03-02T08:00');

/** A minute of turning at a speed, rpm; 0 is a lathe that stands. */
const turned = (id: string, rpm: number): Step => ({
  id,
  partId: 'p',
  stage: 'turn',
  title: id,
  words: [],
  setup: { place: 'lathe', holding: 'centres', tailstock: 'up' },
  speed: null,
  setupMinutes: 0,
  minutes: 1,
  remountMinutes: 0,
  wait: null,
  locks: [],
  timers: [],
  measures: [],
  against: 'finished',
  trialFit: false,
  operation: { kind: 'rough', rpm } as Operation,
});
const steps = [turned('rough', 800), turned('mark', 0), turned('size', 800), turned('sand', 450)];
const setUp = (school: 'by-operation' | 'by-piece', belt?: number): number =>
  scheduleBatch(steps, lotsOf([{ partId: 'p', pieces: 3 }]), hours, monday, school, belt).setupMinutes;

describe('the belt of a lathe in a batch', () => {
  it('is laid anew for another speed, not for a lathe that stands nor for what goes on at the same', () => {
    // each of three pieces goes through two speeds
    expect(setUp('by-piece', 0.5)).toBe(3);
  });

  it('is changed least by operation: all are roughed and sized before the first is sanded', () => {
    expect(setUp('by-operation', 0.5)).toBe(1);
  });

  it('costs nothing where the lathe has none', () => {
    expect(setUp('by-piece')).toBe(0);
  });
});
