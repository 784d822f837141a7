import type { PartPlan, Station, Step } from '@compas/core';

/** The one number of a step. */
export type KeyFigure = { label: string; mm: number } | { label: string; text: string };

/**
 * The figure that is read from a metre and a half away in this step.
 * @param station the station that is measured next, if any
 */
export function keyFigure(step: Step, part: PartPlan, station: Station | undefined): KeyFigure {
  if (station)
    return {
      label: `${station.label}, should be`,
      mm: step.against === 'cut' ? station.cutTo : station.finished,
    };
  const drilling = part.drilling.find((d) => step.id === `drill.${d.id}`);
  if (drilling) return { label: 'tape at', mm: drilling.tapeAt };
  const cross = part.crossDrilling?.find((d) => step.id === `drill.cross.${d.id}`);
  if (cross) return { label: 'centre from the end', mm: cross.x };
  const fitting = hardwareFigure(step, part);
  if (fitting) return fitting;
  switch (step.id) {
    case 'saw':
      return { label: 'blank, square', mm: part.blank.section };
    case 'centres':
      return { label: 'gauge lines at', mm: part.blank.section / 2 };
    case 'rough':
      return { label: 'round to', mm: part.largestDiameter + 1 };
    case 'mark':
      return { label: 'notches', text: String(part.layout.marks.length) };
    case 'sand':
      return { label: 'grits', text: part.ladder.map((g) => g.abrasive.grit).join(' ') };
    case 'mount':
      return { label: 'at the drive', text: part.mount.headstock };
  }
  if (step.speed !== null) return { label: 'speed', text: step.speed };
  return { label: 'about', text: `${Math.round(step.minutes * 10) / 10} min` };
}

/** Trial fits and joins are about a diameter of the hardware: what the wood is held against. */
function hardwareFigure(step: Step, { hardware }: PartPlan): KeyFigure | null {
  if (!hardware || !['fit', 'ferrule', 'assemble'].includes(step.id)) return null;
  const { kit, needs } = hardware;
  if (step.id === 'fit' && kit.kind === 'ferrule')
    return { label: 'outside of the ferrule', mm: kit.outsideDiameter.mm };
  return needs.mating ? { label: needs.mating.label, mm: needs.mating.diameter } : null;
}
