import {
  dimensionOf,
  nameOf,
  peaksOf,
  type DimensionKey,
  type ElementSpan,
  type Outline,
} from '@compas/core';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { STEP, snapped } from '../ui/lengthStep.js';
import { useUnits } from '../ui/units.js';
import { useFrame } from './frame.js';

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

interface Handle extends HandleMove {
  key: string;
  x: number;
  r: number;
  label: string;
}

interface HandleLayerProps {
  outline: Outline;
  /** direction of the part's x on the screen */
  direction: 1 | -1;
  onMove: (move: HandleMove, tag: string) => void;
  onHold: (held: boolean) => void;
}

/** Handles at the transitions, crowns and bottoms: dragged, or moved by arrow keys (Shift is coarse). */
export function HandleLayer({ outline, direction, onMove, onHold }: HandleLayerProps) {
  const frame = useFrame();
  const { units } = useUnits();
  const drag = useRef<{ handle: Handle; x: number; y: number; scale: number; tag: string } | null>(null);

  const begin = (handle: Handle) => (event: PointerEvent<SVGCircleElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = {
      handle,
      x: event.clientX,
      y: event.clientY,
      scale: frame.scale,
      tag: `drag ${handle.key} ${event.timeStamp}`,
    };
    onHold(true);
  };
  const move = (event: PointerEvent) => {
    const held = drag.current;
    if (!held) return;
    const { handle, scale, tag } = held;
    const along = ((event.clientX - held.x) / scale) * direction;
    const across = (2 * (held.y - event.clientY)) / scale;
    onMove(
      {
        ...handle,
        diameter: snapped(handle.diameter + across, units),
        length: snapped(handle.length + along, units),
      },
      tag,
    );
  };
  const end = () => {
    drag.current = null;
    onHold(false);
  };
  const onKeyDown = (handle: Handle) => (event: KeyboardEvent) => {
    const step = STEP[units][event.shiftKey ? 'coarse' : 'fine'];
    const across = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
    const along = (event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0) * direction;
    if (across === 0 && along === 0) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(
      {
        ...handle,
        diameter: Math.max(0, handle.diameter + across),
        length: Math.max(0, handle.length + along),
      },
      `keys ${handle.key}`,
    );
  };
  return handlesOf(outline).map((handle) => (
    <circle
      key={handle.key}
      className="strip-handle"
      cx={frame.at(handle.x)}
      cy={frame.up(handle.r)}
      r={6}
      tabIndex={0}
      role="slider"
      aria-label={handle.label}
      aria-valuenow={Math.round(handle.diameter * 10) / 10}
      aria-orientation="vertical"
      data-handle={handle.key}
      onPointerDown={begin(handle)}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={onKeyDown(handle)}
    />
  ));
}

function handlesOf(outline: Outline): Handle[] {
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
