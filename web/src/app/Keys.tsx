import { Modal } from 'antd';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';

const GO: Record<string, { to: string; words: string }> = {
  b: { to: '/', words: 'to the Bench' },
  o: { to: '/orders', words: 'to the Orders' },
  p: { to: '/patterns', words: 'to the Patterns' },
  s: { to: '/stock', words: 'to the Stock' },
  w: { to: '/workshop', words: 'to the Workshop' },
  n: { to: '/patterns/new', words: 'a new pattern' },
};

const MORE: [string, string][] = [
  ['↑ ↓ in a length', 'a little more or less; with Shift a lot'],
  ['Enter, Esc in a length', 'take it, or leave it as it was'],
  ['← → on the strip', 'move the reading'],
  ['a number at a handle', 'sets its diameter, after l its length'],
  ['Shift while dragging', 'keeps to one direction'],
  ['Alt ↑ ↓ in an element', 'move it along the piece'],
  ['Ctrl Z, Ctrl Shift Z', 'undo and redo in a pattern'],
  ['Ctrl S', 'save a pattern'],
  ['?', 'this list'],
];

/** Whoever types, or has hold of something on the strip, stays on the page. */
const typing = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  ((target instanceof HTMLElement && target.isContentEditable) ||
    ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.closest('.strip') !== null);

/** Keys that work on every desk screen, shown by `?` and by its button in the header. */
export function Keys() {
  const [shown, show] = useState(false);
  const navigate = useNavigate();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '?') show(true);
      const go = GO[event.key];
      if (go) void navigate(go.to);
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [navigate]);
  return (
    <>
      <button
        type="button"
        className="shell-keys"
        aria-label="Keys"
        title="Keys: ?"
        onClick={() => show(true)}
      >
        ?
      </button>
      <Modal title="Keys" open={shown} onCancel={() => show(false)} footer={null}>
        <dl className="keys">
          {[...Object.entries(GO).map(([key, { words }]): [string, string] => [key, words]), ...MORE].map(
            ([key, words]) => (
              <div key={key} className="row">
                <dt className="figures key-strokes">{key}</dt>
                <dd className="flush">{words}</dd>
              </div>
            ),
          )}
        </dl>
      </Modal>
    </>
  );
}
