import type { PatternBody } from '@compas/core';
import { Button, Segmented } from 'antd';
import { Component, lazy, memo, Suspense, useState, type ReactNode } from 'react';

const RoundView = lazy(() => import('./RoundView.js'));

/** A browser that cannot draw in the round loses this panel, never the editor. */
class RoundGuard extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError = () => ({ failed: true });
  override render() {
    return this.state.failed ? (
      <p role="status">This browser cannot draw it in the round. Everything else works without.</p>
    ) : (
      this.props.children
    );
  }
}

/** The item in the round, fetched only when it is asked for and drawn after the editor's own work. */
export const RoundPanel = memo(function RoundPanel({ body }: { body: PatternBody }) {
  const [shown, setShown] = useState(false);
  const [upright, setUpright] = useState(true);
  if (!shown)
    return (
      <Button onClick={() => setShown(true)} className="self-start">
        See it in the round
      </Button>
    );
  return (
    <div className="column gap-close">
      <div className="row spread">
        <Segmented
          aria-label="How it stands"
          value={upright ? 'upright' : 'lying'}
          onChange={(way) => setUpright(way === 'upright')}
          options={['upright', 'lying']}
        />
        <Button type="text" onClick={() => setShown(false)} aria-label="Close the round view">
          ✕
        </Button>
      </div>
      <RoundGuard>
        <Suspense fallback={<p className="soft">Fetching the round view…</p>}>
          <RoundView body={body} upright={upright} />
        </Suspense>
      </RoundGuard>
      <span className="soft">
        Drag to turn it. Length is misjudged lying down: upright it is seen as it is.
      </span>
    </div>
  );
});
