import { minutesInWords, type PartPlan } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

/** What is joined when, with which glue. */
export function AssembleStage({ part: { hardware, joins } }: { part: PartPlan }) {
  if (!hardware) return <p className="sheet">This piece carries no hardware.</p>;
  const { kit, needs } = hardware;
  return (
    <div className="column">
      <h2>{kit.name}</h2>
      <p>
        Meets the wood at <Length mm={needs.mating.diameter} /> ± <Length mm={needs.mating.tolerance} />:{' '}
        {needs.mating.label}. {needs.mating.transfer} <span className="soft">{kit.onHand} on the shelf.</span>
      </p>
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
