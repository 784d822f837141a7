import { MM_PER_INCH } from '@compas/core';
import { useUnits } from '../ui/units.js';
import { useFrame } from './frame.js';

/** A ruler under the work, from the reference end. */
export function Ruler() {
  const { units } = useUnits();
  const frame = useFrame();
  const inch = units !== 'mm';
  const step = inch ? MM_PER_INCH / 2 : 10;
  const count = Math.floor(frame.length / step + 1e-9);
  const y = frame.height - 26;
  const every = frame.scale * step < 26 ? Math.ceil(26 / (frame.scale * step)) : 1;
  return (
    <g className="strip-ruler">
      <line x1={frame.at(0)} x2={frame.at(frame.length)} y1={y} y2={y} />
      {Array.from({ length: count + 1 }, (_, i) => {
        const x = frame.at(i * step);
        return (
          <g key={i}>
            <line x1={x} x2={x} y1={y} y2={y + (i % every === 0 ? 7 : 4)} />
            {i % every === 0 && (
              <text x={x} y={y + 19} textAnchor="middle">
                {inch ? i / 2 : i * step}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
