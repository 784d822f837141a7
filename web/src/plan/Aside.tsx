import type { Finding, Plan, Stage } from '@compas/core';
import { placedApart } from '../strip/DecidesLayer.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { FindingDone } from './FindingDone.js';

interface AsideWish {
  stage: Stage;
  findings: readonly Finding[];
  /** by stage */
  figures: Plan['figures'];
  /** the one of those drawn on the strip whose working is asked for */
  opened: string | null;
  patternId: string;
}

/** Stages whose table in the middle tells every figure, with its working. */
const TOLD_IN_TABLE: ReadonlySet<Stage> = new Set(['mark', 'turn']);

/** Stages on whose strip figures are drawn at their places. */
const DRAWN_AT: ReadonlySet<Stage> = new Set(['pattern', 'mount']);

/**
 * What stands beside a stage: what is to be looked at, and the few figures that decide and stand nowhere else.
 * Null when there is nothing of both: the room goes to the work.
 */
export function asideOf({ stage, findings, figures, opened, patternId }: AsideWish) {
  const elsewhere = findings.filter((f) => f.stage !== stage && f.severity === 'stop');
  const shown = [...elsewhere, ...findings.filter((f) => f.stage === stage)];
  const { placed, others } = placedApart(figures.pattern ?? []);
  const own = stage === 'pattern' ? others : (figures[stage] ?? []);
  const asked = DRAWN_AT.has(stage) ? placed.filter((f) => f.id === opened) : [];
  const beside = [...asked, ...(TOLD_IN_TABLE.has(stage) ? [] : own)];
  if (shown.length === 0 && beside.length === 0) return null;
  return (
    <>
      <Findings
        findings={shown}
        empty="Nothing to look at in this stage."
        below={(finding) => <FindingDone finding={finding} patternId={patternId} />}
      />
      <Figures key={opened} figures={beside} opened={opened} />
    </>
  );
}
