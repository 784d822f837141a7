import {
  useEffect,
  useRef,
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
  type ReactNode,
} from 'react';

/** Nobody sees a figure and answers to it in less, ms: a press that began sooner was meant for the one before. */
const SEEN_AFTER = 300;

/**
 * The frame of what is done at the lathe: a press on what ends a step (`data-ends`) counts only for what was in sight when it began. One that
 * began before the figure at hand was painted and seen, or that was held over from the one before, does nothing.
 * Instants are those of the events themselves, so that a screen that stood still believes no press that came meanwhile.
 * @param figure what is in sight; the first is nobody's next
 */
export function Presses({ figure, children }: { figure: string; children: ReactNode }) {
  /** instant of the page's time at which it was painted; null until it is */
  const painted = useRef<number | null>(-Infinity);
  const shown = useRef(figure);
  /** when the press that is under way began */
  const begun = useRef<number | null>(null);
  useEffect(() => {
    if (shown.current === figure) return;
    shown.current = figure;
    painted.current = null;
    begun.current = null;
    // the frame after the next one begins when this one is on the glass
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => (painted.current = performance.now()));
    });
    return () => cancelAnimationFrame(frame);
  }, [figure]);
  const began = ({ timeStamp }: PointerEvent | KeyboardEvent) => (begun.current = timeStamp);
  const judge = (click: MouseEvent) => {
    // what helps people who cannot press gives a click alone
    const from = begun.current ?? (click.detail === 0 ? click.timeStamp : -Infinity);
    begun.current = null;
    if (!(click.target instanceof Element && click.target.closest('[data-ends]'))) return;
    if (from >= (painted.current ?? Infinity) + SEEN_AFTER || painted.current === -Infinity) return;
    click.preventDefault();
    click.stopPropagation();
  };
  return (
    <div
      className="run-presses"
      onPointerDownCapture={began}
      onKeyDownCapture={(event) => {
        if (!event.repeat) began(event);
      }}
      onClickCapture={judge}
    >
      {children}
    </div>
  );
}
