import type { PatternBody } from '@compas/core';
import { Button, Segmented } from 'antd';
import { lazy, memo, Suspense, useState } from 'react';

const RoundView = lazy(() => import('./RoundView.js'));

/** The item in the round, fetched only when it is asked for and drawn after the editor's own work. */
export const RoundPanel = memo(function RoundPanel({ body }: { body: PatternBody }) {
  const [shown, setShown] = useState(false);
  const [upright, setUpright] = useState(true);
  if (!shown)
    return (
      <Button onClick={() => setShown(true)} style={{ alignSelf: 'flex-start' }}>
        See it in the round
      </Button>
    );
  return (
    <div className="column" style={{ gap: 6 }}>
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
      <Suspense fallback={<p className="soft">Fetching the round view…</p>}>
        <RoundView body={body} upright={upright} />
      </Suspense>
      <span className="soft">
        Drag to turn it. Length is misjudged lying down: upright it is seen as it is.
      </span>
    </div>
  );
});
