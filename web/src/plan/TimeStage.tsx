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
import { DaysOfWork } from './DaysOfWork.js';
import { OwnList } from './own/OwnList.js';
import { StepMinutes } from './own/StepMinutes.js';

/** When it will be ready, by every school, and how the steps lie in time. */
export function TimeStage({ plan, inputs }: { plan: Plan; inputs: PlanInputs }) {
  const chosen = chosenSchedule(plan);
  const schedules = schedulesOf(plan);
  return (
    <div className="column">
      <h2>Ready {clockWords(chosen.end)}</h2>
      <table className="table" aria-label="Ways through the shop">
        <thead>
          <tr>
            <th>Batch goes</th>
            <th>Ready</th>
            <th className="number">With hands</th>
            <th className="number">of it setting up</th>
          </tr>
        </thead>
        <tbody>
          {schedules.map((schedule) => (
            <School key={schedule.school} schedule={schedule} followed={schedule.school === chosen.school} />
          ))}
        </tbody>
      </table>
      {chosen.days ? <DaysOfWork plan={plan} days={chosen.days} /> : <RunBars plan={plan} chosen={chosen} />}
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

/** How the runs lie in time, for plans that do not say what is done on which day. */
function RunBars({ plan, chosen }: { plan: Plan; chosen: Schedule }) {
  const from = wallMinutes(chosen.start);
  const share = (minutes: number) => (100 * minutes) / Math.max(1, chosen.elapsedMinutes);
  return (
    <>
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
    </>
  );
}

/** A run is called by its part where there are several. */
function called({ parts }: Plan, { title, steps: [step] }: StepRun): string {
  const part = parts.find((p) => p.partId === step?.partId);
  return parts.length < 2 || !part || step?.item ? title : `${part.name}: ${title.toLowerCase()}`;
}

function School({ schedule, followed }: { schedule: Schedule; followed: boolean }) {
  const words = capitalised(BATCHING_SCHOOLS[schedule.school]);
  return (
    <tr data-followed={followed}>
      <td>{followed ? <b>{words}, followed</b> : words}</td>
      <td className="figures">{followed ? <b>{clockWords(schedule.end)}</b> : clockWords(schedule.end)}</td>
      <td className="number figures">{minutesInWords(schedule.handsOnMinutes)}</td>
      <td className="number figures">
        {minutesInWords(schedule.setupMinutes)} ({schedule.setups}×)
      </td>
    </tr>
  );
}
