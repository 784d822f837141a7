import type { Plan, Stage } from '@compas/core';
import {
  BlankLayer,
  CutLayer,
  DrillLayer,
  FinishLayer,
  HardwareLayer,
  MarkLayer,
  MountLayer,
} from '../strip/layers.js';
import { Strip } from '../strip/Strip.js';

/** The strip with the layer of a stage. */
export function StageStrip({
  plan,
  stage,
  selected,
  onSelect,
}: {
  plan: Plan;
  stage: Stage;
  selected?: string | null;
  onSelect?: (id: string) => void;
}) {
  const [part] = plan.parts;
  const blankShown = stage === 'stock' || stage === 'turn' || stage === 'mount';
  const { mount, blank, outline } = part;
  const shape = part.speeds.find((s) => s.stage === 'shape');
  const extra = blank.length - outline.length;
  // a piece is parted off at the drive; on a mandrel its waste is all at the tail
  const before = blankShown && mount.wasteDrive > 0 ? extra - mount.wasteTail : 0;
  return (
    <Strip
      outline={outline}
      holes={part.holes}
      bores={part.bores}
      tone={part.material.tone}
      headstockEnd={mount.headstockEnd}
      before={before}
      after={blankShown ? Math.max(0, extra - before) : 0}
      largestRadius={blankShown ? blank.section / 2 : undefined}
      rpm={shape?.rpm ?? null}
      selected={selected}
      onSelect={onSelect}
      behind={blankShown ? <BlankLayer blank={blank} /> : null}
    >
      {part.hardware && (stage === 'assemble' || stage === 'pattern' || stage === 'time') && (
        <HardwareLayer hardware={part.hardware} />
      )}
      {stage === 'drill' && <DrillLayer operations={part.drilling} />}
      {stage === 'mount' && <MountLayer mount={mount} />}
      {stage === 'mark' && <MarkLayer layout={part.layout} />}
      {stage === 'turn' && <CutLayer cuts={part.cuts} />}
      {stage === 'surface' && <FinishLayer />}
    </Strip>
  );
}
