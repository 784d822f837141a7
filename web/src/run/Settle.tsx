import { deviceName, readingsApart, type PartPlan, type Reading } from '@compas/core';
import { Length } from '../ui/Length.js';
import type { Keep } from './useKept.js';

interface SettleProps {
  /** of this step of this piece */
  readings: readonly Reading[];
  part: PartPlan;
  record: Keep;
}

/** Readings of one place that differ between devices: which one holds is said by a touch, and the others are put aside. */
export function Settle({ readings, part, record }: SettleProps) {
  return readingsApart(readings, part.stations).map(({ place, readings: own }) => (
    <div key={place.id} className="run-fit" role="group" aria-label={`Which holds of ${place.label}?`}>
      <b>▲ {place.label}: measured twice, and not the same. Which one holds?</b>
      <div>
        {own.map((reading) => (
          <button
            key={reading.eventId}
            type="button"
            className="run-quiet"
            onClick={() =>
              void record({
                kind: 'settled',
                stepId: reading.stepId,
                eventId: reading.eventId,
                others: own.filter((r) => r !== reading).map((r) => r.eventId),
              })
            }
          >
            <span>
              <Length mm={reading.mm} /> by {reading.who ?? deviceName(reading.device)}
            </span>
          </button>
        ))}
      </div>
    </div>
  ));
}
