import type { PartPlan, Plan, PlanInputs, Stage } from '@compas/core';
import { Say } from '../ui/Length.js';
import { AssembleStage } from './AssembleStage.js';
import type { Choose } from './draft.js';
import { DrillStage } from './DrillStage.js';
import { MarkStage } from './MarkStage.js';
import { MountStage } from './MountStage.js';
import { StockStage } from './StockStage.js';
import { SurfaceStage } from './SurfaceStage.js';
import { TimeStage } from './TimeStage.js';
import { TurnStage } from './TurnStage.js';

interface StageWorkProps {
  plan: Plan;
  stage: Stage;
  /** what the plan was made of */
  inputs: PlanInputs;
  /** changes a choice while the plan is in the making */
  choose?: Choose;
  /** the batch whose plan this is, when it was kept */
  batchId?: string;
}

/** A stage's own work, and the cautions of its steps. */
export function StageWork(props: StageWorkProps) {
  const [part] = props.plan.parts;
  return (
    <>
      <Work {...props} part={part} />
      <Cautions part={part} stage={props.stage} />
    </>
  );
}

function Work({ plan, part, stage, inputs, choose, batchId }: StageWorkProps & { part: PartPlan }) {
  switch (stage) {
    case 'drill':
      return <DrillStage part={part} inputs={inputs} choose={choose} />;
    case 'mount':
      return <MountStage part={part} inputs={inputs} choose={choose} />;
    case 'mark':
      return <MarkStage part={part} inputs={inputs} choose={choose} batchId={batchId} />;
    case 'turn':
      return <TurnStage plan={plan} inputs={inputs} />;
    case 'surface':
      return <SurfaceStage part={part} inputs={inputs} />;
    case 'assemble':
      return <AssembleStage plan={plan} inputs={inputs} choose={choose} />;
    case 'time':
      return <TimeStage plan={plan} inputs={inputs} />;
    default:
      return <StockStage plan={plan} inputs={inputs} batchId={batchId} />;
  }
}

function Cautions({ part, stage }: { part: PartPlan; stage: Stage }) {
  const steps = new Set(part.steps.filter((s) => s.stage === stage).map((s) => s.id));
  const own = part.cautions.filter((c) => c.stepIds.some((id) => steps.has(id)));
  if (own.length === 0) return null;
  return (
    <ul className="cautions" aria-label="Take care">
      {own.map((c) => (
        <li key={c.id}>
          <Say text={c.words} />
        </li>
      ))}
    </ul>
  );
}
