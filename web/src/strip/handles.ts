import {
  dimensionOf,
  nameOf,
  peaksOf,
  type DimensionKey,
  type ElementSpan,
  type Outline,
} from '@compas/core';

/** Moves a dimension of an element, or the start diameter when there is no element. */
export interface HandleMove {
  elementId: string | null;
  /** the dimension across the axis, when the handle has one */
  across: DimensionKey | 'startDiameter' | null;
  diameter: number;
  /** the dimension along the axis, when it has one */
  along: DimensionKey | null;
  length: number;
}

export interface Handle extends HandleMove {
  key: string;
  x: number;
  r: number;
  label: string;
}

/** What can be taken hold of: transitions, crowns and bottoms, unless their dimensions are held. */
export function handlesOf(outline: Outline): Handle[] {
  const first = outline.spans[0];
  const start: Handle[] = first
    ? [
        {
          key: 'start',
          elementId: null,
          x: 0,
          r: first.startDiameter / 2,
          across: 'startDiameter',
          diameter: first.startDiameter,
          along: null,
          length: 0,
          label: 'Diameter at the reference end',
        },
      ]
    : [];
  return [...start, ...outline.spans.flatMap((span) => ofSpan(outline, span))];
}

/** Dimensions whose handle stands at a highest or lowest place inside the element. */
const PEAKS = [
  ['crown', 'crest'],
  ['diameter', 'crest'],
  ['bottom', 'bottom'],
] as const;

function ofSpan(outline: Outline, span: ElementSpan): Handle[] {
  const { element, x0, x1, endDiameter } = span;
  const name = nameOf(element);
  const held = (key: DimensionKey) => element.held?.includes(key) === true;
  const value = (key: DimensionKey) => (held(key) ? undefined : dimensionOf(element, key)?.mm);
  const along = value('length') !== undefined && !element.takesUp ? ('length' as const) : null;
  const across = value('endDiameter') !== undefined ? ('endDiameter' as const) : null;
  const base = { elementId: element.id, along, length: x1 - x0 };
  const handles: Handle[] = [];
  if (along || across)
    handles.push({
      ...base,
      key: `${element.id}.end`,
      x: x1,
      r: endDiameter / 2,
      across,
      diameter: endDiameter,
      label: `End of ${name}`,
    });
  const peaks = peaksOf(outline, span);
  for (const [key, is] of PEAKS) {
    const mm = value(key);
    if (mm !== undefined)
      handles.push({
        ...base,
        along: null,
        key: `${element.id}.${key}`,
        x: peaks.find((p) => p.is === is)?.x ?? (x0 + x1) / 2,
        r: mm / 2,
        across: key,
        diameter: mm,
        label: `${is === 'bottom' ? 'Bottom' : 'Crown'} of ${name}`,
      });
  }
  return handles;
}

/** A place on the screen, px. */
interface Spot {
  x: number;
  y: number;
}

const ROUNDS = 40;

/**
 * Spots moved apart until no two are nearer than `least`, px; those that have room stay where they are. Two
 * on one place part along the axis, in their order.
 */
export function fannedOut(spots: readonly Spot[], least: number): Spot[] {
  const moved = spots.map((spot) => ({ ...spot }));
  for (let round = 0; round < ROUNDS; round++) {
    let still = true;
    moved.forEach((a, i) =>
      moved.slice(i + 1).forEach((b) => {
        const [dx, dy] = [b.x - a.x, b.y - a.y];
        const away = Math.hypot(dx, dy);
        if (away >= least - 0.5) return;
        still = false;
        const by = (least - away) / 2;
        const [ux, uy] = away < 0.01 ? [1, 0] : [dx / away, dy / away];
        a.x -= ux * by;
        a.y -= uy * by;
        b.x += ux * by;
        b.y += uy * by;
      }),
    );
    if (still) break;
  }
  return moved;
}
