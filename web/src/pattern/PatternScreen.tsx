import {
  checkPattern,
  differenceInWords,
  type Finding,
  type Kit,
  type PatternBody,
  type PlanInputs,
  type Stage,
  type Workshop,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useCallback, useEffect, useMemo, useState } from 'react';
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
import { StageStrip } from '../plan/StageStrip.js';
import { WorkScreen } from '../plan/WorkScreen.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { Trouble } from '../ui/Trouble.js';
import { usePlan } from '../workers/usePlan.js';
import { ElementList } from './ElementList.js';
import { HardwarePanel, HolesPanel } from './HardwarePanel.js';
import { RevisionHistory } from './RevisionHistory.js';
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
  const { present: body, change, undo, redo, canUndo, canRedo } = useHistory<PatternBody>(pattern.body);
  const [name, setName] = useState(pattern.name);
  const [selected, setSelected] = useState<string | null>(null);
  const [opened] = useState(() => Date.now());
  const save = useChange(savePattern, 'patterns');
  const { message } = App.useApp();
  const inputs = useMemo<PlanInputs>(() => {
    const { order, schools } = draftFrom(NOTHING_CHOSEN, body, workshop, opened);
    return {
      pattern: body,
      workshop,
      stock: { kits },
      order: { ...order, materialId: body.parts[0].materialId },
      schools,
    };
  }, [body, workshop, kits, opened]);
  const plan = usePlan(inputs);
  const problems = useMemo(() => checkPattern(body).map(problemFinding), [body]);
  const changed =
    name !== pattern.name ||
    differenceInWords(pattern.body, body).length > 0 ||
    JSON.stringify(pattern.body) !== JSON.stringify(body);
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
  if (!plan) return null;
  const to = (stage: Stage) =>
    stage === 'pattern'
      ? `/patterns/${pattern.id}`
      : stage === 'run' || stage === 'twins'
        ? null
        : `/patterns/${pattern.id}/plan/${stage}`;
  const [part] = plan.parts;
  const own = plan.findings.filter(
    (f) => f.stage === 'pattern' || f.severity === 'stop' || f.stage === 'drill',
  );
  return (
    <WorkScreen
      title={
        <>
          <Input
            variant="borderless"
            aria-label="Name of the pattern"
            value={name}
            maxLength={80}
            onChange={(e) => setName(e.target.value)}
            style={{ fontSize: 26, fontWeight: 650, width: 460, paddingLeft: 0 }}
          />
          <span className="row">
            <Button onClick={undo} disabled={!canUndo}>
              Undo
            </Button>
            <Button onClick={redo} disabled={!canRedo}>
              Redo
            </Button>
            <Button
              onClick={keep}
              type={changed ? 'primary' : 'default'}
              disabled={!changed || problems.length > 0}
              loading={save.isPending}
            >
              {changed ? `Save as revision ${pattern.revision + 1}` : `Revision ${pattern.revision}`}
            </Button>
            <Link to={`/patterns/${pattern.id}/plan/stock`}>
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
      strip={<StageStrip plan={plan} stage="pattern" selected={selected} onSelect={setSelected} />}
      stage="pattern"
      findings={[...problems, ...plan.findings]}
      to={changed ? () => null : to}
      aside={
        <>
          <Trouble error={save.error} />
          <Findings
            findings={[
              ...problems,
              ...own.filter(
                (f) => !problems.some((p) => p.elementId !== undefined && p.elementId === f.elementId),
              ),
            ]}
            empty="It can be made as it stands."
          />
          <Figures figures={plan.figures.pattern ?? []} />
          <div>
            <h2>History</h2>
            <RevisionHistory patternId={pattern.id} current={pattern.revision} onTake={change} />
          </div>
        </>
      }
    >
      <div className="column">
        <HardwarePanel body={body} onChange={change} kits={kits} hardware={part.hardware} />
        <ElementList
          body={body}
          outline={part.outline}
          lathe={workshop.lathe}
          selected={selected}
          onSelect={setSelected}
          onChange={change}
        />
        <HolesPanel body={body} onChange={change} />
      </div>
    </WorkScreen>
  );
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
