import { Length } from '../ui/Length.js';

interface ReadoutProps {
  x: number | null;
  diameter: number;
  bore: number;
  stoutest: number;
  rpm: number | null;
}

/** What the cursor reads off: position, diameter, wall, surface speed, stiffness. */
export function Readout({ x, diameter, bore, stoutest, rpm }: ReadoutProps) {
  if (x === null) return <div className="strip-readout soft">Point at the work to read it off.</div>;
  // second moment of area of the ring against that of the stoutest place
  const stiffness = (100 * (diameter ** 4 - bore ** 4)) / stoutest ** 4;
  return (
    <div className="strip-readout">
      <span>
        <span className="soft">from the reference end</span> <Length mm={x} />
      </span>
      <span>
        <span className="soft">diameter</span> <Length mm={diameter} />
      </span>
      {bore > 0 && (
        <span>
          <span className="soft">wall</span> <Length mm={(diameter - bore) / 2} />
        </span>
      )}
      {rpm !== null && (
        <span>
          <span className="soft">surface</span>{' '}
          <span className="figures">{Math.round((Math.PI * diameter * rpm) / 1000)} m/min</span>
        </span>
      )}
      <span>
        <span className="soft">stiffness</span>{' '}
        <span className="figures">{Math.max(0, stiffness).toFixed(0)} %</span>{' '}
        <span className="soft">of the stoutest place</span>
      </span>
    </div>
  );
}
