import { BATCHING_SCHOOLS, type BatchingSchool } from '@compas/core';
import { Segmented } from 'antd';
import { choicesOf } from '../ui/choices.js';
import type { Tablet } from './useTablet.js';

/** How the batch goes, and how this screen is set up: opened by a touch, out of the way otherwise. */
export function TabletSettings({
  tablet,
  school,
  onSchool,
}: {
  tablet: Tablet;
  school: BatchingSchool;
  onSchool: (school: BatchingSchool) => void;
}) {
  return (
    <details className="run-settings">
      <summary>Set up</summary>
      <div>
        <Segmented<BatchingSchool>
          aria-label="Batch goes"
          value={school}
          onChange={onSchool}
          options={choicesOf(BATCHING_SCHOOLS)}
        />
        <Segmented<Tablet['hand']>
          aria-label="Hand"
          value={tablet.hand}
          onChange={(hand) => tablet.set({ hand })}
          options={[
            { value: 'left', label: 'left hand' },
            { value: 'right', label: 'right hand' },
          ]}
        />
        <Segmented<'on' | 'off'>
          aria-label="Tone"
          value={tablet.tone ? 'on' : 'off'}
          onChange={(tone) => tablet.set({ tone: tone === 'on' })}
          options={[
            { value: 'on', label: 'tone when it stops' },
            { value: 'off', label: 'silent' },
          ]}
        />
      </div>
    </details>
  );
}
