import { checkPattern, outlineOf, type Finding, type Kit, type Stage, type Workshop } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { patternQuery, type Pattern } from '../api/patterns.js';
import { kitsQuery, workshopQuery } from '../api/workshop.js';
import { WorkScreen } from '../plan/WorkScreen.js';
import { KeptHere } from '../saving/KeptHere.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { useAbout } from '../ui/noted.js';
import { NotedHere } from '../ui/NotedHere.js';
import { Trouble } from '../ui/Trouble.js';
import { firstSpot, spotOf, turningAt, type Spot } from './editing.js';
import {
  EditorActionsContext,
  EditorContext,
  type Editor as EditorState,
  type EditorActions,
} from './editor.js';
import { placedApart } from '../strip/DecidesLayer.js';
import { EditorStrip } from './EditorStrip.js';
import { EditorTabs } from './EditorTabs.js';
import { EditorTitle } from './EditorTitle.js';
import { RevisionHistory } from './RevisionHistory.js';
import { RoundPanel } from './RoundPanel.js';
import { useDraftPlan } from './useDraftPlan.js';
import { useEditorKeys } from './useEditorKeys.js';
import { useGuard } from './useGuard.js';
import { usePatternDraft } from './usePatternDraft.js';
import './pattern.css';

/** The pattern on the strip, every dimension edited in place. */
export default function PatternScreen() {
  const { id = '' } = useParams();
  const pattern = useQuery(patternQuery(id));
  const workshop = useQuery(workshopQuery);
  const kits = useQuery(kitsQuery);
  if (!pattern.data || !workshop.data || !kits.data) return null;
  return <Editor key={id} pattern={pattern.data} workshop={workshop.data.body} kits={kits.data} />;
}

function Editor({ pattern, workshop, kits }: { pattern: Pattern; workshop: Workshop; kits: Kit[] }) {
  const draft = usePatternDraft(pattern);
  const { body, change, update, read, undo, redo } = draft;
  const about = useAbout();
  const [wanted, setSpot] = useState<Spot>(() => spotOf(pattern.body, about));
  const [selected, setSelected] = useState<string | null>(about);
  const spot = body.parts.some((p) => p.id === wanted.partId) ? wanted : firstSpot(body);
  // the strip follows at once; judging and planning follow when there is a moment
  const calm = useDeferredValue(body);
  const { plan, error: planError } = useDraftPlan(calm, spot, workshop, kits);
  const problems = useMemo(() => checkPattern(calm).map(problemFinding), [calm]);
  useEditorKeys(undo, redo, draft.save);
  useGuard(draft.changed, `/patterns/${pattern.id}/plan/`);
  const editor = useMemo<EditorState>(
    () => ({
      body,
      outline: outlineOf(turningAt(body, spot)),
      workshop,
      spot,
      goTo: setSpot,
      change,
      selected,
      select: setSelected,
    }),
    [body, workshop, spot, change, selected],
  );
  const actions = useMemo<EditorActions>(
    () => ({
      spot: { partId: spot.partId, turningId: spot.turningId },
      lathe: workshop.lathe,
      update,
      read,
      select: setSelected,
    }),
    [spot.partId, spot.turningId, workshop.lathe, update, read],
  );
  const planned = plan?.parts[0] ?? null;
  const part = body.parts.find((p) => p.id === spot.partId) ?? body.parts[0];
  const shown = shownFindings(problems, plan?.findings ?? []);
  const { placed, others } = placedApart(plan?.figures.pattern ?? []);
  const [figure, openFigure] = useState<string | null>(null);
  return (
    <EditorActionsContext value={actions}>
      <EditorContext value={editor}>
        <WorkScreen
          title={
            <EditorTitle
              pattern={pattern}
              name={draft.name}
              onName={draft.setName}
              undo={draft.canUndo ? undo : null}
              redo={draft.canRedo ? redo : null}
              changed={draft.changed}
              onSave={problems.length > 0 ? null : draft.save}
              saving={draft.saving}
              partId={part.id}
            />
          }
          strip={<EditorStrip planned={planned} findings={shown} figures={placed} onFigure={openFigure} />}
          band={<NotedHere wish="Change what it says, and save: that is the next revision." />}
          stage="pattern"
          findings={[...problems, ...(plan?.findings ?? [])]}
          to={problems.length > 0 ? () => null : stageOf(pattern.id)}
          aside={
            <>
              <KeptHere at={draft.keptAt} room={draft.room} onTakeBack={draft.takeBack} />
              <Trouble error={draft.error} />
              {planError && (
                <p role="alert">▲ No plan could be made of it as it stands: {planError.message}</p>
              )}
              <Findings
                findings={shown}
                empty="It can be made as it stands."
                below={({ elementId }) =>
                  elementId !== undefined &&
                  elementId !== selected && (
                    <button
                      type="button"
                      className="more"
                      onClick={() => {
                        setSpot(spotOf(body, elementId));
                        setSelected(elementId);
                      }}
                    >
                      To its row
                    </button>
                  )
                }
              />
              <RoundPanel body={calm} />
              <Figures
                key={figure}
                figures={[...placed.filter((f) => f.id === figure), ...others]}
                opened={figure}
              />
              <div>
                <h2>History</h2>
                <RevisionHistory patternId={pattern.id} current={pattern.revision} onTake={change} />
              </div>
            </>
          }
        >
          <EditorTabs
            kits={kits}
            hardware={planned?.partId === part.id ? planned.hardware : null}
            parts={body.parts.length}
            patternId={pattern.id}
          />
        </WorkScreen>
        {draft.dialog}
      </EditorContext>
    </EditorActionsContext>
  );
}

/** Where each stage leads from the editor; run and twins belong to a batch. */
const stageOf =
  (id: string) =>
  (stage: Stage): string | null => {
    if (stage === 'pattern') return `/patterns/${id}`;
    return stage === 'run' || stage === 'twins' ? null : `/patterns/${id}/plan/${stage}`;
  };

/** What keeps it from being made, then what the plan says of the pattern; each place once. */
function shownFindings(problems: Finding[], planned: readonly Finding[]): Finding[] {
  const own = planned.filter(
    (f) =>
      f.stage === 'pattern' || f.severity === 'stop' || f.stage === 'drill' || f.id.startsWith('turn.tool.'),
  );
  return [
    ...problems,
    ...own.filter((f) => !problems.some((p) => p.elementId !== undefined && p.elementId === f.elementId)),
  ];
}

const problemFinding = (problem: { partId: string; elementId?: string; why: string }): Finding => ({
  id: `problem.${problem.partId}.${problem.elementId ?? ''}.${problem.why}`,
  severity: 'stop',
  stage: 'pattern',
  partId: problem.partId,
  elementId: problem.elementId,
  what: problem.why,
  why: 'The pattern cannot be saved while this stands.',
  remedy: 'Change it in the list, or undo.',
});
