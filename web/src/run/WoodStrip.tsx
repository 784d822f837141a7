import { standingBefore, stepsWithTaken, type PartPlan, type StandingWood, type Step } from '@compas/core';
import { useMemo } from 'react';
import { StandingLayer, WorkLayer } from '../strip/StandingLayer.js';
import { StepLayer } from '../strip/layers.js';
import { Strip } from '../strip/Strip.js';
import { lookOf } from '../strip/wood/woodLook.js';
import { figureRoom, FigureLayer } from './FigureLayer.js';
import type { ShownFigure } from './shownFigure.js';
import { PlaceLarger } from './PlaceLarger.js';
import { useTall } from './useTall.js';

/** How finely the wood is drawn, mm. */
const PITCH = 0.4;

/** The wood as it stands before this step, and where the step works; the drawing alone for plans that keep no wood. */
export function WoodStrip({
  part,
  piece,
  steps,
  step,
  figure,
}: {
  part: PartPlan;
  /** each has a grain of its own */
  piece: number;
  steps: readonly Step[];
  step: Step;
  figure: ShownFigure;
}) {
  const tall = useTall();
  const { outline, material, mount, blank } = part;
  const look = useMemo(() => lookOf(material, `${part.partId} ${piece}`), [material, part.partId, piece]);
  // an item is joined of what all its parts have become
  const played = useMemo(
    () => (step.item ? steps : stepsWithTaken(steps, part.partId)),
    [step.item, steps, part.partId],
  );
  // what mends one piece leaves the wood of the plan: it stands as before the step that comes next
  const before =
    step.only === undefined
      ? step.id
      : (steps.slice(steps.indexOf(step)).find((s) => s.only === undefined)?.id ?? step.id);
  const standing = useMemo(() => standingBefore(played, before, PITCH), [played, before]);
  const beyond = standing && beyondEnds(standing, outline.length);
  return (
    <Strip
      outline={outline}
      holes={part.holes}
      bores={part.bores}
      look={look}
      headstockEnd={mount.headstockEnd}
      tallest={tall}
      least={tall}
      figure={figureRoom(window.innerWidth)}
      {...(standing && beyond
        ? {
            before: mount.headstockEnd === 'reference' ? beyond.reference : beyond.far,
            after: mount.headstockEnd === 'reference' ? beyond.far : beyond.reference,
            largestRadius: Math.max(blank.section / 2, standing.most),
            standing: (
              <StandingLayer standing={standing} outline={outline} look={look} hollows={part.hollows} />
            ),
          }
        : {})}
    >
      {standing && <WorkLayer standing={standing} />}
      <StepLayer step={step} stations={part.stations} />
      {standing && <PlaceLarger standing={standing} outline={outline} look={look} />}
      <FigureLayer figure={figure} standing={standing} />
    </Strip>
  );
}

/** How far the wood reaches beyond both ends of the piece, mm. */
function beyondEnds({ reach, pieceAt, pieceRuns }: StandingWood, length: number) {
  const [low, high] = [pieceAt - reach.x0, reach.x1 - pieceAt];
  return pieceRuns > 0
    ? { reference: Math.max(0, low), far: Math.max(0, high - length) }
    : { reference: Math.max(0, high), far: Math.max(0, low - length) };
}
