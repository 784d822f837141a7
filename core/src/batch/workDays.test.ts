import fc from 'fast-check';
import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan, schedulesOf } from '../plan/index.js';
import { wallMinutes } from './workingTime.js';
import { WorkDays } from './workDays.js';

const at = (local: string) => wallMinutes(local);
const span = (from: string, to: string) => ({ from: at(from), to: at(to) });
const did = (goesBy: string, stepId: string, piece: number, after?: string) => ({
  goesBy,
  stepId,
  piece,
  after,
});

describe('days of work', () => {
  it('put together what goes on in one go, and begin anew after a break, another run, another day', () => {
    const days = new WorkDays();
    days.add([span('2026-03-02T08:00', '2026-03-02T08:10')], did('run a', 'saw', 1));
    days.add([span('2026-03-02T08:10', '2026-03-02T08:20')], did('run a', 'saw', 2));
    days.add([span('2026-03-02T08:20', '2026-03-02T08:30')], did('run b', 'drill', 1));
    days.add([span('2026-03-02T11:00', '2026-03-02T11:30')], did('run b', 'drill', 2, 'glue'));
    // over the end of a day: what is done on the next one stands there
    days.add(
      [span('2026-03-02T16:50', '2026-03-02T17:00'), span('2026-03-03T08:00', '2026-03-03T08:15')],
      did('run c', 'shape', 1),
    );
    const said = days
      .list()
      .map((d) => [
        d.day,
        d.minutes,
        d.stretches.map(
          (s) => `${s.from.slice(11)} ${s.first} ${s.pieces.join('+')}${s.after ? ` after ${s.after}` : ''}`,
        ),
      ]);
    expect(said).toEqual([
      ['2026-03-02', 70, ['08:00 saw 1+2', '08:20 drill 1', '11:00 drill 2 after glue', '16:50 shape 1']],
      ['2026-03-03', 15, ['08:00 shape 1']],
    ]);
  });

  it('hold all that is done with hands, in its order, in working hours, whatever is made', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...STARTING_FORMS),
        fc.integer({ min: 1, max: 14 }),
        fc.constantFrom('2026-03-02T08:00', '2026-03-06T16:20', '2026-03-07T03:00'),
        (form, pieces, start) => {
          const { workshop, stock, order, schools } = exampleInputs(pieces);
          const body = { ...form.body({}, 'maple'), hardware: [] };
          const planned = plan(body, workshop, stock, { ...order, pieces, start }, schools);
          for (const schedule of schedulesOf(planned)) {
            const days = schedule.days ?? [];
            const sum = days.reduce((all, d) => all + d.minutes, 0);
            expect(Math.abs(sum - schedule.handsOnMinutes)).toBeLessThan(0.06 * days.length);
            let before = at(schedule.start);
            for (const { day, stretches } of days)
              for (const s of stretches) {
                expect(s.from.slice(0, 10)).toBe(day);
                expect(at(s.from)).toBeGreaterThanOrEqual(before - 1);
                before = at(s.to);
                const weekday = new Date(`${day}T12:00Z`).getUTCDay() || 7;
                const [a, b] = [at(s.from) % 1440, at(s.to) - at(`${day}T00:00`)];
                expect(
                  workshop.hours.windows.some(
                    (w) => w.weekday === weekday && a >= w.from - 1 && b <= w.to + 1,
                  ),
                ).toBe(true);
              }
            const made = new Set(days.flatMap((d) => d.stretches.flatMap((s) => s.pieces)));
            expect(made.size).toBeGreaterThanOrEqual(Math.min(pieces, 1));
          }
        },
      ),
      { numRuns: 25 },
    ));

  it('say what is waited for', () => {
    const { workshop, stock, order, schools, pattern } = exampleInputs(2);
    const planned = plan(pattern, workshop, stock, order, schools);
    const waited = (planned.byOperation.days ?? []).flatMap((d) => d.stretches).filter((s) => s.after);
    const steps = planned.parts[0].steps;
    expect(waited.length).toBeGreaterThan(0);
    for (const { after } of waited)
      expect(steps.find((s) => s.id === after)?.wait?.minutes ?? 0).toBeGreaterThan(0);
  });
});
