import {
  besideInBlank,
  lengthOf,
  type Figure,
  type PartPlan,
  type PatternBody,
  type Plan,
  type Stage,
  type Workshop,
} from '@compas/core';
import { DecidesLayer } from '../strip/DecidesLayer.js';
import { DrillLayer, HardwareLayer, MountLayer, TemplateLayer } from '../strip/fittingLayers.js';
import { BlankLayer, CutLayer, FinishLayer, MarkLayer } from '../strip/layers.js';
import { HollowLayer } from '../strip/HollowLayer.js';
import { BesideLayer } from '../strip/StandingLayer.js';
import { RingLayer } from '../strip/RingLayer.js';
import { Strip } from '../strip/Strip.js';
import { lookOf } from '../strip/wood/woodLook.js';
import { besidePart, reachBeside } from '../strip/besidePart.js';
import { TogetherLayer } from '../strip/TogetherLayer.js';
import { useMemo } from 'react';
import { useMarkSheet } from './MarkStage.js';
import { useTemplate } from './useTemplate.js';

/** The strip with the layer of a stage. */
export function StageStrip({
  plan,
  stage,
  workshop,
  pattern,
  selected,
  onSelect,
}: {
  plan: Plan;
  stage: Stage;
  workshop: Workshop;
  pattern: PatternBody;
  selected?: string | null;
  onSelect?: (id: string) => void;
}) {
  const [part] = plan.parts;
  const look = lookOf(part.material, part.partId);
  const { mount, blank, outline } = part;
  // from the moment it is held it stands on its shaft, which is drawn then instead of the blank
  const onShaft = mount.kind === 'glued shaft' && ON_SHAFT.has(stage);
  const blankShown = stage === 'stock' || (!onShaft && (stage === 'turn' || stage === 'mount'));
  const shape = part.speeds.find((s) => s.stage === 'shape');
  const extra = blank.length - outline.length;
  // a piece is parted off at the drive; on a mandrel its waste is all at the tail
  const waste = blankShown && mount.wasteDrive > 0 ? extra - mount.wasteTail : 0;
  const beside = useMemo(
    () => (onShaft || (stage === 'assemble' && plan.item) ? besidePart(pattern, part.partId) : []),
    [onShaft, stage, plan.item, pattern, part.partId],
  );
  const reach = reachBeside(beside, outline.length);
  const fromReference = mount.headstockEnd === 'reference';
  const [whole, atTail] = fromReference ? [reach.reference, reach.far] : [reach.far, reach.reference];
  // what lies in the collet is not seen: the work stands off it by what is left of the reach
  const atHead = onShaft ? Math.max(0, mount.reach - lengthOf(mount.stack ?? [])) : whole;
  const seen: [number, number] = fromReference
    ? [-atHead, outline.length + atTail]
    : [-atTail, outline.length + atHead];
  return (
    <Strip
      outline={outline}
      holes={part.holes}
      bores={part.bores}
      look={look}
      headstockEnd={mount.headstockEnd}
      before={Math.max(waste, atHead)}
      after={blankShown ? Math.max(0, extra - waste) : atTail}
      largestRadius={blankShown ? blank.section / 2 : Math.max(part.largestDiameter / 2, reach.radius)}
      rpm={shape?.rpm ?? null}
      selected={selected}
      onSelect={onSelect}
      behind={
        blankShown ? (
          <BlankLayer blank={blank} />
        ) : (
          <TogetherLayer
            beside={beside}
            seen={seen}
            toneOf={(id) => (plan.parts.find((p) => p.partId === id) ?? part).material.tone}
          />
        )
      }
    >
      {(stage === 'assemble' || stage === 'pattern' || stage === 'time') &&
        [part.hardware, ...(part.otherHardware ?? [])].map(
          (h) => h && <HardwareLayer key={h.fitted.id} hardware={h} />,
        )}
      {stage === 'drill' && <DrillLayer part={part} />}
      {stage === 'mount' && <MountLayer mount={mount} />}
      {(stage === 'mount' || stage === 'pattern') && (
        <DecidesLayer
          outline={outline}
          figures={(plan.figures.pattern ?? []).filter((f) => stage === 'pattern' || isThinnest(f))}
        />
      )}
      {stage === 'mark' && <MarkSheetLayer part={part} workshop={workshop} />}
      <RingLayer part={part} outline={outline} />
      <HollowLayer hollows={part.hollows ?? []} outline={outline} />
      {blankShown && <BesideLayer outline={outline} at={besideInBlank(part.steps)} />}
      {stage === 'turn' && <CutLayer cuts={part.cuts} />}
      {stage === 'surface' && <FinishLayer />}
    </Strip>
  );
}

/** Where it whips first: that decides how it is held. */
const isThinnest = ({ id }: Figure): boolean => id.startsWith('narrowest.');

/** Stages of the work that is done while a part is held by what it is glued onto. */
const ON_SHAFT: ReadonlySet<Stage> = new Set(['mount', 'mark', 'turn', 'surface']);

/** Marks and sizes, or the template when its sheet is open. */
function MarkSheetLayer({ part, workshop }: { part: PartPlan; workshop: Workshop }) {
  const [sheet] = useMarkSheet();
  if (sheet === 'template') return <TemplateSheetLayer part={part} workshop={workshop} />;
  return <MarkLayer layout={part.layout} />;
}

function TemplateSheetLayer({ part, workshop }: { part: PartPlan; workshop: Workshop }) {
  return <TemplateLayer part={part} template={useTemplate(part.outline, workshop)} />;
}
