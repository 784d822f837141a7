import { parseLength, type Units } from '@compas/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { STEP, snapped } from '../ui/lengthStep.js';
import { useUnits } from '../ui/units.js';
import type { Handle, HandleMove } from './handles.js';

/** What is being typed at a handle: for which of its dimensions, and why it cannot be read. */
export interface Typed {
  of: 'across' | 'along';
  text: string;
  why: string | null;
}

interface HandleWays {
  scale: number;
  /** direction of the part's x on the screen */
  direction: 1 | -1;
  onMove: (move: HandleMove, tag: string) => void;
  onHold: (held: boolean) => void;
}

/** Characters that lengths are typed with. */
const TYPED = /^[0-9.,/ "'+-]$/;

/**
 * One handle at a time: dragged, moved by arrow keys, or given a typed length. Shift keeps a drag to one
 * direction; Esc leaves everything as it was when the handle was taken.
 */
export function useHandle({ scale, direction, onMove, onHold }: HandleWays) {
  const { units } = useUnits();
  const [active, setActive] = useState<string | null>(null);
  const [typed, setTyped] = useState<Typed | null>(null);
  const taken = useRef<Handle | null>(null);
  const drag = useRef<{ handle: Handle; x: number; y: number; scale: number; tag: string } | null>(null);

  const take = (handle: Handle) => {
    setActive(handle.key);
    taken.current = handle;
  };
  const restore = (tag: string) => {
    if (taken.current) onMove(taken.current, tag);
  };
  const letGo = () => {
    drag.current = null;
    onHold(false);
  };

  const begin = (handle: Handle) => (event: PointerEvent<SVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    take(handle);
    setTyped(null);
    drag.current = {
      handle,
      x: event.clientX,
      y: event.clientY,
      scale,
      tag: `drag ${handle.key} ${event.timeStamp}`,
    };
    onHold(true);
  };
  const move = (event: PointerEvent) => {
    const held = drag.current;
    if (!held) return;
    const [right, up] = lockedTo(event.clientX - held.x, held.y - event.clientY, event.shiftKey);
    onMove(
      {
        ...held.handle,
        diameter: snapped(held.handle.diameter + (2 * up) / held.scale, units),
        length: snapped(held.handle.length + (right / held.scale) * direction, units),
      },
      held.tag,
    );
  };

  /** Takes what was typed; false where it cannot be read, which then is said. */
  const set = (handle: Handle): boolean => {
    if (!typed || typed.text.trim() === '') {
      setTyped(null);
      return true;
    }
    const parsed = parseLength(typed.text, units);
    if (!parsed.ok) {
      setTyped({ ...typed, why: parsed.why });
      return false;
    }
    setTyped(null);
    const { mm } = parsed.dimension;
    onMove(
      typed.of === 'across'
        ? { ...handle, diameter: mm, along: null }
        : { ...handle, length: mm, across: null },
      `typed ${handle.key}`,
    );
    return true;
  };

  const onKeyDown = (handle: Handle) => (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const arrow = arrowMove(handle, event, direction, units);
    if (arrow) {
      event.preventDefault();
      event.stopPropagation();
      return onMove(arrow, `keys ${handle.key}`);
    }
    if (event.key === 'Tab') {
      if (!set(handle)) event.preventDefault();
      return;
    }
    event.stopPropagation();
    if (event.key === 'Enter') set(handle);
    if (event.key === 'Escape') {
      if (typed) return setTyped(null);
      restore(drag.current?.tag ?? `keys ${handle.key}`);
      return letGo();
    }
    const next = typedNext(handle, typed, event.key);
    if (next === undefined) return;
    event.preventDefault();
    setTyped(next);
  };

  return {
    active,
    typed,
    units,
    propsOf: (handle: Handle) => ({
      onPointerDown: begin(handle),
      onPointerMove: move,
      onPointerUp: letGo,
      onPointerCancel: letGo,
      onFocus: () => active !== handle.key && take(handle),
      onBlur: () => {
        set(handle);
        setTyped(null);
        setActive(null);
      },
      onKeyDown: onKeyDown(handle),
    }),
  };
}

/** With Shift only the larger of both ways counts. */
const lockedTo = (right: number, up: number, locked: boolean): [number, number] => {
  if (!locked) return [right, up];
  return Math.abs(right) > Math.abs(up) ? [right, 0] : [0, up];
};

function arrowMove(handle: Handle, event: KeyboardEvent, direction: 1 | -1, units: Units): HandleMove | null {
  const step = STEP[units][event.shiftKey ? 'coarse' : 'fine'];
  const up = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
  const right = event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0;
  if (up === 0 && right === 0) return null;
  return {
    ...handle,
    diameter: Math.max(0, handle.diameter + up),
    length: Math.max(0, handle.length + right * direction),
  };
}

/** What stands typed after a key: d and l say for which dimension; undefined for a key that types nothing. */
function typedNext(handle: Handle, typed: Typed | null, key: string): Typed | null | undefined {
  const usual = handle.across ? 'across' : 'along';
  const { of, text } = typed ?? { of: usual, text: '' };
  if (key === 'd' && handle.across) return { of: 'across', text: '', why: null };
  if (key === 'l' && handle.along) return { of: 'along', text: '', why: null };
  if (key === 'Backspace') return typed && { of, text: text.slice(0, -1), why: null };
  return TYPED.test(key) ? { of, text: text + key, why: null } : undefined;
}
