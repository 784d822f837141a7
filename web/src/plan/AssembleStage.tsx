import {
  asTolerance,
  capitalised,
  minutesInWords,
  type PartPlan,
  type Plan,
  type PlanInputs,
  type PlannedHardware,
  type Step,
  type WholeItem,
} from '@compas/core';
import type { ReactNode } from 'react';
import { Length, Say } from '../ui/Length.js';
import type { Choose } from './draft.js';
import { FittingWays } from './FittingWays.js';
import { CureChoice } from './own/CureChoice.js';
import { useDeciding } from './own/deciding.js';
import { OwnStepHere } from './own/OwnStepForm.js';
import { OwnList } from './own/OwnList.js';

interface AssembleStageProps {
  plan: Plan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** What is joined when, with which glue. */
export function AssembleStage({ plan, inputs, choose }: AssembleStageProps) {
  return (
    <div className="column">
      <OwnList
        part={plan.parts[0]}
        workshop={inputs.workshop}
        kinds={['cure', 'extra']}
        more={plan.item?.own ?? []}
      />
      <GluedFirst part={plan.parts[0]} />
      <ItemJoins plan={plan} />
      <PartJoins part={plan.parts[0]} inputs={inputs} choose={choose} whole={plan.item !== undefined} />
    </div>
  );
}

/** How the parts of the item come together, join by join, and how the whole is looked at. */
function ItemJoins({ plan: { item, parts } }: { plan: Plan }) {
  const leads = useDeciding()?.leads === true;
  if (!item) return null;
  const steps = item.steps.filter((s) => (s.share?.place ?? 1) === 1);
  const carrier = parts.find((p) => p.partId === steps[0]?.partId)?.name.toLowerCase();
  if (steps.length === 0)
    return <p className="sheet">Nothing joins its parts: they are delivered side by side.</p>;
  return (
    <>
      <h2>Put together</h2>
      <p className="soft">
        Each {carrier} keeps its number and carries its item; at the lathe you say which pieces go with it.
      </p>
      {steps.map((step) => (
        <JoinSheet key={step.id} step={step}>
          {leads && <OwnStepHere after={step.id} title={step.title} />}
          {step.wait !== null && leads && (
            <CureChoice
              of={`item/${joinOf(item, step)}`}
              what={`the glue: ${step.title}`}
              minutes={step.wait.minutes}
            />
          )}
        </JoinSheet>
      ))}
    </>
  );
}

/** What the part is glued onto before it is turned: that belongs to its own work, not to what comes after it. */
function GluedFirst({ part }: { part: PartPlan }) {
  const joins = part.steps.filter((s) => s.takes !== undefined);
  if (joins.length === 0) return null;
  return (
    <>
      <h2>Before it is turned</h2>
      {joins.map((step) => (
        <JoinSheet key={step.id} step={step}>
          {step.wait !== null && (
            <CureChoice
              of={step.operation?.subject ?? ''}
              what={`the glue: ${step.title}`}
              minutes={step.wait.minutes}
            />
          )}
        </JoinSheet>
      ))}
    </>
  );
}

/** A join as it is told: what is done, and how long it is left. */
function JoinSheet({ step, children }: { step: Step; children: ReactNode }) {
  return (
    <div className="sheet">
      <h3>{step.title}</h3>
      {step.words.map((words) => (
        <p key={words}>
          <Say text={words} />
        </p>
      ))}
      {step.wait !== null && (
        <p>
          {capitalised(step.wait.what)}: {minutesInWords(step.wait.minutes)}.
        </p>
      )}
      {children}
    </div>
  );
}

/** The join that a step of the item makes; made several times it is the same one. */
const joinOf = ({ joins }: WholeItem, { operation }: Step): string =>
  joins.find((j) => operation?.subject?.startsWith(j.joinId))?.joinId ?? '';

interface PartJoinsProps extends Omit<AssembleStageProps, 'plan'> {
  part: PartPlan;
  /** whole items are made */
  whole: boolean;
}

/** The hardware of the part that is shown. */
function PartJoins({ part, inputs, choose, whole }: PartJoinsProps) {
  const { hardware, otherHardware = [], joins } = part;
  if (!hardware)
    return (
      <p className="sheet">
        {whole ? `The ${part.name.toLowerCase()} carries no hardware.` : 'This piece carries no hardware.'}
      </p>
    );
  return (
    <>
      {[hardware, ...otherHardware].map((h) => (
        <Meets key={h.fitted.id} hardware={h} />
      ))}
      <FittingWays part={part} inputs={inputs} choose={choose} />
      {joins.map((join) => (
        <div key={join.id} className="sheet">
          <span className="soft">{join.when}</span>
          <h3>{join.title}</h3>
          {join.words.map((words) => (
            <p key={words}>
              <Say text={words} />
            </p>
          ))}
          {join.cureMinutes !== null && (
            <p>
              {join.glue?.name ?? 'The glue'} cures {minutesInWords(join.cureMinutes)}.
            </p>
          )}
          {join.cureMinutes !== null && (
            <CureChoice of={join.id} what={`the glue: ${join.title}`} minutes={join.cureMinutes} />
          )}
        </div>
      ))}
    </>
  );
}

function Meets({ hardware: { kit, needs, fitted } }: { hardware: PlannedHardware }) {
  return (
    <>
      <h2>{kit.name}</h2>
      <p>
        {needs.mating ? (
          <>
            Meets the wood at <Length mm={needs.mating.diameter} /> ±{' '}
            <Say text={asTolerance(needs.mating.tolerance)} />: {needs.mating.label}.{' '}
            <Say text={needs.mating.transfer} />
          </>
        ) : (
          `Goes in at the ${fitted.end} end; nothing of it meets the outside.`
        )}{' '}
        <span className="soft">{kit.onHand} on the shelf.</span>
      </p>
    </>
  );
}
