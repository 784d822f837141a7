import {
  minutesInWords,
  runsOf,
  withoutPart,
  type Drive,
  type PartPlan,
  type Step,
  type Tool,
} from '@compas/core';
import { useCallback, useState } from 'react';
import { Say } from '../ui/Length.js';
import { useNoted, type Noted } from '../ui/noted.js';
import { useDeciding } from './own/deciding.js';
import { StepChoice } from './own/StepChoice.js';

/** How the piece is made, line by line: each set-up with what is done in it, and what holds the wood meanwhile. */
export function RouteList({
  part,
  tools = [],
  drive,
}: {
  part: PartPlan;
  tools?: readonly Tool[];
  /** what turns the lathe, where speeds can be set */
  drive?: Drive;
}) {
  const noted = useNoted();
  const about = part.steps.find((s) => isAbout(s, noted))?.id ?? null;
  const [open, setOpen] = useState<string | null>(about);
  // what was noted at the lathe is in sight at once
  const bring = useCallback((item: HTMLLIElement | null) => item?.scrollIntoView({ block: 'center' }), []);
  const canDecide = useDeciding() !== null;
  return (
    <ol className="route" aria-label="How it is made">
      {runsOf(part.steps).map((run) => {
        return (
          <li key={run.id}>
            <h3>
              {run.title}
              <SetUp steps={run.steps} />
            </h3>
            <ol>
              {run.steps.map((step) => (
                <li key={step.id} ref={step.id === about ? bring : undefined}>
                  <b>{step.title}</b>
                  {typeof step.share?.place === 'number' && (
                    <span className="soft"> · piece {step.share.place} of the blank</span>
                  )}
                  {step.operation?.tool !== undefined && <> — {<Say text={step.operation.tool} />}</>}
                  <span className="soft">
                    {' '}
                    · {minutesInWords(step.minutes)}
                    {step.speed !== null && ` · ${step.speed}`}
                  </span>
                  {canDecide && (
                    <button
                      type="button"
                      className="step-more"
                      aria-expanded={open === step.id}
                      aria-label={`Otherwise: ${step.title}`}
                      onClick={() => setOpen(open === step.id ? null : step.id)}
                    >
                      otherwise
                    </button>
                  )}
                  {open === step.id && (
                    <StepChoice step={step} tools={tools} drive={drive} onDone={() => setOpen(null)} />
                  )}
                  {step.words.map((words) => (
                    <p key={words}>
                      <Say text={words} />
                    </p>
                  ))}
                </li>
              ))}
            </ol>
          </li>
        );
      })}
    </ol>
  );
}

/** Whether a note was made at this step, whatever the plan was that it was a step of. */
const isAbout = ({ id, partId }: Step, noted: Noted | null): boolean =>
  noted !== null && withoutPart(id, partId) === withoutPart(noted.about, partId);

/** What the place is set to: the bench says no more than that it is the bench. The tailstock may leave on the way. */
function SetUp({ steps }: { steps: readonly Step[] }) {
  const [first] = steps;
  if (!first) return null;
  const { place, holding, tailstock } = first.setup;
  const states = steps.map((s) => s.setup.tailstock);
  const tail = states.filter((state, i) => state !== states[i - 1]).join(', then ');
  return (
    <span className="soft">
      {place}
      {holding !== place && (
        <>
          , <Say text={holding} />
        </>
      )}
      {place === 'lathe' && tailstock !== 'not used' && `, tailstock ${tail}`}
    </span>
  );
}
