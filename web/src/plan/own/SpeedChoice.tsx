import type { Drive, SpeedChoice as Speed, TurningStage } from '@compas/core';
import { Select } from 'antd';
import { useState } from 'react';
import { Otherwise } from './Otherwise.js';
import { RpmField } from './RpmField.js';

/** Another speed for one stage: one of the belt's, or any that the motor has. */
export function SpeedChoice({ speeds, drive }: { speeds: readonly Speed[]; drive: Drive }) {
  const [stage, setStage] = useState<TurningStage>('shape');
  const now = speeds.find((s) => s.stage === stage)?.rpm ?? null;
  const [rpm, setRpm] = useState<number | null>(null);
  if (drive.kind === 'treadle') return null;
  // a lathe that stands runs at none of its speeds
  const set = rpm ?? (now === 0 ? null : now);
  return (
    <Otherwise
      label="Set another speed"
      wanted={() => (set === null ? null : { kind: 'speed', stage, rpm: set })}
      carries={`every ${stage === 'rough' ? 'roughing' : `“${stage}”`}, whatever its size`}
    >
      <Select<TurningStage>
        aria-label="Speed to"
        value={stage}
        onChange={(wanted) => {
          setStage(wanted);
          setRpm(null);
        }}
        className="w-word"
        options={speeds.map((s) => ({ value: s.stage, label: `to ${s.stage}` }))}
      />
      <RpmField label="rpm" drive={drive} rpm={set} setRpm={setRpm} />
    </Otherwise>
  );
}
