import {
  BATCHING_SCHOOLS,
  capitalised,
  chosenSchedule,
  minutesInWords,
  runsOf,
  schedulesOf,
  stepsOfPlan,
  type StepRun,
  wallMinutes,
  type Plan,
  type PlanInputs,
  type Schedule,
} from '@compas/core';
import { clockWords } from '../ui/clock.js';
import { OwnList } from './own/OwnList.js';
import { StepMinutes } from './own/StepMinutes.js';

/** When it will be ready, by every school, and how the steps lie in time. */
export function TimeStage({ plan, inputs }: { plan: Plan; inputs: PlanInputs }) {
  const chosen = chosenSchedule(plan);
  const schedules = schedulesOf(plan);
  const from = wallMinutes(chosen.start);
  const share = (minutes: number) => (100 * minutes) / Math.max(1, chosen.elapsedMinutes);
  return (
    <div className="column">
      <h2>Ready {clockWords(chosen.end)}</h2>
      <div className="compare">
        {schedules.map((schedule) => (
          <School
            key={schedule.school}
            schedule={schedule}
            words={capitalised(BATCHING_SCHOOLS[schedule.school])}
            chosen={chosen}
          />
        ))}
      </div>
      <div className="gantt">
        {runsOf(stepsOfPlan(plan)).map((run) => {
          const spans = chosen.spans.filter((s) => run.steps.some((step) => step.id === s.stepId));
          const [first] = spans;
          if (!first) return null;
          const begins = spans.reduce((least, s) => (s.from < least ? s.from : least), first.from);
          const ends = spans.reduce((most, s) => (s.to > most ? s.to : most), first.to);
          const [a, b] = [wallMinutes(begins) - from, wallMinutes(ends) - from];
          const wait = Math.max(0, ...run.steps.map((s) => s.wait?.minutes ?? 0));
          return [
            <span key={`${run.id}.word`}>{called(plan, run)}</span>,
            <span
              key={run.id}
              className="bar"
              role="img"
              aria-label={`${called(plan, run)}: ${clockWords(begins)} to ${clockWords(ends)}`}
            >
              <span style={{ left: `${share(a)}%`, width: `${share(b - a)}%` }} />
              {wait > 0 && (
                <span
                  className="wait"
                  style={{ left: `${share(b)}%`, width: `${Math.min(share(wait), 100 - share(b))}%` }}
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
      <OwnList
        part={plan.parts[0]}
        workshop={inputs.workshop}
        kinds={['minutes']}
        more={plan.item?.own ?? []}
      />
      <StepMinutes plan={plan} />
    </div>
  );
}

/** A run is called by its part where there are several. */
function called({ parts }: Plan, { title, steps: [step] }: StepRun): string {
  const part = parts.find((p) => p.partId === step?.partId);
  return parts.length < 2 || !part || step?.item ? title : `${part.name}: ${title.toLowerCase()}`;
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
