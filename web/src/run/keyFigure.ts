import {
  atWords,
  figureLabel,
  fromWords,
  type Along,
  type OperationFigure,
  type SmallFigure,
  type Station,
  type Step,
} from '@compas/core';
import type { ShownFigure, ShownSmall } from './shownFigure.js';

/**
 * The figure that is read from a metre and a half away in this step.
 * @param station the station that is measured next, if any
 */
export function keyFigure(step: Step, station: Station | undefined): ShownFigure {
  if (station)
    return {
      label: `${station.label}, should be`,
      mm: step.against === 'cut' ? station.cutTo : station.finished,
    };
  const figure = step.operation?.figure;
  return figure ? shown(figure) : effort(step);
}

function shown(figure: OperationFigure): ShownFigure {
  const { at, beside = [] } = figure;
  return {
    ...small(figure),
    ...(at === undefined ? {} : { at: placed(at) }),
    ...(beside.length === 0 ? {} : { beside: beside.map(small) }),
  };
}

/** As it is said: a figure that is nought lies flush. */
function small(figure: SmallFigure): ShownSmall {
  const from = figure.from === undefined ? {} : { from: fromWords(figure.from) };
  const label = figureLabel(figure);
  if ('text' in figure) return { label, text: figure.text, ...from };
  const { mm, to } = figure;
  if (to !== undefined) return { label, mm, to, ...from };
  return Math.abs(mm) < NOTHING ? { label, text: 'flush', ...from } : { label, mm, ...from };
}

/** Where it is worked: what begins at an end itself is told by how far it goes, or by the end alone. */
function placed({ from, mm, to }: Along): ShownFigure['at'] {
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
