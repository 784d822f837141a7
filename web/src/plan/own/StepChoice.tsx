import {
  doesOf,
  stepDoes,
  withoutPart,
  type Decision,
  type Does,
  type Drive,
  type Step,
  type Tool,
  type WayScope,
} from '@compas/core';
import { InputNumber, Segmented, Select } from 'antd';
import { useState } from 'react';
import { RpmField } from './RpmField.js';
import { DecideForm } from './Otherwise.js';
import { DRAWN_SCOPES, EVERY_SCOPE, namedFor, useDeciding } from './deciding.js';
import { OwnStepForm } from './OwnStepForm.js';

/** What of a step can be decided otherwise. */
const WHAT = {
  minutes: 'its minutes',
  tool: 'its tool',
  pace: 'its speed',
  without: 'leave it out',
  after: 'own step after it',
} as const;
type What = keyof typeof WHAT;

interface StepChoiceProps {
  step: Step;
  tools: readonly Tool[];
  /** what turns the lathe, where its speed can be set here */
  drive?: Drive | undefined;
  onDone: () => void;
}

/** One step decided otherwise: its time, its tool, its speed, left out, or something of one's own behind it. */
export function StepChoice({ step, tools, drive, onDone }: StepChoiceProps) {
  const [what, setWhat] = useState<What>('minutes');
  const deciding = useDeciding();
  if (!deciding) return null;
  const ofItem = step.item === true;
  const isOwn = stepDoes(step, 'own');
  const possible = (Object.keys(WHAT) as What[]).filter((w) => {
    if (ofItem) return w === 'minutes' || w === 'after';
    if (isOwn) return w === 'minutes' || w === 'after';
    if (w === 'tool') return tools.length > 0 && stepDoes(step, 'rough', 'size', 'shape');
    return w !== 'pace' || (drive && drive.kind !== 'treadle' && isTurned(step));
  });
  return (
    <div className="decide-step">
      {possible.length > 1 && (
        <Segmented<What>
          aria-label={`What of: ${step.title}`}
          value={what}
          onChange={setWhat}
          options={possible.map((w) => ({ value: w, label: WHAT[w] }))}
        />
      )}
      {what === 'after' ? (
        <OwnStepForm after={withoutPart(step.id, step.partId)} title={step.title} onDone={onDone} />
      ) : (
        <OneStep key={what} what={what} step={step} tools={tools} drive={drive} onDone={onDone} />
      )}
    </div>
  );
}

/** Whether the lathe turns for it at a speed of its own: a bit has the speed of its bit. */
const isTurned = ({ operation }: Step): boolean => operation?.turns !== undefined && (operation.rpm ?? 0) > 0;

function OneStep({ what, step, tools, drive, onDone }: StepChoiceProps & { what: Exclude<What, 'after'> }) {
  const deciding = useDeciding();
  const [minutes, setMinutes] = useState<number | null>(Math.round(step.minutes * 10) / 10);
  const [toolId, setToolId] = useState(tools.find((t) => t.name === step.operation?.tool)?.id);
  const [rpm, setRpm] = useState<number | null>(step.operation?.rpm ?? null);
  const { operation } = step;
  const does = operation ? doesOf(operation.kind) : 'own';
  const of = deciding?.part.outline.spans.find((s) => s.element.id === operation?.subject)?.element.kind;
  const like = { kind: 'like', does, ...(of === undefined ? {} : { of }) } as const;
  const own = { kind: 'step', id: step.item ? step.id : withoutPart(step.id, step.partId) } as const;
  const wanted = (scope: WayScope): Decision | null => {
    // the parting and the roughing tool are one for all such cuts
    const on = namedFor(scope, what === 'tool' && does !== 'shape' ? { kind: 'like', does } : own, like);
    if (what === 'minutes') return minutes === null ? null : { kind: 'minutes', on, minutes };
    if (what === 'pace') return rpm === null ? null : { kind: 'pace', on, rpm };
    if (what === 'tool') return toolId === undefined ? null : { kind: 'tool', on, toolId };
    return { kind: 'without', on };
  };
  const alike =
    of === undefined
      ? `every step that does the same (${does})`
      : `every ${of} that is ${DONE[does] ?? does}`;
  return (
    <DecideForm
      label={`${WHAT[what]}: ${step.title}`}
      wanted={wanted}
      scopes={step.item ? DRAWN_SCOPES : EVERY_SCOPE}
      carries={alike}
      onDone={onDone}
    >
      {what === 'minutes' && (
        <InputNumber
          aria-label={`Minutes: ${step.title}`}
          value={minutes}
          min={0}
          max={10_000}
          step={0.5}
          onChange={setMinutes}
          className="w-name"
          suffix="min a piece"
        />
      )}
      {what === 'tool' && (
        <Select
          aria-label={`Tool: ${step.title}`}
          value={toolId}
          onChange={setToolId}
          className="w-phrase"
          options={tools.map((t) => ({ value: t.id, label: t.name }))}
        />
      )}
      {what === 'pace' && drive && drive.kind !== 'treadle' && (
        <RpmField label={`Speed: ${step.title}`} drive={drive} rpm={rpm} setRpm={setRpm} />
      )}
      {what === 'without' && <span>Left out; what it would have made is a note from then on.</span>}
    </DecideForm>
  );
}

const DONE: Partial<Record<Does, string>> = { shape: 'shaped', size: 'sized', hollow: 'hollowed' };
