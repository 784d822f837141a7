import { minutesInWords, type PartPlan, type PlanInputs, type PlannedHardware } from '@compas/core';
import { Length, Say } from '../ui/Length.js';
import type { Choose } from './draft.js';
import { FittingWays } from './FittingWays.js';

interface AssembleStageProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** What is joined when, with which glue. */
export function AssembleStage({ part, inputs, choose }: AssembleStageProps) {
  const { hardware, otherHardware = [], joins } = part;
  if (!hardware) return <p className="sheet">This piece carries no hardware.</p>;
  return (
    <div className="column">
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
        </div>
      ))}
    </div>
  );
}

function Meets({ hardware: { kit, needs, fitted } }: { hardware: PlannedHardware }) {
  return (
    <>
      <h2>{kit.name}</h2>
      <p>
        {needs.mating ? (
          <>
            Meets the wood at <Length mm={needs.mating.diameter} /> ± <Length mm={needs.mating.tolerance} />:{' '}
            {needs.mating.label}. <Say text={needs.mating.transfer} />
          </>
        ) : (
          `Goes in at the ${fitted.end} end; nothing of it meets the outside.`
        )}{' '}
        <span className="soft">{kit.onHand} on the shelf.</span>
      </p>
    </>
  );
}
