import { pointsOf } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { removeSample, samplesQuery } from '../api/patterns.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import type { Measured } from './measured.js';

const BY = { stations: 'by calliper', trace: 'from a trace', photo: 'from a photo' };

/** How far a kept sample's radii may be off by its instrument, mm. */
const UNSURE = { stations: 0.05, trace: 0, photo: 0.02 };

/** Samples measured before: fitted again, or taken away. */
export function KeptSamples({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
  const samples = useQuery(samplesQuery);
  const remove = useChange(removeSample, 'samples');
  return (
    <div className="column">
      <Trouble error={remove.error} />
      {samples.data?.length === 0 && <p>None yet. A sample is kept when a pattern is made of it.</p>}
      {samples.data?.map((s) => (
        <div key={s.id} className="row spread">
          <span>
            <b>{s.name}</b>{' '}
            <span className="soft">
              {s.trace.x.length} places {BY[s.measuredBy]}
            </span>
          </span>
          <span>
            <Button
              size="small"
              onClick={() =>
                onMeasured({
                  by: s.measuredBy,
                  points: pointsOf(s.trace),
                  unsure: UNSURE[s.measuredBy],
                  kept: true,
                })
              }
            >
              Fit it
            </Button>
            <Button
              size="small"
              type="text"
              aria-label={`Take away ${s.name}`}
              onClick={() => remove.mutate(s.id, { onSuccess: () => onMeasured(null) })}
            >
              ✕
            </Button>
          </span>
        </div>
      ))}
    </div>
  );
}
