import {
  minutesInWords,
  runsOf,
  stepsOfPlan,
  wallMinutes,
  type Plan,
  type Schedule,
  type Step,
} from '@compas/core';
import { useState } from 'react';
import { dayWords } from '../ui/clock.js';
import { Say } from '../ui/Length.js';

type WorkDay = NonNullable<Schedule['days']>[number];
type WorkStretch = WorkDay['stretches'][number];

interface DaysOfWorkProps {
  plan: Plan;
  days: readonly WorkDay[];
}

/** What is done with hands, day by day: hours of work drawn wide, nights and waits folded. */
export function DaysOfWork({ plan, days }: DaysOfWorkProps) {
  const steps = stepsOfPlan(plan);
  const told = teller(plan, steps);
  const longest = Math.max(1, ...days.map((d) => d.minutes));
  return (
    <ol className="days" aria-label="Day by day">
      {days.map((day, i) => (
        <Day key={day.day} day={day} longest={longest} told={told} wait={waitBefore(day, steps, i)} />
      ))}
    </ol>
  );
}

/** A stretch in words, and whether it goes by its piece. */
type Teller = (stretch: WorkStretch) => string;

function teller(plan: Plan, steps: readonly Step[]): Teller {
  const runs = runsOf(steps);
  const runOf = (id: string) => runs.find((r) => r.steps.some((s) => s.id === id));
  const partOf = (id: string) => plan.parts.find((p) => p.partId === steps.find((s) => s.id === id)?.partId);
  // what is done to a blank, or to one place of it, comes once to each blank
  const onEach = (id: string) => {
    const shared = steps.find((s) => s.id === id)?.share !== undefined;
    return shared ? partOf(id)?.blank.count : partOf(id)?.pieces;
  };
  return ({ first, last, pieces }) => {
    const [from, to] = [runOf(first), runOf(last)];
    const part = plan.parts.length > 1 ? partOf(first)?.name : undefined;
    const whole = pieces.length >= (onEach(first) ?? Infinity);
    const which = whole ? '' : `, ${rangeWords(pieces)}`;
    const title = from?.title ?? first;
    const said = from === to ? title : `${title} to ${(to?.title ?? last).toLowerCase()}`;
    return `${part === undefined ? '' : `${part}: `}${said}${which}`;
  };
}

/** 1, 2, 3, 7 as “pieces 1 to 3, 7”. */
export function rangeWords(pieces: readonly number[]): string {
  const sorted = [...pieces].sort((a, b) => a - b);
  const ranges: [number, number][] = [];
  for (const n of sorted) {
    const last = ranges.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else ranges.push([n, n]);
  }
  const said = ranges.map(([a, b]) => (a === b ? `${a}` : `${a} to ${b}`)).join(', ');
  return `${pieces.length === 1 ? 'piece' : 'pieces'} ${said}`;
}

/** What the night before was also needed for: glue, a finish, a rest. */
function waitBefore({ stretches }: WorkDay, steps: readonly Step[], i: number): string | null {
  const after = stretches[0]?.after;
  const wait = after === undefined || i === 0 ? null : steps.find((s) => s.id === after)?.wait;
  return wait ? wait.what : null;
}

/** So many stretches of a day are told at once. */
const TOLD = 10;
/** A break of more than this within a day is drawn, minutes. */
const BREAK = 15;

interface DayProps {
  day: WorkDay;
  longest: number;
  told: Teller;
  wait: string | null;
}

function Day({ day: { day, minutes, stretches }, longest, told, wait }: DayProps) {
  const [all, showAll] = useState(false);
  const [first, last] = [stretches[0], stretches.at(-1)];
  const shown = all ? stretches : stretches.slice(0, TOLD);
  return (
    <li>
      {wait !== null && (
        <p className="days-wait">
          until then: <Say text={wait} />
        </p>
      )}
      <h3>
        {dayWords(day)}, {first?.from.slice(11)} to {last?.to.slice(11)}
        <span className="soft"> {minutesInWords(minutes)} with hands</span>
      </h3>
      <div className="days-bar" aria-hidden>
        {stretches.map((s, i) => {
          const before = stretches[i - 1];
          const idle = before ? wallMinutes(s.from) - wallMinutes(before.to) : 0;
          const wide = (100 * (wallMinutes(s.to) - wallMinutes(s.from))) / longest;
          return [
            idle > BREAK && <span key={`${s.from} break`} className="days-break" />,
            <span key={s.from} title={told(s)} style={{ width: `${wide * 0.9}%` }} />,
          ];
        })}
      </div>
      <ul className="days-told">
        {shown.map((s) => (
          <li key={s.from}>
            <span className="figures">{s.from.slice(11)}</span> {told(s)}
          </li>
        ))}
        {shown.length < stretches.length && (
          <li>
            <button type="button" className="more" onClick={() => showAll(true)}>
              and {stretches.length - shown.length} more
            </button>
          </li>
        )}
      </ul>
    </li>
  );
}
