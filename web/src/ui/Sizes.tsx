import { Length } from './Length.js';
import { useUnits } from './units.js';

/** Sizes one after another, as on a timber ticket: 52 × 130 × 1500 mm. Whole millimetres stay whole. */
export function Sizes({ mm }: { mm: readonly number[] }) {
  const { units } = useUnits();
  if (units === 'mm')
    return <span className="length">{mm.map((v) => Number(v.toFixed(1))).join(' × ')} mm</span>;
  return (
    <span className="length">
      {mm.map((v, i) => (
        <span key={i}>
          {i > 0 && ' × '}
          <Length mm={v} bare />
        </span>
      ))}
      ″
    </span>
  );
}
