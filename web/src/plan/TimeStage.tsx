import {
  BATCHING_SCHOOLS,
  capitalised,
  chosenSchedule,
  keysOf,
  minutesInWords,
  schedulesOf,
  wallMinutes,
  type Plan,
  type Schedule,
} from '@compas/core';
import { clockWords } from '../ui/clock.js';

/** When it will be ready, by every school, and how the steps lie in time. */
export function TimeStage({ plan }: { plan: Plan }) {
  const chosen = chosenSchedule(plan);
  const schedules = schedulesOf(plan);
  const [part] = plan.parts;
  const from = wallMinutes(chosen.start);
  const share = (minutes: number) => (100 * minutes) / Math.max(1, chosen.elapsedMinutes);
  return (
    <div className="column">
      <h2>Ready {clockWords(chosen.end)}</h2>
      <div className="compare">
        {keysOf(BATCHING_SCHOOLS).map((school) => (
          <School
            key={school}
            schedule={schedules[school]}
            words={capitalised(BATCHING_SCHOOLS[school])}
            chosen={chosen}
          />
        ))}
      </div>
      <div className="gantt">
        {part.steps.map((step) => {
          const span = chosen.spans.find((s) => s.stepId === step.id);
          if (!span) return null;
          const a = wallMinutes(span.from) - from;
          const b = wallMinutes(span.to) - from;
          return [
            <span key={`${step.id}.word`}>{step.title}</span>,
            <span
              key={step.id}
              className="bar"
              role="img"
              aria-label={`${step.title}: ${clockWords(span.from)} to ${clockWords(span.to)}`}
            >
              <span style={{ left: `${share(a)}%`, width: `${share(b - a)}%` }} />
              {step.wait && (
                <span
                  className="wait"
                  style={{
                    left: `${share(b)}%`,
                    width: `${Math.min(share(step.wait.minutes), 100 - share(b))}%`,
                  }}
                />
              )}
            </span>,
          ];
        })}
      </div>
      <p className="soft">
        Solid: hands on, first piece to last. Hatched: waiting. Inside the working hours of the workshop, one
        maker.
      </p>
    </div>
  );
}

function School({ schedule, words, chosen }: { schedule: Schedule; words: string; chosen: Schedule }) {
  const followed = schedule.school === chosen.school;
  return (
    <div data-chosen={followed}>
      <h3>
        {words}
        {followed ? ', followed' : ''}
      </h3>
      Hands on <b>{minutesInWords(schedule.handsOnMinutes)}</b>, of it {minutesInWords(schedule.setupMinutes)}{' '}
      setting up ({schedule.setups} set-ups)
      <br />
      Begins {clockWords(schedule.start)}, ready <b>{clockWords(schedule.end)}</b>
    </div>
  );
}
