import {
  checkPattern,
  outlineOf,
  type Finding,
  type Kit,
  type PatternBody,
  type PlannedHardware,
  type PlanInputs,
  type Stage,
  type Workshop,
} from '@compas/core';
import { hashKey, useQuery } from '@tanstack/react-query';
import { App, Button, Input, Tabs } from 'antd';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useBlocker, useParams } from 'react-router';
import {
  kitsQuery,
  patternQuery,
  savePattern,
  useChange,
  workshopQuery,
  type Pattern,
} from '../api/queries.js';
import { draftFrom } from '../plan/draft.js';
import { WorkScreen } from '../plan/WorkScreen.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { Trouble } from '../ui/Trouble.js';
import { usePlan } from '../workers/usePlan.js';
import { ChecksPanel } from './ChecksPanel.js';
import { firstSpot, turningAt, type Spot } from './editing.js';
import {
  EditorActionsContext,
  EditorContext,
  type Editor as EditorState,
  type EditorActions,
} from './editor.js';
import { EditorStrip } from './EditorStrip.js';
import { ElementList } from './ElementList.js';
import { ExportMenu } from './ExportMenu.js';
import { HardwarePanel } from './HardwarePanel.js';
import { HolesPanel } from './HolesPanel.js';
import { JoinsPanel } from './JoinsPanel.js';
import { PartBar } from './PartBar.js';
import { ReshapeMenu } from './ReshapeMenu.js';
import { RevisionHistory } from './RevisionHistory.js';
import { RoundPanel } from './RoundPanel.js';
import { SourcePanel } from './SourcePanel.js';
import { SurfacePanel } from './SurfacePanel.js';
import { useHistory } from './useHistory.js';
import './pattern.css';

/** The pattern on the strip, every dimension edited in place. */
export default function PatternScreen() {
  const { id = '' } = useParams();
  const pattern = useQuery(patternQuery(id));
  const workshop = useQuery(workshopQuery);
  const kits = useQuery(kitsQuery);
  if (pattern.isError) return <Trouble error={pattern.error} />;
  if (!pattern.data || !workshop.data || !kits.data) return null;
  return <Editor key={id} pattern={pattern.data} workshop={workshop.data.body} kits={kits.data} />;
}

const NOTHING_CHOSEN = new URLSearchParams();

function Editor({ pattern, workshop, kits }: { pattern: Pattern; workshop: Workshop; kits: Kit[] }) {
  const {
    present: body,
    change,
    update,
    read,
    undo,
    redo,
    canUndo,
    canRedo,
  } = useHistory<PatternBody>(pattern.body);
  const [name, setName] = useState(pattern.name);
  const [wanted, setSpot] = useState<Spot>(() => firstSpot(pattern.body));
  const [selected, setSelected] = useState<string | null>(null);
  const spot = body.parts.some((p) => p.id === wanted.partId) ? wanted : firstSpot(body);
  const save = useChange(savePattern, 'patterns');
  const { message } = App.useApp();
  // the strip follows at once; judging and planning follow when there is a moment
  const calm = useDeferredValue(body);
  const plan = useDraftPlan(calm, spot, workshop, kits);
  const problems = useMemo(() => checkPattern(calm).map(problemFinding), [calm]);
  const changed = useMemo(
    () => name !== pattern.name || (calm !== pattern.body && hashKey([pattern.body]) !== hashKey([calm])),
    [name, calm, pattern],
  );
  const keep = useCallback(() => {
    save.mutate(
      { id: pattern.id, name: name.trim() || pattern.name, body, basedOn: pattern.revision },
      {
        onSuccess: (kept) =>
          void message.success(
            kept.revision === pattern.revision ? 'Saved.' : `Saved as revision ${kept.revision}.`,
          ),
      },
    );
  }, [save, pattern, name, body, message]);
  useEditorKeys(undo, redo, keep);
  useGuard(changed);
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
  const to = (stage: Stage) =>
    stage === 'pattern'
      ? `/patterns/${pattern.id}`
      : stage === 'run' || stage === 'twins'
        ? null
        : `/patterns/${pattern.id}/plan/${stage}`;
  const planned = plan?.parts[0] ?? null;
  const part = body.parts.find((p) => p.id === spot.partId) ?? body.parts[0];
  const own = (plan?.findings ?? []).filter(
    (f) =>
      f.stage === 'pattern' || f.severity === 'stop' || f.stage === 'drill' || f.id.startsWith('turn.tool.'),
  );
  const shown = [
    ...problems,
    ...own.filter((f) => !problems.some((p) => p.elementId !== undefined && p.elementId === f.elementId)),
  ];
  return (
    <EditorActionsContext value={actions}>
      <EditorContext value={editor}>
        <WorkScreen
          title={
            <>
              <Input
                variant="borderless"
                aria-label="Name of the pattern"
                value={name}
                maxLength={80}
                onChange={(e) => setName(e.target.value)}
                style={{ fontSize: 26, fontWeight: 650, width: 380, paddingLeft: 0 }}
              />
              <span className="row" style={{ gap: 8 }}>
                <Button onClick={undo} disabled={!canUndo}>
                  Undo
                </Button>
                <Button onClick={redo} disabled={!canRedo}>
                  Redo
                </Button>
                <ReshapeMenu />
                <ExportMenu patternId={pattern.id} name={name} />
                <Link to={`/patterns/${pattern.id}/compare`}>
                  <Button disabled={changed} title={changed ? 'Save first' : undefined}>
                    Compare
                  </Button>
                </Link>
                <Button
                  onClick={keep}
                  type={changed ? 'primary' : 'default'}
                  disabled={!changed || problems.length > 0}
                  loading={save.isPending}
                >
                  {changed ? `Save as revision ${pattern.revision + 1}` : `Revision ${pattern.revision}`}
                </Button>
                <Link to={`/patterns/${pattern.id}/plan/stock?part=${part.id}`}>
                  <Button
                    type={changed ? 'default' : 'primary'}
                    disabled={changed}
                    title={changed ? 'Save first: plans are made of revisions' : undefined}
                  >
                    Order some
                  </Button>
                </Link>
              </span>
            </>
          }
          strip={<EditorStrip planned={planned} findings={shown} />}
          stage="pattern"
          findings={[...problems, ...(plan?.findings ?? [])]}
          to={changed ? () => null : to}
          aside={
            <>
              <Trouble error={save.error} />
              <Findings findings={shown} empty="It can be made as it stands." />
              <RoundPanel body={calm} />
              <Figures figures={plan?.figures.pattern ?? []} />
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
      </EditorContext>
    </EditorActionsContext>
  );
}

interface EditorTabsProps {
  kits: Kit[];
  hardware: PlannedHardware | null;
  parts: number;
  patternId: string;
}

/** The panels of the editor: each draws itself anew when what it shows has changed. */
const EditorTabs = memo(function EditorTabs({ kits, hardware, parts, patternId }: EditorTabsProps) {
  return (
    <Tabs
      items={[
        {
          key: 'profile',
          label: 'Profile',
          children: (
            <div className="column">
              <ElementList />
              <HardwarePanel kits={kits} hardware={hardware} />
            </div>
          ),
        },
        { key: 'holes', label: 'Holes', children: <HolesPanel /> },
        {
          key: 'parts',
          label: `Parts and joins${parts > 1 ? ` (${parts})` : ''}`,
          children: (
            <div className="column">
              <PartBar />
              <JoinsPanel kits={kits} />
            </div>
          ),
        },
        {
          key: 'surface',
          label: 'Surface and checks',
          children: (
            <div className="column">
              <SurfacePanel />
              <ChecksPanel patternId={patternId} />
            </div>
          ),
        },
        { key: 'source', label: 'Source and mates', children: <SourcePanel /> },
      ]}
    />
  );
});

function useDraftPlan(body: PatternBody, spot: Spot, workshop: Workshop, kits: Kit[]) {
  const [opened] = useState(() => Date.now());
  const inputs = useMemo<PlanInputs>(() => {
    const { order, schools } = draftFrom(NOTHING_CHOSEN, body, workshop, opened);
    const part = body.parts.find((p) => p.id === spot.partId) ?? body.parts[0];
    return {
      pattern: body,
      workshop,
      stock: { kits },
      order: { ...order, partId: part.id, materialId: part.materialId },
      schools,
    };
  }, [body, spot.partId, workshop, kits, opened]);
  return usePlan(inputs);
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

function useEditorKeys(undo: () => void, redo: () => void, save: () => void): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 's') return;
      event.preventDefault();
      if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
      if (key === 's') save();
      else if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [undo, redo, save]);
}

/** Asks before changes that are not saved would be left behind. */
function useGuard(changed: boolean): void {
  const { modal } = App.useApp();
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => changed && currentLocation.pathname !== nextLocation.pathname,
  );
  useEffect(() => {
    if (blocker.state !== 'blocked') return;
    modal.confirm({
      title: 'Leave without saving?',
      content: 'The changes to this pattern would be lost.',
      okText: 'Leave',
      cancelText: 'Stay',
      onOk: () => blocker.proceed(),
      onCancel: () => blocker.reset(),
    });
  }, [blocker, modal]);
}
