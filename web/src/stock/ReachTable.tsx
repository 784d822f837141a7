import type { Dimension } from '@compas/core';
import { Button } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';

/** Angles that a piece is measured at, degrees. */
export const ROUND = [0, 45, 90, 135, 180, 225, 270, 315];

/** A place along the piece: distances from the axis to the surface at those angles. */
export interface Station {
  x: Dimension;
  reaches: Dimension[];
}

interface ReachTableProps {
  stations: Station[];
  onChange: (stations: Station[]) => void;
}

/** What was measured round the piece, place by place. */
export function ReachTable({ stations, onChange }: ReachTableProps) {
  const set = (i: number, change: Partial<Station>) =>
    onChange(stations.map((s, j) => (j === i ? { ...s, ...change } : s)));
  return (
    <div className="scroll">
      <table className="table" aria-label="Readings round the piece">
        <thead>
          <tr>
            <th>From the drive end</th>
            {ROUND.map((a) => (
              <th key={a}>{a}°</th>
            ))}
            <th />
          </tr>
        </thead>
        <tbody>
          {stations.map((s, i) => (
            <tr key={i}>
              <td>
                <LengthInput
                  label={`Place ${i + 1}, from the drive end`}
                  value={s.x}
                  onChange={(x) => set(i, { x })}
                />
              </td>
              {s.reaches.map((r, k) => (
                <td key={k}>
                  <LengthInput
                    label={`Place ${i + 1} at ${ROUND[k]}°`}
                    value={r}
                    onChange={(value) => set(i, { reaches: s.reaches.map((x, j) => (j === k ? value : x)) })}
                  />
                </td>
              ))}
              <td>
                {stations.length > 2 && (
                  <Button
                    type="text"
                    aria-label={`Take away place ${i + 1}`}
                    onClick={() => onChange(stations.filter((_, j) => j !== i))}
                  >
                    ✕
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
