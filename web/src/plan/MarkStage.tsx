import { ballOf, type PartPlan, type PlanInputs } from '@compas/core';
import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { BallPanel } from './BallPanel.js';
import type { Choose } from './draft.js';
import { GaugePanel } from './GaugePanel.js';
import { MarkPanel } from './MarkPanel.js';
import { TemplatePanel } from './TemplatePanel.js';

interface MarkStageProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
  batchId?: string;
}

const SHEETS = ['marks', 'gauges', 'template', 'ball'] as const;
export type MarkSheet = (typeof SHEETS)[number];

/** Which of the mark stage's sheets is open: it stands in the address. */
export function useMarkSheet(): [MarkSheet, (sheet: MarkSheet) => void] {
  const [search, setSearch] = useSearchParams();
  const sheet = SHEETS.find((s) => s === search.get('sheet')) ?? 'marks';
  const open = (wanted: MarkSheet) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        after.set('sheet', wanted);
        return after;
      },
      { replace: true },
    );
  return [sheet, open];
}

/** Story stick, gauges, template, ball marks: all that puts the same line in the same place. */
export function MarkStage({ part, inputs, choose, batchId }: MarkStageProps) {
  const [sheet, open] = useMarkSheet();
  const ball = ballOf(part);
  return (
    <div className="column">
      <Segmented
        aria-label="Sheet"
        value={sheet}
        onChange={open}
        options={[
          { value: 'marks', label: 'Marks and sizes' },
          { value: 'gauges', label: 'Gauges' },
          { value: 'template', label: 'Copying template' },
          ...(ball === null ? [] : [{ value: 'ball' as const, label: 'Ball' }]),
        ]}
        className="self-start"
      />
      {sheet === 'marks' && <MarkPanel part={part} inputs={inputs} choose={choose} batchId={batchId} />}
      {sheet === 'gauges' && <GaugePanel part={part} workshop={inputs.workshop} batchId={batchId} />}
      {sheet === 'template' && <TemplatePanel part={part} workshop={inputs.workshop} batchId={batchId} />}
      {sheet === 'ball' && ball !== null && <BallPanel diameter={ball} batchId={batchId} />}
    </div>
  );
}
