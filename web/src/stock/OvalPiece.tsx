import { dim, ovalFrom, type AcrossReading, type Dimension } from '@compas/core';
import { useState } from 'react';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { OddRound } from './OddRound.js';

const ANGLES = [0, 45, 90, 135];

/** Four widths with the calliper, an eighth of a turn apart. */
export function OvalPiece() {
  const [widths, setWidths] = useState<Dimension[]>([dim(52), dim(50.6), dim(48.4), dim(49.9)]);
  const readings: AcrossReading[] = widths.map((w, i) => ({ angle: ANGLES[i] ?? 0, width: w.mm }));
  const oval = ovalFrom(readings);
  return (
    <>
      <p>Take the calliper across at one place, each time an eighth of a turn further.</p>
      <div className="row fields">
        {widths.map((w, i) => (
          <LengthInput
            key={i}
            label={`Across at ${ANGLES[i]}°`}
            showLabel
            value={w}
            onChange={(value) => setWidths(widths.map((x, j) => (j === i ? value : x)))}
          />
        ))}
      </div>
      {oval ? (
        <>
          <h2>
            A round of <Length mm={oval.smallest} /> cleans up
          </h2>
          <p>
            The oval is <Length mm={oval.largest} /> by <Length mm={oval.smallest} />, its long side at{' '}
            {oval.angle.toFixed(0)}°. The readings lie within <Length mm={oval.off} /> of it. Centre: half of
            the width along the long side and half of the width across it.
          </p>
          <OddRound diameter={oval.smallest} length={null} form="oval" />
        </>
      ) : (
        <p role="alert" className="why">
          ■ These widths make no oval. Measure again: each must be more than nothing.
        </p>
      )}
    </>
  );
}
