import { runsOf, stepsOfPiece, type PieceProgress, type Step } from '@compas/core';

interface StepListProps {
  /** all of the plan */
  steps: readonly Step[];
  step: Step;
  state: PieceProgress;
  onStep: (stepId: string) => void;
}

/** The runs of a piece; the steps of the one that is at hand, of the others how far they are. */
export function StepList({ steps, step, state, onStep }: StepListProps) {
  const runs = runsOf(stepsOfPiece(steps, state));
  return (
    <ol className="run-steps" aria-label="Steps of this piece">
      {runs.map((run) => {
        const open = run.steps.find((s) => !state.done.has(s.id));
        const here = run.steps.some((s) => s.id === step.id);
        if (here && run.steps.length > 1)
          return (
            <li key={run.id}>
              <b>{run.title}</b>
              <ol>
                {run.steps.map((s) => (
                  <StepLink
                    key={s.id}
                    id={s.id}
                    title={s.title}
                    here={s.id === step.id}
                    done={state.done.has(s.id)}
                    onStep={onStep}
                  />
                ))}
              </ol>
            </li>
          );
        return (
          <StepLink
            key={run.id}
            id={(open ?? run.steps[0])?.id ?? run.id}
            title={run.title}
            here={here}
            done={open === undefined}
            onStep={onStep}
          />
        );
      })}
    </ol>
  );
}

interface StepLinkProps {
  id: string;
  title: string;
  here: boolean;
  done: boolean;
  onStep: (stepId: string) => void;
}

function StepLink({ id, title, here, done, onStep }: StepLinkProps) {
  return (
    <li>
      <button type="button" aria-current={here} onClick={() => onStep(id)}>
        <span aria-hidden>{done ? '✓' : here ? '▸' : '·'}</span> {title}
      </button>
    </li>
  );
}
