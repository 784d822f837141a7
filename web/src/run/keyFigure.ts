import {
  atWords,
  figureLabel,
  fromWords,
  type OperationFigure,
  type PartPlan,
  type Station,
  type Step,
} from '@compas/core';
import { figureOfBefore } from './figureOfBefore.js';
import type { ShownFigure } from './shownFigure.js';

/**
 * The figure that is read from a metre and a half away in this step.
 * @param station the station that is measured next, if any
 */
export function keyFigure(step: Step, part: PartPlan, station: Station | undefined): ShownFigure {
  const { operation } = step;
  const own = operation?.figure
    ? shown(operation.figure)
    : ((operation && figureOfBefore(step, operation, part)) ?? effort(step));
  if (!station) return own;
  return {
    label: `${station.label}, should be`,
    mm: step.against === 'cut' ? station.cutTo : station.finished,
  };
}

/** As it is said: a figure that is nought lies flush. */
function shown(figure: OperationFigure): ShownFigure {
  const { from, at } = figure;
  const where = {
    ...(from === undefined ? {} : { from: fromWords(from) }),
    ...(at === undefined ? {} : { at: placed(at) }),
  };
  const label = figureLabel(figure);
  if ('text' in figure) return { label, text: figure.text, ...where };
  const { mm, to } = figure;
  if (to !== undefined) return { label, mm, to, ...where };
  return Math.abs(mm) < NOTHING ? { label, text: 'flush', ...where } : { label, mm, ...where };
}

/** Where it is worked: what begins at an end itself is told by how far it goes, or by the end alone. */
function placed({ from, mm, to }: NonNullable<OperationFigure['at']>): ShownFigure['at'] {
  const begins = Math.abs(mm) < NOTHING ? {} : { mm };
  const words = begins.mm === undefined && to === undefined ? atWords(from) : fromWords(from);
  return { ...begins, ...(to === undefined ? {} : { to }), from: words };
}

/** Less than this is shown as nought, mm. */
const NOTHING = 0.05;

/** What a step is about that sets and cuts nothing. */
const effort = ({ speed, minutes }: Step): ShownFigure =>
  speed !== null
    ? { label: 'speed', text: speed }
    : { label: 'about', text: `${Math.round(minutes * 10) / 10} min` };
