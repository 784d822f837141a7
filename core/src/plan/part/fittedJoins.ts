import { joinsOf, type Join } from '../../assembly/index.js';
import type { Material } from '../../material/index.js';
import type { Glue } from '../../workshop/index.js';
import type { PlannedHardware } from './partPlan.js';

/** A join and the hardware it is of. */
interface FittedJoin {
  join: Join;
  hardware: PlannedHardware;
}

/** Joins of all that is fitted to a part; those of further hardware keep their ids apart from those of the first. */
export const fittedJoins = (
  fitted: readonly PlannedHardware[],
  material: Material,
  glues: readonly Glue[],
): FittedJoin[] =>
  fitted.flatMap((hardware, i) =>
    joinsOf(hardware.kit, material, glues, hardware.needs.way).map((join) => ({
      join: i === 0 ? join : { ...join, id: `${join.id}.${i + 1}` },
      hardware,
    })),
  );
