import type { Figure, Finding, Stage } from '@compas/core';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { FindingDone } from './FindingDone.js';

interface AsideWish {
  stage: Stage;
  findings: readonly Finding[];
  figures: readonly Figure[];
  patternId: string;
}

/** Stages whose table in the middle tells every figure, with its working. */
const TOLD_IN_TABLE: ReadonlySet<Stage> = new Set(['mark', 'turn']);

/**
 * What stands beside a stage: what is to be looked at, and the few figures that decide and stand nowhere else.
 * Null when there is nothing of both: the room goes to the work.
 */
export function asideOf({ stage, findings, figures, patternId }: AsideWish) {
  const elsewhere = findings.filter((f) => f.stage !== stage && f.severity === 'stop');
  const shown = [...elsewhere, ...findings.filter((f) => f.stage === stage)];
  const beside = TOLD_IN_TABLE.has(stage) ? [] : figures;
  if (shown.length === 0 && beside.length === 0) return null;
  return (
    <>
      <Findings
        findings={shown}
        empty="Nothing to look at in this stage."
        below={(finding) => <FindingDone finding={finding} patternId={patternId} />}
      />
      <Figures figures={beside} />
    </>
  );
}
