import { useCallback, useEffect, useRef, useState } from 'react';

interface History<T> {
  past: T[];
  present: T;
  future: T[];
  /** what the last change belongs to: those of one drag are undone together */
  tag: string | null;
}

/** A value with undo and redo over the whole session. */
export function useHistory<T>(first: T) {
  const [history, setHistory] = useState<History<T>>({ past: [], present: first, future: [], tag: null });
  const change = useCallback(
    (next: T, tag: string | null = null) =>
      setHistory(({ past, present, tag: last }) => ({
        past: tag !== null && tag === last ? past : [...past, present],
        present: next,
        future: [],
        tag,
      })),
    [],
  );
  /** Changes what is there now, however often it changed since the caller was drawn. */
  const update = useCallback(
    (to: (present: T) => T, tag: string | null = null) =>
      setHistory(({ past, present, tag: last }) => ({
        past: tag !== null && tag === last ? past : [...past, present],
        present: to(present),
        future: [],
        tag,
      })),
    [],
  );
  const latest = useRef(first);
  useEffect(() => {
    latest.current = history.present;
  }, [history.present]);
  const read = useCallback(() => latest.current, []);
  const undo = useCallback(
    () =>
      setHistory((h) => {
        const last = h.past.at(-1);
        return last === undefined
          ? h
          : { past: h.past.slice(0, -1), present: last, future: [h.present, ...h.future], tag: null };
      }),
    [],
  );
  const redo = useCallback(
    () =>
      setHistory((h) => {
        const [next, ...rest] = h.future;
        return next === undefined
          ? h
          : { past: [...h.past, h.present], present: next, future: rest, tag: null };
      }),
    [],
  );
  return {
    present: history.present,
    change,
    update,
    read,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}
